/** Plan from a receiver, height from the instrument, in words: what each part comes from, and why nothing may be kept. */
import type { CheckResult, Fix, HeightsCompared, LengthUnit, PairFault, ProofOutcome } from '@idle-marker/core';
import { coarseAngle, type SiteUnits } from './angles.ts';
import { smallLength } from './small.ts';

export const FIX_WORD: Readonly<Record<Fix, string>> = { none: 'off', single: 'no corrections', float: 'not fixed', fixed: 'fixed' };

/** Why nothing is kept now, and what to do: a heading and a sentence. */
export function pairFaultWords(fault: PairFault, { lengthUnit: unit, angleUnit }: SiteUnits): { readonly title: string; readonly text: string } {
  switch (fault.code) {
    case 'NO_RECEIVER':
      return { title: 'No receiver', text: 'Switch it on, or link it. Without it there is no plan here, for the instrument has no place of its own.' };
    case 'NOT_FIXED':
      return {
        title: fault.fix === 'float' ? 'The receiver is not fixed' : 'The receiver has no corrections to work with',
        text: 'Its plan is good to decimetres at best. Stand where the sky is open, and wait until it says fixed.',
      };
    case 'CORRECTIONS_OLD':
      return {
        title: fault.seconds === null ? 'No corrections yet' : `Corrections are ${Math.round(fault.seconds)} s old`,
        text: 'Start the correction link, or look what became of it: radio, telephone network, base. Its plan drifts without them.',
      };
    case 'COMPENSATING':
      return {
        title: 'Switch tilt compensation off',
        text: `The receiver takes the lean out of its own place and gives the tip. The instrument measures a prism that hangs beside the tip and lower, and cannot know it: the two would be of different places${
          fault.aside !== null && fault.aside >= 0.001 ? `, ${smallLength(fault.aside, unit)} apart now` : ''
        }. Off, and a plumb pole, both are of one.`,
      };
    case 'NOT_PLUMB':
      return {
        title: `The pole leans by ${coarseAngle(fault.lean, angleUnit, 1)}`,
        text: `That puts the plan ${smallLength(fault.aside, unit)} aside and the height ${smallLength(fault.drop, unit)} too low. Look at the bubble: nothing takes it out in this way of working.`,
      };
    case 'NO_AXIS':
      return { title: 'No height of the instrument yet', text: 'Sight a benchmark, and a second one. A design point or a point of a road is no benchmark.' };
    case 'NOT_LOCKED':
      return {
        title: fault.lost ? 'Lock lost: no height' : 'The instrument does not follow the prism: no height',
        text: 'The receiver has a height of its own, centimetres worse; it is not put in place of the one that is missing. Let the sight get free, and search.',
      };
    case 'HEIGHT_OLD':
      return { title: 'The last height is old', text: 'It is of another place by now. Wait for the next reading.' };
    case 'POLE_CHANGED':
      return { title: 'Antenna height and target height do not belong together', text: antennaMisfitWords(fault.misfit, unit) };
    case 'HEIGHTS_APART':
      return { title: 'The two heights do not agree', text: heightsWords(fault.compared, unit) };
  }
}

/** Receiver against instrument, at one tip. */
export function heightsWords({ difference, limit, apart }: HeightsCompared, unit: LengthUnit): string {
  const said = `The receiver reads ${smallLength(Math.abs(difference), unit)} ${difference >= 0 ? 'above' : 'below'} the instrument; up to ${smallLength(limit, unit)} is what their precisions explain`;
  return apart
    ? `${said}. Look at the target height, the antenna height, the benchmark and its spot, and whether the receiver is fitted to this site; then sight a second benchmark.`
    : `${said}.`;
}

/** Antenna height against target height and offset. */
export const antennaMisfitWords = (misfit: number, unit: LengthUnit): string =>
  `With the offset of this pair the antenna height that was entered is ${smallLength(Math.abs(misfit), unit)} ${misfit > 0 ? 'too large' : 'too small'} for the target height. Was a section put in, or the other height forgotten?`;

/** What is asked for next. */
export const PAIRED_DUE = {
  PLAN_UNCHECKED: {
    title: 'Nothing proves the plan yet',
    text: 'Put the pole on a mark that is known in plan. A base with wrong coordinates, or a calibration of another site, shifts every mark alike, and nothing else would show it.',
  },
  SECOND_BENCHMARK: {
    title: 'One benchmark: nothing checks the height',
    text: 'A wrong spot or a wrong figure puts every height out by the same amount. Put the pole on a second benchmark before the first mark.',
  },
  PLAN_FAILED: {
    title: 'Stop: the plan fails on a known mark',
    text: 'Is it the right mark, the pole plumb, the receiver fixed? If it repeats, sight another known mark: either this mark has moved, or the receiver is not in the coordinates of this site.',
  },
  HEIGHT_FAILED: {
    title: 'Stop: the height fails on a benchmark',
    text: 'Is it the right spot, the right target height? If it repeats, sight a third benchmark: two agreeing ones tell whether the benchmark or the instrument has moved.',
  },
  PLAN_AGAIN: { title: 'Plan: prove it again before you leave', text: 'Marks were set since the last known mark. A receiver can find a wrong fix in between.' },
  BENCHMARK_AGAIN: {
    title: 'Height: a benchmark again before you pack up',
    text: 'Marks were set since the last one. An instrument that sank or was bumped shows there.',
  },
} as const;

/** The same on the footing, where a word has to do. */
export const PAIRED_DUE_SHORT = {
  PLAN_UNCHECKED: 'Plan unchecked',
  SECOND_BENCHMARK: 'Height unchecked',
  PLAN_FAILED: 'Plan failed',
  HEIGHT_FAILED: 'Height failed',
  PLAN_AGAIN: 'Plan due',
  BENCHMARK_AGAIN: 'Benchmark due',
} as const;

/** What the receiver can promise against what the work asks for; null where that is enough. Both at 95 %. */
export function pairedPromiseWords(
  promised: number,
  asked: { readonly name: string; readonly plan: number },
  unit: LengthUnit,
): { readonly title: string; readonly text: string } | null {
  if (promised <= asked.plan) return null;
  return {
    title: `${asked.name} asks for more than the receiver can promise`,
    text: `Within ${smallLength(asked.plan, unit)} is asked in plan; the receiver is good to ${smallLength(promised, unit)} (95 %). Use it for work that takes that, or station the instrument in plan for this.`,
  };
}

/** One proof with both devices. */
export function pairedProofSentence(name: string, check: CheckResult, plan: ProofOutcome, height: ProofOutcome, unit: LengthUnit): string {
  const parts: string[] = [];
  if (check.plan && plan !== 'notMeasured') {
    const { dE, dN, horizontal } = check.plan;
    parts.push(
      `${smallLength(horizontal, unit)} off in plan by the receiver (${smallLength(Math.abs(dE), unit)} ${dE >= 0 ? 'east' : 'west'}, ${smallLength(Math.abs(dN), unit)} ${dN >= 0 ? 'north' : 'south'})`,
    );
  }
  if (check.height && height !== 'notMeasured')
    parts.push(`${smallLength(Math.abs(check.height.dZ), unit)} ${check.height.dZ >= 0 ? 'above' : 'below'} its listed height by the instrument`);
  return parts.length === 0 ? `${name} has neither plan nor height to compare with.` : `${name} measures ${parts.join(' and ')}.`;
}

/** Why a calibrated receiver and a stationed instrument differ, for whoever asks. */
export const TWO_HEIGHTS = [
  'A receiver that was calibrated to the site lies on a plane, or a tilted surface, through the marks at its corners. There it fits; in between it follows that plane, and whatever the true ground of heights does between the corners stays in every reading: often one to three centimetres, the same at one place all day.',
  'An instrument that was stationed from benchmarks carries their heights along a line of sight. It does not know of any plane; its error grows with the distance, and is millimetres within a few hundred metres.',
  'So a difference that is constant at one place, and changes slowly across the site, is the calibration. One that jumps is a lost fix, a wrong target or antenna height, or an instrument that moved. The height on the stake is always the instrument’s.',
] as const;
