/** What is still open at the end of a day, in sentences. */
import type { Part } from '@idle-marker/core';
import { partsWords } from './claim.ts';

type Item =
  | {
      readonly code: 'CLOSING_PROOF_MISSING' | 'LEFT_UNPROVEN';
      readonly station: string;
      readonly marks: readonly string[];
      readonly measured: readonly string[];
    }
  | { readonly code: 'PROOF_UNANSWERED'; readonly station: string; readonly parts: readonly Part[]; readonly measured: readonly string[] }
  | { readonly code: 'MEASURED_IN_DOUBT'; readonly measured: readonly string[] }
  | { readonly code: 'HEIGHTS_UNCHECKED'; readonly station: string; readonly measured: readonly string[]; readonly disagree: boolean }
  | { readonly code: 'STILL_SET_UP'; readonly station: string }
  | { readonly code: 'IN_DOUBT' | 'NOT_SHOT_AFTER_DRIVING' | 'TO_SET_AGAIN' | 'CONTROL_DOUBTFUL'; readonly marks: readonly string[] }
  | { readonly code: 'TELL'; readonly who: string; readonly number: number; readonly revision: number; readonly marks: readonly string[] }
  | { readonly code: 'NOT_HANDED_OVER' | 'LEFT_TO_SET'; readonly package: string; readonly marks: number }
  | { readonly code: 'NOT_STORED'; readonly entries: number };

/** So many names are read; the rest is counted. */
const MOST_NAMES = 12;
const listed = (names: readonly string[]): string =>
  names.length <= MOST_NAMES ? names.join(', ') : `${names.slice(0, MOST_NAMES).join(', ')} and ${names.length - MOST_NAMES} more`;

export function closingWords(item: Item): { readonly title: string; readonly text: string } {
  switch (item.code) {
    case 'CLOSING_PROOF_MISSING':
      return {
        title: `The closing proof of ${item.station} is missing`,
        text: `${listed([...item.marks, ...item.measured])}: no good proof came after ${item.marks.length + item.measured.length === 1 ? 'it' : 'them'}. One sight to a mark that was not used holds all of it.`,
      };
    case 'PROOF_UNANSWERED':
      return {
        title: `A proof of ${item.station} failed in ${partsWords(item.parts)}, and nothing has answered it`,
        text: `Sight that mark again, then a third one: it tells whether the mark or the instrument has moved.${
          item.measured.length > 0 ? ` Until then nothing may be built from what was measured since: ${listed(item.measured)}.` : ''
        }`,
      };
    case 'MEASURED_IN_DOUBT':
      return {
        title: 'Measured, and in doubt',
        text: `${listed(item.measured)}: measure ${item.measured.length === 1 ? 'it' : 'them'} again from a station that is proved.`,
      };
    case 'LEFT_UNPROVEN':
      return {
        title: `${item.station} left without a last proof`,
        text: [
          ...(item.marks.length > 0 ? [`${listed(item.marks)}: sight the last of them again from the next station.`] : []),
          ...(item.measured.length > 0 ? [`${listed(item.measured)}: measured, and not held; measure one of them again from the next station.`] : []),
        ].join(' '),
      };
    case 'HEIGHTS_UNCHECKED':
      return item.disagree
        ? {
            title: `The benchmarks of ${item.station} disagree`,
            text: `${listed(item.measured)}: read from heights of which one is wrong. Sight another benchmark.`,
          }
        : { title: `Nothing checks the heights of ${item.station}`, text: `${listed(item.measured)}: read from one benchmark. A second one would check them.` };
    case 'STILL_SET_UP':
      return { title: `${item.station} is still set up`, text: 'Close it when the instrument leaves; overnight nothing it says would hold.' };
    case 'IN_DOUBT':
      return { title: 'In doubt', text: `${listed(item.marks)}: nobody may build from ${item.marks.length === 1 ? 'it' : 'them'}.` };
    case 'NOT_SHOT_AFTER_DRIVING':
      return { title: 'Not shot after driving', text: `${listed(item.marks)}: without it the stake has no cut or fill.` };
    case 'TO_SET_AGAIN':
      return { title: 'To set again', text: listed(item.marks) };
    case 'TELL':
      return { title: `Tell ${item.who}`, text: `Cut sheet ${item.number}, revision ${item.revision}, is not as it was: ${listed(item.marks)}.` };
    case 'NOT_HANDED_OVER':
      return { title: `${item.package} is not handed over`, text: `${item.marks} ${item.marks === 1 ? 'mark is' : 'marks are'} held and on no sheet yet.` };
    case 'LEFT_TO_SET':
      return { title: item.package, text: `${item.marks} ${item.marks === 1 ? 'mark' : 'marks'} to set.` };
    case 'CONTROL_DOUBTFUL':
      return {
        title: 'Control to look at',
        text: `${listed(item.marks)}: called doubtful. Have ${item.marks.length === 1 ? 'it' : 'them'} surveyed anew, or put aside.`,
      };
    case 'NOT_STORED':
      return {
        title: `${item.entries} ${item.entries === 1 ? 'entry is' : 'entries are'} not stored yet`,
        text: 'They are kept on this device alone. Look for the server before you leave.',
      };
  }
}

export const ACTIVITY = {
  setUp: 'Setting up and stationing',
  control: 'Control',
  proof: 'Proofs',
  marking: 'Marking',
  office: 'Work packages, sheets and notes',
  waiting: 'Waiting',
} as const;
