/** The note under a row of a cut sheet follows what the lines of the stake are, not how they read in English. */
import { describe, expect, it } from '@jest/globals';
import type { CutSheetRow } from '@idle-marker/records';
import { sheetNote } from '../src/sheets/sheetNote.ts';

type Written = NonNullable<CutSheetRow['written']>;
const line = (text: string, part?: Written['front'][number]['part']) => ({
  text,
  ruled: false,
  unusual: false,
  ...(part ? { part } : {}),
});
const stake = (sides: Partial<Written>, reading: object = {}): CutSheetRow =>
  ({
    stakeText: [],
    written: { convention: 'x', point: 'tack', front: [], back: [], left: [], right: [], ...sides },
    reading: { unusual: [], ...reading },
  }) as never;
const metres = (value: number) => `${value.toFixed(3)} m`;
const INSIDE = { reach: { way: 'road', side: 'left', angle: { part: 'inside', toCorner: 2.3094 } } };

describe('the note of a row', () => {
  it('has what the stake says of an angle, in whatever language it was written, and what stands on its sides', () => {
    const row = stake({
      front: [line('A 2.000 de la cara', 'to'), line('DE AMBAS LÍNEAS, esquina a 2.309 m', 'angle')],
      right: [line('cambio de pendiente', 'why')],
    });
    expect(sheetNote(row, ['es', 'en'], metres)).toBe('DE AMBAS LÍNEAS, esquina a 2.309 m. cambio de pendiente');
  });

  it('says an angle in the language of the sheet where the lines were kept without what they are', () => {
    expect(sheetNote(stake({ right: [line('cambio')] }, INSIDE), ['es'], metres)).toBe(
      'DE AMBAS LÍNEAS, esquina a 2.309 m. cambio',
    );
    expect(sheetNote(stake({}, INSIDE), ['en'], metres)).toBe('OFF BOTH LINES, corner at 2.309 m');
    const back = { reach: { way: 'road', side: 'left', angle: { part: 'back', toCorner: 2 } } };
    expect(sheetNote(stake({}, back), ['en', 'es'], metres)).toBe('BACK: square to the line behind');
  });

  it('is empty where there is nothing beyond the columns', () => {
    expect(sheetNote(stake({ front: [line('BACK: of the building', 'to')] }), ['en'], metres)).toBe('');
    expect(sheetNote({ stakeText: ['AHEAD: x'] } as never, ['en'], metres)).toBe('');
  });
});
