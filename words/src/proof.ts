import {
  formatSigned,
  type CheckResult,
  type LengthUnit,
  type Part,
  type PartStanding,
  type Proposal,
  type ProofOutcome,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { partsWords, partWord } from './claim.ts';
import { smallLength, smallUnit } from './small.ts';
import { standingWords, standingReasonWords } from './vocabulary.ts';

export const proofOutcomeWords = worded((): Readonly<Record<ProofOutcome, string>> => ({
  good: 'good',
  moreThanChance: msg('proof.withinToleranceButMoreThanChance'),
  outside: 'outside',
  notMeasured: msg('proof.notMeasured'),
}));

/** The proof's outcome in one sentence with its figures. */
export function proofSentence(
  name: string,
  check: CheckResult,
  plan: ProofOutcome,
  height: ProofOutcome,
  unit: LengthUnit,
  compared: 'listed' | 'set' = 'listed',
): string {
  const parts: string[] = [];
  if (check.plan && plan !== 'notMeasured') {
    const { dAlong, dAcross, horizontal } = check.plan;
    parts.push(
      msg('proof.inPlanOfTheLineOfSight', {
        smallLength: smallLength(horizontal, unit),
        smallLength2: smallLength(dAlong, unit),
        dAlong: dAlong >= 0 ? 'farther' : 'nearer',
        smallLength3: smallLength(dAcross, unit),
        dAcross: dAcross >= 0 ? 'right' : 'left',
      }),
    );
  }
  if (check.height && height !== 'notMeasured')
    parts.push(
      `${smallLength(check.height.dZ, unit)} ${check.height.dZ >= 0 ? 'above' : 'below'} ${compared === 'listed' ? msg('proof.itsListedHeight') : msg('proof.whereItsTopWas')}`,
    );
  return msg('proof.measures', { name, parts: parts.join(' and ') });
}

/**
 * What the outcome means and what to do, and how it is shown.
 *
 * @param stillUnproven parts of the station that nothing has proved, this proof counted
 * @param stillFailed parts in which an earlier proof speaks against it, this proof counted
 */
export function proofVerdict(
  plan: ProofOutcome,
  height: ProofOutcome,
  independent: boolean,
  stillUnproven: readonly Part[] = [],
  stillFailed: readonly Part[] = [],
): { readonly tone: 'good' | 'ochre' | 'brick'; readonly title: string; readonly text: string } {
  const outcomes = [plan, height];
  if (outcomes.includes('outside')) {
    const what =
      plan === 'outside' ? (height === 'outside' ? msg('proof.planAndHeight') : partWord('plan')) : partWord('height');
    return {
      tone: 'brick',
      title: msg('proof.stopTheProofFailsIn', { what }),
      text: msg('proof.isItTheRightMarkTheRight'),
    };
  }
  if (outcomes.every((each) => each === 'notMeasured'))
    return {
      tone: 'ochre',
      title: msg('proof.nothingWasCompared'),
      text: msg('proof.thisMarkHasNeitherPlanNorHeight'),
    };
  if (outcomes.includes('moreThanChance')) {
    return {
      tone: 'ochre',
      title: msg('proof.withinToleranceButMoreThanChance2'),
      text: msg('proof.itMayGoOnYetTheDifference'),
    };
  }
  if (stillFailed.length > 0) {
    return {
      tone: 'brick',
      title: msg('proof.thisOneIsGoodAnEarlierOne'),
      text: msg('proof.nothingHasAnsweredTheProofThatFailed', { parts: partsWords(stillFailed) }),
    };
  }
  if (!independent) {
    return {
      tone: 'good',
      title: msg('proof.nothingHasMovedSince'),
      text: msg('proof.thisMarkWasUsedByTheStation'),
    };
  }
  const [part] = stillUnproven;
  if (part && stillUnproven.length === 1)
    return {
      tone: 'ochre',
      title: msg('proof.theStationHoldsIn', { part: part === 'plan' ? 'height' : 'plan' }),
      text:
        part === 'height'
          ? msg('proof.nothingHasProvedItsHeightYetSight')
          : msg('proof.nothingHasProvedItsPlanYetSight'),
    };
  return { tone: 'good', title: msg('proof.theStationHolds'), text: msg('proof.goOn') };
}

/** One step of the shortest way to clear what is in doubt: what to do, and why. */
export function clearWords(
  proposal: Proposal,
  mark: string | null,
  station: string,
  unproven: readonly Part[] = [],
): string {
  const why = standingReasonWords()[proposal.because];
  switch (proposal.action) {
    case 'sightUnused':
      if (unproven.length === 1)
        return msg('proof.sightOneMarkThatDidNotUse', {
          unproven: unproven[0] === 'height' ? msg('proof.withAHeight') : '',
          station,
          unproven2: partWord(unproven[0]!),
        });
      return msg('proof.sightOneMarkThatDidNotUse2', {
        station,
        because:
          proposal.because === 'ONLY_REPEATS'
            ? msg('proof.soFarOnlyMarksThatItUsed')
            : msg('proof.nothingIndependentHasProvedItYet'),
      });
    case 'thirdTarget':
      return msg('proof.sightAThirdMarkFromOneWas', { station });
    case 'resight':
      return msg('proof.sightAgainFromAProvenStation', { mark: mark ?? msg('proof.theMark'), why });
    case 'setAgain':
      return msg('proof.setAgain', { mark: mark ?? msg('proof.theMark'), why });
  }
}

/** What a set mark sighted again tells. */
export function resightVerdict(
  plan: ProofOutcome,
  height: ProofOutcome,
  own: boolean,
): { readonly tone: 'good' | 'ochre' | 'brick'; readonly title: string; readonly text: string } {
  const outcomes = [plan, height];
  if (outcomes.includes('outside')) {
    return own
      ? {
          tone: 'brick',
          title: msg('proof.somethingHasMovedSinceItWasSet'),
          text: msg('proof.eitherThisMarkOrTheInstrumentProve'),
        }
      : {
          tone: 'brick',
          title: msg('proof.itIsNotWhereItWasSet'),
          text: msg('proof.holdThePolePlumbAndSightIt'),
        };
  }
  if (outcomes.every((each) => each === 'notMeasured'))
    return { tone: 'ochre', title: msg('proof.nothingWasCompared'), text: msg('proof.sightAnotherMark') };
  return own
    ? {
        tone: 'good',
        title: msg('proof.markAndInstrumentStandAsTheyDid'),
        text: msg('proof.itShowsThatNothingMovedSinceNot'),
      }
    : { tone: 'good', title: msg('proof.itIsWhereItWasSet'), text: msg('proof.itsStationStoodRightWhenItWas') };
}

/** What it does to one mark when a control mark of its station has moved. */
export function effectWords(
  effect: { readonly planMm: number | null; readonly heightMm: number | null },
  parts: { readonly plan: boolean; readonly height: boolean },
  asked: { readonly plan: number; readonly height: number },
  unit: LengthUnit,
): { readonly text: string; readonly out: boolean } {
  const told = [
    ...(parts.plan ? [{ mm: effect.planMm, limit: asked.plan, word: msg('proof.inPlan') }] : []),
    ...(parts.height ? [{ mm: effect.heightMm, limit: asked.height, word: msg('proof.inHeight') }] : []),
  ];
  if (told.some((each) => each.mm === null)) return { text: msg('proof.cantBeComputedWithoutItInDoubt'), out: true };
  const out = told.some((each) => Math.abs(each.mm!) / 1000 > each.limit);
  const sizes = told.map((each) => `${smallLength(each.mm! / 1000, unit)} ${each.word}`).join(', ');
  return { text: `${sizes}: ${out ? 'out' : msg('proof.insideItsToleranceStands')}`, out };
}

/** Why one part of a mark stands as it does, with the time of what it rests on. */
export function hangsWords(part: PartStanding, at: string | null): string {
  const because = part.because.map((reason) => standingReasonWords()[reason]).join('; ');
  return `${standingWords()[part.standing]}: ${because}${at === null ? '' : ` (${at})`}`;
}

/** What a proof measured, as the computation keeps it; null for what was not compared. */
export interface ProofFigures {
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
}

/** "plan 3 mm (E +2, N −2), height +1 mm"; empty where nothing was compared. */
export function proofFigureWords({ dEMm, dNMm, dZMm }: ProofFigures, unit: LengthUnit, axes: 'EN' | 'NE'): string {
  const small = smallUnit(unit);
  const figure = (mm: number) => formatSigned((mm / 1000) * small.perMetre, small.decimals);
  const parts: string[] = [];
  if (dEMm !== null && dNMm !== null) {
    const [east, north] = [`E ${figure(dEMm)}`, `N ${figure(dNMm)}`];
    const level = smallLength(Math.hypot(dEMm, dNMm) / 1000, unit);
    parts.push(msg('proof.plan', { level, axes: axes === 'EN' ? `${east}, ${north}` : `${north}, ${east}` }));
  }
  if (dZMm !== null) parts.push(msg('proof.height', { figure: figure(dZMm), name: small.name }));
  return parts.join(', ');
}
