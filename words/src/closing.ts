/** What is still open at the end of a day, in sentences. */
type Item =
  | { readonly code: 'CLOSING_PROOF_MISSING' | 'LEFT_UNPROVEN'; readonly station: string; readonly marks: readonly string[] }
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
        text: `${listed(item.marks)}: no good proof came after ${item.marks.length === 1 ? 'it' : 'them'}. One sight to a mark that was not used holds all of it.`,
      };
    case 'LEFT_UNPROVEN':
      return { title: `${item.station} left without a last proof`, text: `${listed(item.marks)}: sight the last of them again from the next station.` };
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
