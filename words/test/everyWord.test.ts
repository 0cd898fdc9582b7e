/** Every code has a sentence: whole, with its figures and units, and without a code or an undefined in it. */
import { describe, expect, it } from '@jest/globals';
import type {
  DesignFault,
  Drift,
  Explanation,
  Obstacle,
  Reason,
  SimulatorTrouble,
  StationError,
  TargetHeightNotice,
} from '@idle-marker/core';
import {
  allowedRoles,
  concernWords,
  designFaultWords,
  driftWords,
  geometryWords,
  heldBy,
  hindranceWords,
  obstacleWords,
  placeDoubtWords,
  reasonWords,
  reportCautions,
  setupSteps,
  stationErrorSentence,
  targetForm,
  targetHeightWords,
  troubleWords,
  type ConcernFacts,
  type Naming,
} from '../src/index.ts';

const NAMING: Naming = { nameOf: (id) => id.toUpperCase(), unit: 'metre', angleUnit: 'dms' };
const isWhole = (text: string) => {
  expect(text).not.toMatch(/undefined|NaN|null|[A-Z]{3,}_[A-Z]/);
  expect(text).toMatch(/[.?]$/);
};

describe('faults of lines and grids', () => {
  const faults: readonly DesignFault[] = [
    { code: 'LINE_WITHOUT_LENGTH' },
    { code: 'UNKNOWN_GRID_LINE', label: 'Q' },
    { code: 'GRID_WITHOUT_LINES', family: 'letters' },
    { code: 'GRID_SPACING_COUNT', family: 'numbers', labels: 4, spacings: 2 },
    { code: 'GRID_SPACING_NOT_POSITIVE', family: 'numbers', index: 0, spacing: -2 },
    { code: 'GRID_LABEL_TWICE', label: 'A' },
    { code: 'GRID_LINES_PARALLEL' },
  ];
  it.each(faults)('%j', (fault) => isWhole(designFaultWords(fault)));
});

describe('what stands against accepting a station', () => {
  const named = (figures: Explanation['figures'], points: readonly string[]): Explanation => ({
    code: figures.code,
    points,
    figures,
    plan: 1,
    height: 1,
    part: 'both',
    parameters: 1,
    dofPlan: 3,
    dofHeight: 3,
    cost: 0,
    score: 2,
    stands: null,
  });
  const prism = named({ code: 'PRISM_CONSTANT', constant: 0.03 }, []);
  const moved = named({ code: 'MARK_MOVED_PLAN', dE: 0.01, dN: 0 }, ['k2']);
  const obstacles: readonly (readonly [Obstacle, string])[] = [
    [{ code: 'MISFIT', s0: 1.84 }, 'the sights disagree, 1.8 times what they should'],
    [{ code: 'FAULT', explanation: prism }, 'all distances are 30 mm too short'],
    [
      { code: 'CANNOT_TELL', first: prism, second: moved },
      'the sights disagree, and the cause isn’t clear: all distances are 30 mm too short, or K2 has moved',
    ],
    [
      { code: 'CANNOT_TELL', first: moved, second: null },
      'the sights disagree, and the cause isn’t clear: K2 has moved',
    ],
    [{ code: 'PLAN_UNBOUNDED' }, 'the sights disagree, so its accuracy in plan can’t be stated'],
    [
      { code: 'LINE_MISFIT', name: 'Hall A–B', off: -0.05 },
      'a sight to Hall A–B lies 50 mm beside the line and is still used',
    ],
  ];
  it.each(obstacles)('%#', (obstacle, said) => expect(obstacleWords(obstacle, NAMING)).toBe(said));
});

describe('reasons', () => {
  const reasons: readonly (readonly [Reason, RegExp])[] = [
    [{ code: 'ASSUMED_DIRECTION', station: 'k1' }, /from K1 everything may be turned/],
    [
      { code: 'CARRIED_FORWARD', from: 'S1', distanceOff: 0.003, heightOff: -0.002 },
      /3 mm longer and 2 mm lower than the look forward was/,
    ],
    [{ code: 'CARRIED_FORWARD', from: 'S1', distanceOff: -0.002, heightOff: null }, /2 mm shorter/],
    [{ code: 'CARRIED_FORWARD', from: 'S1', distanceOff: null, heightOff: null }, /The backsight checks nothing/],
    [{ code: 'ON_LINES', surplus: 0, largest: 0 }, /three give a station with nothing left over/],
    [
      { code: 'ON_LINES', surplus: 1, largest: 0.004 },
      /One sight checks the others; the largest distance off a line is 4 mm/,
    ],
    [{ code: 'ON_LINES', surplus: 2, largest: 0.004 }, /Two sights check/],
    [{ code: 'NO_HEIGHT', why: 'NONE' }, /None of these marks gives an elevation/],
    [{ code: 'NO_HEIGHT', why: 'NOT_USED' }, /These marks have elevations, but none is used/],
    [{ code: 'NO_HEIGHT', why: 'METHOD' }, /Points on lines have none/],
    [{ code: 'LINE_OFF', name: 'Hall A–B', off: -0.05 }, /50 mm beside the line/],
  ];
  it.each(reasons)('%j', (reason, text) => {
    const said = reasonWords(reason, NAMING);
    expect(said.text).toMatch(text);
    isWhole(said.text);
    expect(said.title.length).toBeGreaterThan(5);
  });
});

describe('troubles of the link', () => {
  const troubles: readonly (readonly [SimulatorTrouble, RegExp])[] = [
    [{ code: 'NOT_LEVEL' }, /out of the compensator’s reach/],
    [{ code: 'BATTERY_EMPTY' }, /battery is empty/],
    [{ code: 'CHANNEL_CLASH', channel: 3 }, /works on channel 3/],
  ];
  it.each(troubles)('%j say what to do', (trouble, text) => {
    expect(troubleWords(trouble)).toMatch(text);
    isWhole(troubleWords(trouble));
  });
});

describe('stations that can’t be had', () => {
  it('tell two places apart by a touch', () => {
    const error: StationError = { code: 'UNDETERMINED', path: [], reason: 'twofold' };
    expect(stationErrorSentence(error)).toMatch(/touch the plan roughly where the instrument stands/);
    isWhole(stationErrorSentence(error));
  });
});

describe('target heights', () => {
  const notices: readonly (readonly [TargetHeightNotice, string])[] = [
    [{ code: 'SAME_AFTER_NEW_TARGET', expected: 1.61 }, '1.610 m'],
    [{ code: 'OTHER_UNIT', likely: 1.5 }, '1.500 m'],
    [{ code: 'NOMINAL_LENGTH', difference: 0.134 }, '7 ft'],
    [{ code: 'TOO_TALL', likely: 1.98 }, '1.980 m'],
  ];
  it.each(notices)('%j say what is meant', (notice, figure) => {
    expect(targetHeightWords(notice, 'metre')).toContain(figure);
    isWhole(targetHeightWords(notice, 'metre'));
  });

  it('are told in the unit of the site', () => {
    expect(targetHeightWords({ code: 'OTHER_UNIT', likely: 1.524 }, 'foot')).toContain('5.000 ft');
  });

  it('come with how each kind of target is used', () => {
    for (const { name, hint } of Object.values(targetForm())) {
      expect(name.length).toBeGreaterThan(3);
      isWhole(hint);
    }
  });
});

describe('the drift of a day', () => {
  const clock = (at: number) => `${at}:00`;
  it('is not spoken of when there is none', () => {
    expect(driftWords({ kind: 'none' }, 'height', 'metre', clock)).toBeNull();
  });

  it.each([
    [
      { kind: 'step', from: 9, to: 10, size: 0.012, w: 6 },
      'height',
      /Sudden change in elevation between 9:00 and 10:00/,
      /differ by 12 mm\./,
    ],
    [{ kind: 'step', from: 9, to: 10, size: -0.02, w: -6 }, 'turn', /Sudden change in direction/, /20 mm at 100 m/],
    [{ kind: 'creep', perTime: 0.004 / 3_600_000, w: 5 }, 'turn', /The direction creeps/, /By 4 mm at 100 m an hour/],
  ] as const)('%j is told with moment and size', (drift, of, title, text) => {
    const said = driftWords(drift satisfies Drift, of, 'metre', clock)!;
    expect(said.title).toMatch(title);
    expect(said.text).toMatch(text);
    isWhole(said.text);
  });
});

describe('control that wants looking after', () => {
  const concerns: readonly (readonly [ConcernFacts, RegExp])[] = [
    [
      { code: 'WORKS', name: 'K1', work: 'Footing', kind: 'pour', on: '2031-05-20', left: 2 },
      /Footing pours over the ground there from 2031-05-20\. Only 2 usable marks/,
    ],
    [
      { code: 'WORKS', name: 'K1', work: 'Pit', kind: 'dig', on: null, left: 6 },
      /Pit digs the ground there\. Measure a mark/,
    ],
    [
      { code: 'WORKS', name: 'K1', work: 'Shed', kind: 'demolish', on: null, left: 1 },
      /tears down .*Only one usable mark/,
    ],
    [{ code: 'USE_SOON', name: 'K1', on: '2031-05-07', days: 0 }, /Before 2031-05-07, today/],
    [{ code: 'USE_SOON', name: 'K1', on: '2031-05-07', days: 1 }, /tomorrow/],
    [{ code: 'USE_SOON', name: 'K1', on: '2031-05-07', days: 5 }, /in 5 days/],
    [{ code: 'USE_SOON', name: 'K1', on: '2031-05-07', days: -2 }, /was to be used before/],
    [{ code: 'REFRESH', name: 'K1', days: 20 }, /Not seen for 20 days/],
    [{ code: 'ALIKE', name: 'K0', other: 'KO' }, /get mixed up/],
    [{ code: 'SPARE', name: 'K1', left: 3 }, /Measure extra control first/],
  ];
  it.each(concerns)('%j', (concern, text) => {
    const said = concernWords(concern);
    expect(said.text).toMatch(text);
    isWhole(said.text);
  });
});

describe('what a sheet says a station hangs on', () => {
  it.each([
    ['resection', ['K1', 'K2'], 'K1, K2'],
    [undefined, ['K1'], 'K1'],
    ['assumed', ['K1'], 'over K1, assumed direction, not checked'],
    ['onLines', [], 'points on drawn lines'],
    ['carried', ['N1', 'S1'], 'N1, S1, carried forward'],
  ])('%s %j: %s', (method, marks, words) => {
    expect(heldBy(method, marks)).toBe(words);
  });
});

describe('other words', () => {
  it('are whole', () => {
    expect(allowedRoles(['lead', 'technician'])).toBe('a lead or a technician');
    expect(geometryWords({ code: 'ONE_WALL' }, NAMING)).toContain('one wall');
    for (const caution of reportCautions()) isWhole(caution);
    for (const step of setupSteps()) isWhole(step.why);
    expect(new Set(setupSteps().map((step) => step.id)).size).toBe(setupSteps().length);
  });
});

describe('places and areas', () => {
  it('are asked about with the distance, and the reason names the area', () => {
    isWhole(placeDoubtWords({ code: 'OUTSIDE', distance: 3.216 }, 'metre'));
    expect(placeDoubtWords({ code: 'MIRRORED', distance: 3.216 }, 'metre')).toMatch(
      /3\.22 m outside .* Is the side right\?$/,
    );
    expect(hindranceWords({ name: 'Heap', how: 'inside' })).toBe('in or too near to Heap');
    expect(hindranceWords({ name: 'Heap', how: 'unseen' })).toBe('hidden from the instrument by Heap');
    expect(hindranceWords({ name: null, how: 'inside' })).toBe('inside an outline');
  });
});
