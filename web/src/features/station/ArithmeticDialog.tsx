import { useState } from 'react';
import { formatSigned, wrapTurn, type ResectionObservation, type ResectionResult } from '@idle-marker/core';
import { groupSights, stationSights, type SightGroup } from '@idle-marker/records';
import type { Fact } from '@idle-marker/contract';
import { msg, smallUnit, whyTexts } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice } from '../../ui/Field.tsx';

interface ArithmeticProps {
  readonly result: ResectionResult;
  readonly occupation: Fact<'occupation'>;
}

/** The sums behind the figures, line by line, and why the rules are as they are. */
export function ArithmeticButton({ result, occupation }: ArithmeticProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        {msg('station.showTheArithmetic')}
      </Button>
      {open && <ArithmeticDialog result={result} occupation={occupation} onClose={() => setOpen(false)} />}
    </>
  );
}

function ArithmeticDialog({ result, occupation, onClose }: ArithmeticProps & { onClose(): void }) {
  const { state } = useSite();
  const names = [...new Set(result.observations.map((each) => each.reduced.point))];
  const nameOf = (id: string) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? id;
  const [name, setName] = useState(names[0] ?? '');
  const groups = groupSights(stationSights(state, occupation.id), () => ({ plan: true, height: true }));
  const observation = result.observations.find((each) => each.reduced.point === name);
  const group = groups.find((each) => each.mark === name);
  return (
    <Dialog open onClose={onClose} wide title={msg('station.theArithmetic')}>
      <Choice
        label={msg('station.sightTo')}
        value={name}
        options={names.map((each) => [each, nameOf(each)] as const)}
        onChange={setName}
      />
      {observation && (
        <Sums observation={observation} group={group} result={result} occupation={occupation} name={nameOf(name)} />
      )}
      <h3 className="mt-5 text-[15px]">{msg('station.why')}</h3>
      {whyTexts().map(([question, answer]) => (
        <details key={question} className="border-b border-rule">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{question}</summary>
          <p className="pb-3">{answer}</p>
        </details>
      ))}
    </Dialog>
  );
}

interface SumsProps extends ArithmeticProps {
  readonly observation: ResectionObservation;
  readonly group: SightGroup | undefined;
  readonly name: string;
}

function Sums({ observation, group, result, occupation, name }: SumsProps) {
  const { state } = useSite();
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const { reduced } = observation;
  const point = result.points.find((each) => each.name === reduced.point);
  const listed = state.control.find((mark) => mark.id === reduced.point)?.revision.body;
  const sight = group?.sights[0]?.body;
  const mm = (metres: number | null | undefined) =>
    metres === null || metres === undefined
      ? '–'
      : `${formatSigned(metres * small.perMetre, small.decimals)} ${small.name}`;
  const length = (metres: number | null) => `${units.length(metres)} ${units.unit}`;
  const azimuth = wrapTurn(result.orientation + reduced.hz);
  const lines: (readonly [string, string])[] = [];
  if (sight) {
    lines.push([
      msg('station.slopeCorrected'),
      msg('station.readMmPrismPpmAir', {
        signed: formatSigned(sight.prismConstantMm, 1),
        signed2: formatSigned(sight.ppm, 1),
        length: length(reduced.slope),
      }),
    ]);
  }
  if (reduced.horizontal !== null) {
    lines.push(
      [
        msg('common.levelDistance'),
        msg('station.slopeSin', { angle: units.angle(reduced.zenith), length: length(reduced.horizontal) }),
      ],
      [
        msg('station.gridDistance'),
        `× ${state.settings.combinedScaleFactor.toFixed(6)} = ${length(reduced.gridDistance)}`,
      ],
      [
        msg('station.azimuth'),
        msg('station.circleOrientation', {
          angle: units.angle(reduced.hz),
          angle2: units.angle(result.orientation),
          angle3: units.angle(azimuth),
        }),
      ],
      [
        msg('station.placeMeasured'),
        units.axes
          .map(
            (axis) =>
              `${axis.toUpperCase()} ${units.length(result[axis] + reduced.gridDistance! * (axis === 'e' ? Math.sin(azimuth) : Math.cos(azimuth)))}`,
          )
          .join(', '),
      ],
    );
  }
  if (listed)
    lines.push([
      msg('station.listed'),
      msg('common.height3', {
        axes: units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(listed[axis])}`).join(', '),
        length: units.length(listed.z),
      }),
    ]);
  lines.push([
    msg('station.measuredMinusListed'),
    msg('station.eNHeight', {
      axes: units.axes.map((axis) => `${axis.toUpperCase()} ${mm(axis === 'e' ? point?.dE : point?.dN)}`).join(', '),
      elevation: mm(point?.dZ),
    }),
  ]);
  if (observation.height && reduced.heightDifference !== null) {
    lines.push([
      msg('station.heightOfTheStationFromIt'),
      msg('station.targetRiseInstrument', {
        length: units.length(listed?.z ?? null),
        length2: units.length(reduced.targetHeight),
        length3: units.length(reduced.heightDifference),
        length4: units.length(occupation.body.instrumentHeight),
        length5: units.length(observation.height.stationZ),
      }),
    ]);
  }
  if (observation.distance)
    lines.push([
      msg('station.ratioOfTheDistance'),
      ratio(
        observation.distance.residual,
        observation.distance.sd,
        observation.distance.redundancy,
        small.perMetre,
        small.name,
      ),
    ]);
  if (observation.direction && reduced.horizontal !== null) {
    const { residualAtTarget, sd, redundancy } = observation.direction;
    lines.push([
      msg('station.ratioOfTheDirection'),
      ratio(residualAtTarget, sd * reduced.horizontal, redundancy, small.perMetre, small.name),
    ]);
  }
  return (
    <>
      <dl
        className="figures mt-3 grid grid-cols-1 gap-x-5 gap-y-1 sm:grid-cols-[auto_1fr]"
        aria-label={msg('station.sumsOf', { name })}
      >
        {lines.map(([what, sum]) => (
          <div key={what} className="contents">
            <dt className="text-ink2">{what}</dt>
            <dd>{sum}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-[13px] text-ink2">
        {msg('station.theRiseHoldsCurvatureAndRefraction', { dof: result.fit.dof })}
      </p>
    </>
  );
}

const ratio = (residual: number, sd: number, redundancy: number, perMetre: number, unit: string): string =>
  redundancy < 1e-6
    ? msg('station.nothingElseChecksIt')
    : `${Math.abs(residual * perMetre).toFixed(1)} ${unit} ÷ (${(sd * perMetre).toFixed(1)} ${unit} × √${redundancy.toFixed(2)}) = ${(Math.abs(residual) / sd / Math.sqrt(redundancy)).toFixed(1)}`;
