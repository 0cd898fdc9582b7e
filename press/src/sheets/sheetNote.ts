/** What a stake says beyond the columns of a sheet. */
import { STAKE_SIDES } from '@idle-marker/core';
import type { CutSheetRow } from '@idle-marker/records';
import { crewWords, filled, readingSentences, withoutStop } from '@idle-marker/words';

/**
 * Of a stake whose lines were kept without what they are: what is said at an angle of a road, in the first language of
 * the sheet.
 */
function angleSaid(
  { reading }: CutSheetRow,
  languages: readonly string[],
  length: (metres: number) => string,
): string[] {
  const angle = reading?.reach.way === 'road' ? reading.reach.angle : null;
  if (!angle) return [];
  const { line } = crewWords(languages[0]);
  return [
    angle.part === 'inside'
      ? filled(line.insideAngle, { length: length(angle.toCorner) })
      : angle.part === 'back'
        ? line.squareBack
        : line.squareAhead,
  ];
}

/**
 * What is unusual, what is said of an angle, and what is written on the sides.
 *
 * @param languages of the sheet
 * @param length how the sheet writes a length, in metres
 */
export function sheetNote(row: CutSheetRow, languages: readonly string[], length: (metres: number) => string): string {
  const { reading, written } = row;
  const unusual =
    reading && reading.unusual.length > 0
      ? languages.flatMap((code) =>
          readingSentences(reading, { words: crewWords(code), unit: 'metre', standing: 'held', who: '' }).filter(
            ({ kind }) => kind === 'warning',
          ),
        )
      : [];
  const lines = written ? STAKE_SIDES.flatMap((side) => written[side].map((line) => ({ ...line, side }))) : [];
  const said = lines.some(({ part }) => part !== undefined)
    ? lines.filter(({ part }) => part === 'angle').map(({ text }) => text)
    : angleSaid(row, languages, length);
  const beside = lines
    .filter(({ side, part }) => (side === 'left' || side === 'right') && part !== 'angle')
    .map(({ text }) => text);
  return [
    ...unusual.map(({ text }) => withoutStop(text)),
    ...said,
    ...beside.filter((text) => !said.includes(text)),
  ].join('. ');
}
