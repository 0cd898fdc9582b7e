/**
 * Plan from a receiver, height from the instrument, in words: what each part comes from, and why nothing may be kept.
 */
import type { CheckResult, Fix, HeightsCompared, LengthUnit, PairFault, ProofOutcome } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { coarseAngle, type SiteUnits } from './angles.ts';
import { smallLength } from './small.ts';

export const fixWords = worded((): Readonly<Record<Fix, string>> => ({
  none: 'off',
  single: msg('pairedWords.noCorrections'),
  float: msg('pairedWords.notFixed'),
  fixed: 'fixed',
}));

/** Why nothing is kept now, and what to do: a heading and a sentence. */
export function pairFaultWords(
  fault: PairFault,
  { lengthUnit: unit, angleUnit }: SiteUnits,
): { readonly title: string; readonly text: string } {
  switch (fault.code) {
    case 'NO_RECEIVER':
      return { title: msg('pairedWords.noReceiver'), text: msg('pairedWords.switchItOnOrLinkItWithout') };
    case 'NOT_FIXED':
      return {
        title:
          fault.fix === 'float'
            ? msg('pairedWords.theReceiverIsNotFixed')
            : msg('pairedWords.theReceiverHasNoCorrectionsToWork'),
        text: msg('pairedWords.itsPlanIsGoodToDecimetresAt'),
      };
    case 'CORRECTIONS_OLD':
      return {
        title:
          fault.seconds === null
            ? msg('pairedWords.noCorrectionsYet')
            : msg('pairedWords.correctionsAreSOld', { seconds: Math.round(fault.seconds) }),
        text: msg('pairedWords.startTheCorrectionLinkOrLookWhat'),
      };
    case 'COMPENSATING':
      return {
        title: msg('pairedWords.switchTiltCompensationOff'),
        text: msg('pairedWords.theReceiverTakesTheLeanOutOf', {
          aside:
            fault.aside !== null && fault.aside >= 0.001
              ? msg('pairedWords.apartNow', { smallLength: smallLength(fault.aside, unit) })
              : '',
        }),
      };
    case 'NOT_PLUMB':
      return {
        title: msg('pairedWords.thePoleLeansBy', { coarseAngle: coarseAngle(fault.lean, angleUnit, 1) }),
        text: msg('pairedWords.thatPutsThePlanAsideAndThe', {
          smallLength: smallLength(fault.aside, unit),
          smallLength2: smallLength(fault.drop, unit),
        }),
      };
    case 'NO_AXIS':
      return {
        title: msg('pairedWords.noHeightOfTheInstrumentYet'),
        text: msg('pairedWords.sightABenchmarkAndASecondOne'),
      };
    case 'NOT_LOCKED':
      return {
        title: fault.lost ? msg('pairedWords.lockLostNoHeight') : msg('pairedWords.theInstrumentDoesNotFollowThePrism'),
        text: msg('pairedWords.theReceiverHasAHeightOfIts'),
      };
    case 'HEIGHT_OLD':
      return { title: msg('pairedWords.theLastHeightIsOld'), text: msg('pairedWords.itIsOfAnotherPlaceByNow') };
    case 'POLE_CHANGED':
      return {
        title: msg('pairedWords.antennaHeightAndTargetHeightDoNot'),
        text: antennaMisfitWords(fault.misfit, unit),
      };
    case 'HEIGHTS_APART':
      return { title: msg('pairedWords.theTwoHeightsDoNotAgree'), text: heightsWords(fault.compared, unit) };
  }
}

/** Receiver against instrument, at one tip. */
export function heightsWords({ difference, limit, apart }: HeightsCompared, unit: LengthUnit): string {
  const said = msg('pairedWords.theReceiverReadsTheInstrumentUpTo', {
    smallLength: smallLength(Math.abs(difference), unit),
    difference: difference >= 0 ? 'above' : 'below',
    smallLength2: smallLength(limit, unit),
  });
  return apart ? msg('pairedWords.lookAtTheTargetHeightTheAntenna', { said }) : `${said}.`;
}

/** Antenna height against target height and offset. */
export const antennaMisfitWords = (misfit: number, unit: LengthUnit): string =>
  msg('pairedWords.withTheOffsetOfThisPairThe', {
    smallLength: smallLength(Math.abs(misfit), unit),
    misfit: misfit > 0 ? msg('pairedWords.tooLarge') : msg('pairedWords.tooSmall'),
  });

/** What is asked for next. */
export const pairedDueWords = worded(
  () =>
    ({
      PLAN_UNCHECKED: {
        title: msg('pairedWords.nothingProvesThePlanYet'),
        text: msg('pairedWords.putThePoleOnAMarkThat'),
      },
      SECOND_BENCHMARK: {
        title: msg('pairedWords.oneBenchmarkNothingChecksTheHeight'),
        text: msg('pairedWords.aWrongSpotOrAWrongFigure'),
      },
      PLAN_FAILED: {
        title: msg('pairedWords.stopThePlanFailsOnAKnown'),
        text: msg('pairedWords.isItTheRightMarkThePole'),
      },
      HEIGHT_FAILED: {
        title: msg('pairedWords.stopTheHeightFailsOnABenchmark'),
        text: msg('pairedWords.isItTheRightSpotTheRight'),
      },
      PLAN_AGAIN: {
        title: msg('pairedWords.planProveItAgainBeforeYouLeave'),
        text: msg('pairedWords.marksWereSetSinceTheLastKnown'),
      },
      BENCHMARK_AGAIN: {
        title: msg('pairedWords.heightABenchmarkAgainBeforeYouPack'),
        text: msg('pairedWords.marksWereSetSinceTheLastOne'),
      },
    }) as const,
);

/** The same on the footing, where a word has to do. */
export const pairedDueShort = worded(
  () =>
    ({
      PLAN_UNCHECKED: msg('pairedWords.planUnchecked'),
      SECOND_BENCHMARK: msg('pairedWords.heightUnchecked'),
      PLAN_FAILED: msg('pairedWords.planFailed'),
      HEIGHT_FAILED: msg('pairedWords.heightFailed'),
      PLAN_AGAIN: msg('pairedWords.planDue'),
      BENCHMARK_AGAIN: msg('pairedWords.benchmarkDue'),
    }) as const,
);

/** What the receiver can promise against what the work asks for; null where that is enough. Both at 95 %. */
export function pairedPromiseWords(
  promised: number,
  asked: { readonly name: string; readonly plan: number },
  unit: LengthUnit,
): { readonly title: string; readonly text: string } | null {
  if (promised <= asked.plan) return null;
  return {
    title: msg('pairedWords.asksForMoreThanTheReceiverCan', { name: asked.name }),
    text: msg('pairedWords.withinIsAskedInPlanTheReceiver', {
      smallLength: smallLength(asked.plan, unit),
      smallLength2: smallLength(promised, unit),
    }),
  };
}

/** One proof with both devices. */
export function pairedProofSentence(
  name: string,
  check: CheckResult,
  plan: ProofOutcome,
  height: ProofOutcome,
  unit: LengthUnit,
): string {
  const parts: string[] = [];
  if (check.plan && plan !== 'notMeasured') {
    const { dE, dN, horizontal } = check.plan;
    parts.push(
      msg('pairedWords.offInPlanByTheReceiver', {
        smallLength: smallLength(horizontal, unit),
        smallLength2: smallLength(Math.abs(dE), unit),
        dE: dE >= 0 ? 'east' : 'west',
        smallLength3: smallLength(Math.abs(dN), unit),
        dN: dN >= 0 ? 'north' : 'south',
      }),
    );
  }
  if (check.height && height !== 'notMeasured')
    parts.push(
      msg('pairedWords.itsListedHeightByTheInstrument', {
        smallLength: smallLength(Math.abs(check.height.dZ), unit),
        dZ: check.height.dZ >= 0 ? 'above' : 'below',
      }),
    );
  return parts.length === 0
    ? msg('pairedWords.hasNeitherPlanNorHeightToCompare', { name })
    : msg('pairedWords.measures', { name, parts: parts.join(' and ') });
}

/** Why a calibrated receiver and a stationed instrument differ, for whoever asks. */
export const twoHeights = worded(
  () =>
    [
      msg('pairedWords.aReceiverThatWasCalibratedToThe'),
      msg('pairedWords.anInstrumentThatWasStationedFrom'),
      msg('pairedWords.soADifferenceThatIsConstantAt'),
    ] as const,
);
