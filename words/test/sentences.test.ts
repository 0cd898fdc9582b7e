import { describe, expect, it } from '@jest/globals';
import {
  addsWords,
  allCautions,
  drawingWords,
  hubOutsideWords,
  hubPlaceWords,
  misnamedReason,
  misnamedWords,
  moveParts,
  outlineErrorWords,
  paceWords,
  sheetTroubleTexts,
  sheetClock,
  sheetTroubleWords,
  standingWords,
  stationErrorSentence,
  troubleWords,
  withheldReasonWords,
} from '../src/index.ts';

/** A sentence for a person: it begins with a capital or a name, ends with a stop, and shows no code. */
function isSentence(text: string): void {
  expect(text).toMatch(/[.!?]$/);
  expect(text).not.toMatch(/[A-Z]{3,}_[A-Z]|undefined|null|NaN|\[object/);
  expect(text.length).toBeGreaterThan(12);
}

describe('what has become of marks that were handed over', () => {
  it('is told with the worst first, each kind once', () => {
    expect(
      sheetTroubleWords([
        { name: 'A', trouble: 'rewritten' },
        { name: 'B', trouble: 'setAgain' },
        { name: 'C', trouble: 'moved' },
        { name: 'D', trouble: 'rewritten' },
      ]),
    ).toBe(
      'C: reported hit or moved: don’t build from it. B: set again: its figures are others now. A, D: stake rewritten, the mark itself is as it was.',
    );
  });
  it('has a place in that order for each kind', () => {
    for (const trouble of Object.keys(sheetTroubleTexts()) as (keyof ReturnType<typeof sheetTroubleTexts>)[])
      expect(sheetTroubleWords([{ name: 'A', trouble }])).toBe(`A: ${sheetTroubleTexts()[trouble]}.`);
  });
});

describe('sentences', () => {
  it('are said for every reason why a station can’t be computed', () => {
    const path = ['observations', 2, 'zenith'];
    for (const error of [
      { code: 'DUPLICATE_NAME', path, name: 'K1' },
      { code: 'INVALID_NUMBER', path },
      { code: 'INVALID_SLOPE', path, slope: 0 },
      { code: 'INVALID_ZENITH', path, zenith: 0, face: 1 },
      { code: 'MISSING_COORDINATES', path, name: 'K1', listed: true },
      { code: 'MISSING_COORDINATES', path, name: 'K1', listed: false },
      { code: 'COINCIDENT_POINTS', path, names: ['K1', 'K2'] },
      { code: 'TOO_FEW_OBSERVATIONS', path, given: 1, needed: 2 },
      { code: 'UNDETERMINED', path, reason: 'rank' },
      { code: 'UNDETERMINED', path, reason: 'divergence' },
      { code: 'UNDETERMINED', path, reason: 'imprecise' },
    ] as const)
      isSentence(stationErrorSentence(error));
  });

  it('are said for every trouble at the instrument', () => {
    for (const trouble of [
      { code: 'NOT_SET_UP' },
      { code: 'NO_SUCH_MARK', name: 'K9' },
      { code: 'MARK_COVERED', name: 'K6' },
      { code: 'NOT_FOUND' },
      { code: 'HIDDEN', by: 'site cabins' },
      { code: 'NOT_LOCKED' },
      { code: 'POLE_MOVING' },
      { code: 'LINK_CLOSED' },
    ] as const)
      isSentence(troubleWords(trouble));
  });

  it('are said for every outline, line or point that is none', () => {
    for (const error of [
      { code: 'OFFSET_NOT_POSITIVE', offset: 0 },
      { code: 'OUTLINE_TOO_FEW_CORNERS', given: 1 },
      { code: 'OUTLINE_NO_AREA' },
      { code: 'OUTLINE_REPEATED_CORNER', name: 'A' },
      { code: 'OUTLINE_CROSSES_ITSELF', between: ['A', 'C'] },
      { code: 'LINE_WITHOUT_END', name: 'A' },
      { code: 'LINE_TOO_SHORT', from: 'A', to: 'B' },
      { code: 'NO_POINTS' },
      { code: 'POINT_NAMED_TWICE', name: 'A' },
      { code: 'RULE_INCOMPLETE', needs: 'along' },
      { code: 'RULE_INCOMPLETE', needs: 'rake' },
      { code: 'MOVED_TOO_FAR', side: ['A', 'B'] },
      { code: 'PATH_TOO_FEW_CORNERS', given: 1 },
      { code: 'PATH_SIDE_WITHOUT_LENGTH', from: 'A', to: 'B' },
      { code: 'INTERVAL_NOT_POSITIVE', interval: 0 },
      { code: 'TOO_MANY_POINTS', points: 9000 },
      { code: 'PATTERN_IMPOSSIBLE', why: 'size' },
      { code: 'PATTERN_IMPOSSIBLE', why: 'count' },
    ] as const)
      isSentence(outlineErrorWords(error));
  });

  it('are said for every drawing that can’t be read', () => {
    for (const error of [
      { code: 'EMPTY_DRAWING', leftOut: [] },
      {
        code: 'EMPTY_DRAWING',
        leftOut: Array.from({ length: 8 }, (_, i) => ({ what: 'HATCH', layer: `L${i}`, count: 2 })),
      },
      { code: 'NOT_A_DRAWING', detail: 'it has no sections' },
      { code: 'BINARY_DRAWING' },
      { code: 'PACKED_DRAWING' },
      { code: 'CUT_OFF', elements: 1 },
      { code: 'BAD_ROW', row: 3, detail: 'has no name with two coordinates' },
      { code: 'GRID_TOO_FEW_LINES', lines: 1 },
      { code: 'GRID_MANY_DIRECTIONS', directions: 3 },
    ] as const)
      isSentence(drawingWords(error));
  });

  it('of caution are all there', () => {
    expect(allCautions().join(' ')).toMatch(/buried services.*leaning.*Structural tolerances.*boundaries/s);
    for (const caution of allCautions()) isSentence(caution);
  });
});

describe('where a hub stands', () => {
  const hub = {
    offset: 2,
    corner: 'A5',
    meaning: 'outsideFace',
    offFace: ['C5', 'A5'],
    alsoOffFace: null,
    onLine: ['A5', 'A1'],
  } as const;

  it('is said for every kind of hub', () => {
    expect(hubPlaceWords(hub, 'metre')).toBe('Offset hub, 2.000 m off C5–A5, on the line A5–A1, outside face');
    expect(hubPlaceWords({ ...hub, offFace: null, onLine: null, corner: 'P7' }, 'metre')).toBe(
      'Offset hub, 2.000 m beside P7, outside face',
    );
    expect(hubPlaceWords({ ...hub, onLine: null, alsoOffFace: ['D4', 'C4'] }, 'metre')).toBe(
      'Offset hub, 2.000 m off C5–A5 and D4–C4, outside face',
    );
    expect(hubPlaceWords({ ...hub, offFace: null, meaning: 'gridLine' }, 'metre')).toBe(
      'Offset hub, 2.000 m beyond A5, on the line A5–A1, grid line',
    );
    expect(hubPlaceWords({ ...hub, offset: 0, offFace: null, onLine: null }, 'metre')).toBe(
      'On A5 itself, outside face',
    );
    expect(hubPlaceWords({ ...hub, offset: (10 * 1200) / 3937 }, 'usSurveyFoot')).toMatch(
      /^Offset hub, 10\.000 US ft off/,
    );
  });
});

describe('what is called out', () => {
  it('comes as figure and way, so that figures can be dimmed by themselves', () => {
    expect(moveParts({ up: 0.604, right: -0.118 }, 'alongLine', 'metre')).toEqual([
      { figure: '0.604', way: 'ahead along the line' },
      { figure: '0.118', way: 'left of the line' },
    ]);
    expect(moveParts({ up: 0.0002, right: 0 }, 'north', 'metre')).toEqual([]);
  });

  it('tells a hub that is out, with what is allowed', () => {
    expect(hubOutsideWords(0.0084, 0.006, 'metre')).toBe(
      'The driven hub is off by 8 mm; tolerance 6 mm. Pull it and set it again.',
    );
  });

  it('coaches only who needs many shots', () => {
    expect(paceWords(1, 2)).toBe('2.0 shots a mark over 1 mark, the driven hub included.');
    expect(paceWords(9, 4.2)).toMatch(/^4\.2 shots a mark over 9 marks.*shoot only when it says hold/);
  });
});

describe('a reading under the wrong name', () => {
  it('is told with both distances, and what the book will say', () => {
    expect(misnamedWords('K1', 'K3', { name: 'id', distance: 0.012, namedDistance: 156.2 }, 'metre')).toMatch(
      /^The reading lands 156\.20 m from K1, but 0\.01 m from K3\./,
    );
    expect(misnamedReason('K1', 'K3')).toBe('the sight was to K3, not to K1; it is entered again under that name');
  });
});

describe('the clock of a sheet', () => {
  const clock = sheetClock('Europe/Lisbon', '2031-05-06T08:00:00.000Z');

  it('gives times of the place, with their day where it is another', () => {
    expect(clock.time('2031-05-06T08:41:00.000Z')).toBe('09:41');
    expect(clock.time('2031-05-05T16:10:00.000Z')).toBe('5 May 17:10');
    // Half past midnight there is still the evening before in universal time.
    expect(clock.time('2031-05-05T23:30:00.000Z')).toBe('00:30');
    expect(clock.time(null)).toBe('none');
    expect(clock.day('2031-05-06T08:00:00.000Z')).toBe('6 May 2031');
  });

  it('names the day of every time when nothing was set', () => {
    expect(sheetClock('UTC', null).time('2031-05-06T08:41:00.000Z')).toBe('6 May 08:41');
  });
});

describe('words for states', () => {
  it('are one for each, and no two alike', () => {
    for (const table of [standingWords(), withheldReasonWords(), addsWords()] as const) {
      const words = Object.values(table);
      expect(new Set(words).size).toBe(words.length);
      for (const word of words) expect(word).not.toMatch(/_/);
    }
  });
});
