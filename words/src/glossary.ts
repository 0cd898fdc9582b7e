/** Terms that explain themselves: one glossary for screens and for docs/glossary.md. */
import { msg, worded } from './message.ts';

export interface GlossaryEntry {
  readonly name: string;
  readonly what: string;
  readonly how: string;
  readonly usual: string;
}

export const glossaryEntries = worded(
  () =>
    ({
      resection: {
        name: msg('glossary.resection'),
        what: msg('glossary.resectionWhat'),
        how: msg('glossary.resectionHow'),
        usual: msg('glossary.resectionUsual'),
      },
      backsight: {
        name: msg('glossary.backsight'),
        what: msg('glossary.backsightWhat'),
        how: msg('glossary.backsightHow'),
        usual: msg('glossary.backsightUsual'),
      },
      residual: {
        name: msg('glossary.residual'),
        what: msg('glossary.residualWhat'),
        how: msg('glossary.residualHow'),
        usual: msg('glossary.residualUsual'),
      },
      residualRatio: {
        name: msg('glossary.residualRatio'),
        what: msg('glossary.residualRatioWhat'),
        how: msg('glossary.residualRatioHow'),
        usual: msg('glossary.residualRatioUsual'),
      },
      standardDeviation: {
        name: msg('glossary.standardDeviation'),
        what: msg('glossary.standardDeviationWhat'),
        how: msg('glossary.standardDeviationHow'),
        usual: msg('glossary.standardDeviationUsual'),
      },
      confidence95: {
        name: msg('glossary.confidence95'),
        what: msg('glossary.confidence95What'),
        how: msg('glossary.confidence95How'),
        usual: msg('glossary.confidence95Usual'),
      },
      expectedAccuracy: {
        name: msg('glossary.expectedAccuracy'),
        what: msg('glossary.expectedAccuracyWhat'),
        how: msg('glossary.expectedAccuracyHow'),
        usual: msg('glossary.expectedAccuracyUsual'),
      },
      unseenEffect: {
        name: msg('glossary.unseenEffect'),
        what: msg('glossary.unseenEffectWhat'),
        how: msg('glossary.unseenEffectHow'),
        usual: msg('glossary.unseenEffectUsual'),
      },
      leaveOneOut: {
        name: msg('glossary.leaveOneOut'),
        what: msg('glossary.leaveOneOutWhat'),
        how: msg('glossary.leaveOneOutHow'),
        usual: msg('glossary.leaveOneOutUsual'),
      },
      checkShot: {
        name: msg('glossary.checkShot'),
        what: msg('glossary.checkShotWhat'),
        how: msg('glossary.checkShotHow'),
        usual: msg('glossary.checkShotUsual'),
      },
      checkInterval: {
        name: msg('glossary.checkInterval'),
        what: msg('glossary.checkIntervalWhat'),
        how: msg('glossary.checkIntervalHow'),
        usual: msg('glossary.checkIntervalUsual'),
      },
      toleranceClass: {
        name: msg('glossary.toleranceClass'),
        what: msg('glossary.toleranceClassWhat'),
        how: msg('glossary.toleranceClassHow'),
        usual: msg('glossary.toleranceClassUsual'),
      },
      scaleFactor: {
        name: msg('glossary.scaleFactor'),
        what: msg('glossary.scaleFactorWhat'),
        how: msg('glossary.scaleFactorHow'),
        usual: msg('glossary.scaleFactorUsual'),
      },
      heightDatum: {
        name: msg('glossary.heightDatum'),
        what: msg('glossary.heightDatumWhat'),
        how: msg('glossary.heightDatumHow'),
        usual: msg('glossary.heightDatumUsual'),
      },
      siteZero: {
        name: msg('glossary.siteZero'),
        what: msg('glossary.siteZeroWhat'),
        how: msg('glossary.siteZeroHow'),
        usual: msg('glossary.siteZeroUsual'),
      },
      prismConstant: {
        name: msg('glossary.prismConstant'),
        what: msg('glossary.prismConstantWhat'),
        how: msg('glossary.prismConstantHow'),
        usual: msg('glossary.prismConstantUsual'),
      },
      collimation: {
        name: msg('glossary.collimation'),
        what: msg('glossary.collimationWhat'),
        how: msg('glossary.collimationHow'),
        usual: msg('glossary.collimationUsual'),
      },
      trigLeveling: {
        name: msg('glossary.trigLeveling'),
        what: msg('glossary.trigLevelingWhat'),
        how: msg('glossary.trigLevelingHow'),
        usual: msg('glossary.trigLevelingUsual'),
      },
      secondaryControl: {
        name: msg('glossary.secondaryControl'),
        what: msg('glossary.secondaryControlWhat'),
        how: msg('glossary.secondaryControlHow'),
        usual: msg('glossary.secondaryControlUsual'),
      },
      stability: {
        name: msg('glossary.stability'),
        what: msg('glossary.stabilityWhat'),
        how: msg('glossary.stabilityHow'),
        usual: msg('glossary.stabilityUsual'),
      },
      stationEquation: {
        name: msg('glossary.stationEquation'),
        what: msg('glossary.stationEquationWhat'),
        how: msg('glossary.stationEquationHow'),
        usual: msg('glossary.stationEquationUsual'),
      },
      hingePoint: {
        name: msg('glossary.hingePoint'),
        what: msg('glossary.hingePointWhat'),
        how: msg('glossary.hingePointHow'),
        usual: msg('glossary.hingePointUsual'),
      },
      catchPoint: {
        name: msg('glossary.catchPoint'),
        what: msg('glossary.catchPointWhat'),
        how: msg('glossary.catchPointHow'),
        usual: msg('glossary.catchPointUsual'),
      },
      midOrdinate: {
        name: msg('glossary.midOrdinate'),
        what: msg('glossary.midOrdinateWhat'),
        how: msg('glossary.midOrdinateHow'),
        usual: msg('glossary.midOrdinateUsual'),
      },
      rake: {
        name: msg('glossary.rake'),
        what: msg('glossary.rakeWhat'),
        how: msg('glossary.rakeHow'),
        usual: msg('glossary.rakeUsual'),
      },
      calibrationResidual: {
        name: msg('glossary.calibrationResidual'),
        what: msg('glossary.calibrationResidualWhat'),
        how: msg('glossary.calibrationResidualHow'),
        usual: msg('glossary.calibrationResidualUsual'),
      },
    }) as const satisfies Readonly<Record<string, GlossaryEntry>>,
);
export type GlossaryTerm = keyof ReturnType<typeof glossaryEntries>;

/** All of them on one page of Markdown, by name. */
export function glossaryPage(): string {
  const entries = Object.values<GlossaryEntry>(glossaryEntries()).sort((a, b) => a.name.localeCompare(b.name, 'en'));
  const parts = entries.map(({ name, what, how, usual }) =>
    [`## ${name}`, what, `- ${msg('glossary.how')}: ${how}`, `- ${msg('glossary.usual')}: ${usual}`].join('\n\n'),
  );
  return ['# Glossary', msg('glossary.page'), ...parts, ''].join('\n\n');
}
