/** What is still open at the end of a day, in sentences. */
import type { Part } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { partsWords } from './claim.ts';

type Item =
  | {
      readonly code: 'CLOSING_PROOF_MISSING' | 'LEFT_UNPROVEN';
      readonly station: string;
      readonly marks: readonly string[];
      readonly measured: readonly string[];
    }
  | {
      readonly code: 'PROOF_UNANSWERED';
      readonly station: string;
      readonly parts: readonly Part[];
      readonly measured: readonly string[];
    }
  | { readonly code: 'MEASURED_IN_DOUBT'; readonly measured: readonly string[] }
  | {
      readonly code: 'HEIGHTS_UNCHECKED';
      readonly station: string;
      readonly measured: readonly string[];
      readonly disagree: boolean;
    }
  | { readonly code: 'STILL_SET_UP'; readonly station: string }
  | {
      readonly code: 'IN_DOUBT' | 'NOT_SHOT_AFTER_DRIVING' | 'TO_SET_AGAIN' | 'CONTROL_DOUBTFUL';
      readonly marks: readonly string[];
    }
  | {
      readonly code: 'TELL';
      readonly who: string;
      readonly number: number;
      readonly revision: number;
      readonly marks: readonly string[];
    }
  | { readonly code: 'NOT_HANDED_OVER' | 'LEFT_TO_SET'; readonly package: string; readonly marks: number }
  | { readonly code: 'NOT_STORED'; readonly entries: number };

/** So many names are read; the rest is counted. */
const MOST_NAMES = 12;
const listed = (names: readonly string[]): string =>
  names.length <= MOST_NAMES
    ? names.join(', ')
    : msg('closing.andMore', { names: names.slice(0, MOST_NAMES).join(', '), names2: names.length - MOST_NAMES });

export function closingWords(item: Item): { readonly title: string; readonly text: string } {
  switch (item.code) {
    case 'CLOSING_PROOF_MISSING':
      return {
        title: msg('closing.theClosingProofOfIsMissing', { station: item.station }),
        text: msg('closing.noGoodProofCameAfterOneSight', {
          listed: listed([...item.marks, ...item.measured]),
          marks: item.marks.length + item.measured.length,
        }),
      };
    case 'PROOF_UNANSWERED':
      return {
        title: msg('closing.aProofOfFailedInAndNothing', { station: item.station, parts: partsWords(item.parts) }),
        text: msg('closing.sightThatMarkAgainThenAThird', {
          measured:
            item.measured.length > 0
              ? msg('closing.untilThenNothingMayBeBuiltFrom', { listed: listed(item.measured) })
              : '',
        }),
      };
    case 'MEASURED_IN_DOUBT':
      return {
        title: msg('closing.measuredAndInDoubt'),
        text: msg('closing.measureAgainFromAStationThatIs', {
          listed: listed(item.measured),
          measured: item.measured.length,
        }),
      };
    case 'LEFT_UNPROVEN':
      return {
        title: msg('closing.leftWithoutALastProof', { station: item.station }),
        text: [
          ...(item.marks.length > 0
            ? [msg('closing.sightTheLastOfThemAgainFrom', { listed: listed(item.marks) })]
            : []),
          ...(item.measured.length > 0
            ? [msg('closing.measuredAndNotHeldMeasureOneOf', { listed: listed(item.measured) })]
            : []),
        ].join(' '),
      };
    case 'HEIGHTS_UNCHECKED':
      return item.disagree
        ? {
            title: msg('closing.theBenchmarksOfDisagree', { station: item.station }),
            text: msg('closing.readFromHeightsOfWhichOneIs', { listed: listed(item.measured) }),
          }
        : {
            title: msg('closing.nothingChecksTheHeightsOf', { station: item.station }),
            text: msg('closing.readFromOneBenchmarkASecondOne', { listed: listed(item.measured) }),
          };
    case 'STILL_SET_UP':
      return {
        title: msg('closing.isStillSetUp', { station: item.station }),
        text: msg('closing.closeItWhenTheInstrumentLeaves'),
      };
    case 'IN_DOUBT':
      return {
        title: msg('closing.inDoubt'),
        text: msg('closing.nobodyMayBuildFrom', { listed: listed(item.marks), marks: item.marks.length }),
      };
    case 'NOT_SHOT_AFTER_DRIVING':
      return {
        title: msg('closing.notShotAfterDriving'),
        text: msg('closing.withoutItTheStakeHasNoCut', { listed: listed(item.marks) }),
      };
    case 'TO_SET_AGAIN':
      return { title: msg('common.toSetAgain'), text: listed(item.marks) };
    case 'TELL':
      return {
        title: msg('closing.tell', { who: item.who }),
        text: msg('closing.cutSheetRevisionIsNotAsIt', {
          number: item.number,
          revision: item.revision,
          listed: listed(item.marks),
        }),
      };
    case 'NOT_HANDED_OVER':
      return {
        title: msg('closing.isNotHandedOver', { package: item.package }),
        text: msg('closing.heldAndOnNoSheetYet', { marks: item.marks }),
      };
    case 'LEFT_TO_SET':
      return { title: item.package, text: msg('closing.toSet', { marks: item.marks }) };
    case 'CONTROL_DOUBTFUL':
      return {
        title: msg('closing.controlToLookAt'),
        text: msg('closing.calledDoubtfulHaveSurveyedAnewOrPut', {
          listed: listed(item.marks),
          marks: item.marks.length,
        }),
      };
    case 'NOT_STORED':
      return {
        title: msg('closing.notStoredYet', { entries: item.entries }),
        text: msg('closing.theyAreKeptOnThisDeviceAlone'),
      };
  }
}

export const activityWords = worded(
  () =>
    ({
      setUp: msg('closing.settingUpAndStationing'),
      control: msg('common.control'),
      proof: msg('common.proofs'),
      marking: msg('closing.marking'),
      office: msg('closing.workPackagesSheetsAndNotes'),
      waiting: msg('closing.waiting'),
    }) as const,
);
