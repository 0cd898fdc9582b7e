import { describe, expect, it } from '@jest/globals';
import { RADIANS_PER_DEGREE, VIEWPOINTS, type Explanation } from '@idle-marker/core';
import {
  levelStepWords,
  cutFillWords,
  directionWords,
  fallenWords,
  moveWords,
  obstacleWords,
  proofSentence,
  proofVerdict,
  reasonWords,
  smallAngle,
  smallLength,
  spreadWords,
  stationErrorSentence,
  stepWords,
  tapeWords,
  twoReadingsWords,
  unnoticedWords,
} from './index.ts';

const NAMING = { nameOf: (mark: string) => mark.toUpperCase(), unit: 'metre', angleUnit: 'dms' } as const;

describe('a small angle', () => {
  it('is in minutes and degrees, or in milligon and gon where the site reads gon', () => {
    const at = (degrees: number) => [
      smallAngle(degrees * RADIANS_PER_DEGREE, 'dms'),
      smallAngle(-degrees * RADIANS_PER_DEGREE, 'gon'),
    ];
    expect([0.05, 0.5, 5, 50].map(at)).toEqual([
      ['3.0′', '55.6 mgon'],
      ['30′', '556 mgon'],
      ['5.00°', '5.56 gon'],
      ['50.0°', '55.6 gon'],
    ]);
    const off = { code: 'TYPED_DIRECTION_OFF', name: 'k1', across: 0.3, angle: 0.01, isUsed: true } as const;
    expect(reasonWords(off, { ...NAMING, angleUnit: 'gon' }).text).toContain('(637 mgon)');
  });
});

describe('moves', () => {
  it('say both figures with their words, and leave out what rounds to nothing', () => {
    expect(moveWords({ up: 0.604, right: -0.118 }, 'facingInstrument', 'metre')).toBe(
      '0.604 toward instrument, 0.118 left',
    );
    expect(moveWords({ up: -0.604, right: 0.0004 }, 'facingInstrument', 'metre')).toBe('0.604 away from instrument');
    expect(moveWords({ up: 0.0001, right: 0 }, 'north', 'metre')).toBe('On the spot');
    expect(moveWords({ up: 0.3048, right: 0 }, 'north', 'foot')).toBe('1.000 north');
  });

  it('never call two directions alike, and never say a bare in or out', () => {
    for (const viewpoint of VIEWPOINTS) {
      const words = Object.values(directionWords()[viewpoint]);
      expect(new Set(words).size).toBe(4);
      expect(words.join(' ')).not.toMatch(/\b(in|out)\b/);
    }
  });

  it('hand over to the tape with the same figures', () => {
    expect(tapeWords({ up: 0.604, right: -0.118 }, 'facingInstrument', 'metre')).toBe(
      'Close enough to tape: step 0.118 left onto the line, mark the spot, tape 0.604 toward instrument, shoot once.',
    );
  });
});

describe('stakes', () => {
  it('have cut above design and fill below, never a sign', () => {
    expect(cutFillWords(0.061, 'metre')).toBe('CUT 0.061');
    expect(cutFillWords(-0.332, 'metre')).toBe('FILL 0.332');
    expect(cutFillWords(-0.0004, 'metre')).toBe('ON GRADE');
    expect(cutFillWords(null, 'metre')).toBe('no elevation');
    expect(cutFillWords(0.3048, 'foot')).toBe('CUT 1.000');
  });
});

describe('judgements', () => {
  it('say what, why and what next', () => {
    const explained = (explanation: Pick<Explanation, 'points' | 'figures'>, share = 0.97) =>
      reasonWords(
        {
          code: 'EXPLAINED',
          explanation: { ...explanation, code: explanation.figures.code } as Explanation,
          share,
          others: 4,
          othersWithin: 0.002,
        },
        NAMING,
      );
    const off = explained({ points: ['k5'], figures: { code: 'MARK_MOVED_PLAN', dE: 0.0172, dN: 0.0172 } });
    expect(off.title).toBe('K5 doesn’t fit the other four');
    expect(off.text).toBe(
      'The rest agree within 2 mm. Without it, K5 measures 24 mm north-east of its listed position. That explains 97 % of the residual.',
    );
    expect(stepWords({ code: 'LEVEL_POLE', name: 'k5' }, NAMING)).toBe('Hold the pole plumb on K5, prism low.');
    expect(explained({ points: ['k4'], figures: { code: 'MARK_MOVED_HEIGHT', dZ: -0.014 } }).text).toMatch(
      /It stands 14 mm lower than listed/,
    );
    expect(explained({ points: ['k4'], figures: { code: 'TARGET_HEIGHT', error: 0.2 } }).text).toMatch(
      /target height was 0\.200 m too high/,
    );
    expect(explained({ points: [], figures: { code: 'PRISM_CONSTANT', constant: -0.03 } }).title).toBe(
      'All distances are 30 mm too long',
    );
    expect(explained({ points: [], figures: { code: 'LENGTH_UNIT', factor: 0.3048 } }).title).toBe(
      'Distances in feet were taken for meters',
    );
    expect(explained({ points: [], figures: { code: 'SCALE', ratio: 4e-4 } }).title).toBe(
      'Distances are 400 ppm too short',
    );
    expect(
      explained({ points: ['k1'], figures: { code: 'DIRECTION_READING', circleError: Math.PI / 1080 } }).text,
    ).toMatch(/off by 10′/);
    expect(explained({ points: ['k1', 'k2'], figures: { code: 'POINT_MISNAMED' } }).title).toBe(
      'This looks like K2, not K1',
    );
  });

  it('say of two explanations that fit alike what would tell them apart', () => {
    const first = {
      code: 'PRISM_CONSTANT',
      points: [],
      figures: { code: 'PRISM_CONSTANT', constant: 0.01 },
    } as unknown as Explanation;
    const second = { code: 'SCALE', points: [], figures: { code: 'SCALE', ratio: 2e-4 } } as unknown as Explanation;
    expect(reasonWords({ code: 'CANNOT_TELL', first, second, apart: { by: 'OTHER_DISTANCE' } }, NAMING).text).toBe(
      'Most likely: all distances are 10 mm too short; or distances are 200 ppm too short. A mark at a very different distance would tell: a constant is the same at all, a scale grows.',
    );
  });

  it('name the class’s terms that are not met', () => {
    expect(obstacleWords({ code: 'TOO_FEW_MARKS', used: 2, needed: 4 }, NAMING)).toBe(
      '2 places with marks used, the class asks for 4',
    );
    expect(
      obstacleWords({ code: 'PLAN_IMPRECISE', radius95: 0.0071, allowed: 0.006 }, { ...NAMING, unit: 'usSurveyFoot' }),
    ).toBe('good to 0.023 ft in plan (95 %), the class asks for 0.020 ft');
    expect(smallLength(-0.0026, 'metre')).toBe('3 mm');
  });

  it('tell errors as sentences with something to do', () => {
    expect(stationErrorSentence({ code: 'COINCIDENT_POINTS', path: [], names: ['A', 'B'] })).toBe(
      'A and B are the same place, within 10 mm: sight a mark somewhere else.',
    );
    expect(stationErrorSentence({ code: 'INVALID_SLOPE', path: [], slope: 0 })).toMatch(/must be over 0/);
    expect(stationErrorSentence({ code: 'UNDETERMINED', path: [], reason: 'imprecise' })).toMatch(
      /circle through the marks/,
    );
  });
});

describe('proofs', () => {
  it('stop, warn or let go on', () => {
    expect(proofVerdict('outside', 'good', true)).toMatchObject({
      tone: 'brick',
      title: 'Stop: check shot out of tolerance in plan',
    });
    expect(proofVerdict('good', 'outside', true).title).toMatch(/elevation$/);
    expect(proofVerdict('moreThanChance', 'good', true).tone).toBe('ochre');
    expect(proofVerdict('good', 'good', false).title).toBe('Nothing has moved since');
    expect(proofVerdict('good', 'notMeasured', true).title).toBe('Station proven');
    expect(proofVerdict('notMeasured', 'notMeasured', true).title).toBe('Nothing was compared');
  });

  it('give the misfit as the eye sees it', () => {
    const plan = {
      dE: 0.003,
      dN: 0.001,
      dAlong: -0.002,
      dAcross: 0.0024,
      horizontal: 0.0032,
      sdDE: 0,
      sdDN: 0,
      sdDAlong: 0,
      sdDAcross: 0,
      t: 1,
      significant: false,
    };
    const check = { plan, height: { dZ: -0.001, sd: 0.001, w: -1, significant: false } } as Parameters<
      typeof proofSentence
    >[1];
    expect(proofSentence('P1', check, 'good', 'good', 'metre')).toBe(
      'P1 measures 3 mm in plan (2 mm nearer, 2 mm right of the line of sight) and 1 mm below its listed elevation.',
    );
    expect(proofSentence('P1', check, 'notMeasured', 'good', 'metre')).toBe(
      'P1 measures 1 mm below its listed elevation.',
    );
  });
});

describe('a length that can be read in two ways', () => {
  it('is refused with both, in the unit of the site', () => {
    expect(twoReadingsWords('5-6 1/2', 'metre')).toBe(
      '“5-6 1/2” can be read in two ways: 5′ 6 1/2″, which is 1.689 m, or one figure less another, −1.500 m. Write the one that is meant.',
    );
    expect(twoReadingsWords('5-6', 'foot')).toMatch(
      /5′ 6″, which is 5\.500 ft, or one figure less another, −1\.000 ft/,
    );
    expect(twoReadingsWords('5-6 1/2', 'foot')).toBeNull();
    expect(twoReadingsWords('5.6', 'metre')).toBeNull();
  });
});

describe('a station that fell', () => {
  const worst = { fault: 'PLACE', names: ['k1', 'k8'], noticed: null, effect: null, at: 'work', blind: 0 } as const;
  const fallen = { station: 'S1', worst, set: 3, again: ['H2', 'H1'], inForce: false };

  it('says why, and what to sight again in which order', () => {
    const { title, text, todo } = fallenWords(fallen, NAMING);
    expect(title).toBe('S1 isn’t checked under today’s rules');
    expect(text).toMatch(
      /K1 and K8: A shift of any size of both together, least seen to the north or south, would go unseen\.$/,
    );
    expect(fallenWords({ ...fallen, worst: { ...worst, names: ['k1', 'k8', 'k9'] } }, NAMING).text).toMatch(
      /^.*K1, K8 and K9: A shift of any size of all together/,
    );
    expect(todo).toBe('Not verified: sight again from a station that is checked, in this order: H2, H1.');
    expect(fallenWords({ ...fallen, inForce: true }, NAMING).todo).toMatch(
      /^The instrument is still there: sight another mark from it/,
    );
    expect(fallenWords({ ...fallen, again: [] }, NAMING).todo).toMatch(/verified by other evidence/);
    expect(fallenWords({ ...fallen, again: [], set: 0, inForce: true }, NAMING).todo).toMatch(
      /Nothing has been set from it yet\.$/,
    );
  });
});

describe('what would go unseen', () => {
  const place = { fault: 'PLACE', names: ['c'], noticed: 1.73, effect: 0.949, at: 'station', blind: null } as const;

  it('is said with its size and what it would do, in the unit of the site', () => {
    expect(unnoticedWords(place, NAMING)).toBe(
      'A shift of up to 1.7 m would go unseen and put this station 0.95 m off.',
    );
    expect(unnoticedWords({ ...place, at: 'work', blind: Math.PI / 4 }, { ...NAMING, unit: 'foot' })).toBe(
      'A shift of up to 5.7 ft, least seen to the north-east or south-west, would go unseen and put what is set from here up to 3.1 ft off.',
    );
    expect(
      unnoticedWords(
        { fault: 'SCALE', names: [], noticed: 141e-6, effect: 0.0123, at: 'station', blind: null },
        NAMING,
      ),
    ).toBe('A scale that is wrong by up to 141 ppm would go unseen and put this station 12 mm off.');
    expect(reasonWords({ code: 'HARDLY_CHECKED', of: place }, NAMING).title).toBe('C is hardly checked');
    expect(stepWords({ code: 'SIGHT_ANOTHER', name: 'k7', azimuth: (7 * Math.PI) / 4, effect: 0.012 }, NAMING)).toBe(
      'Sight another mark, best to the north-west: K7 would bring what could go unseen to 12 mm.',
    );
    expect(stepWords({ code: 'PROVE_ON', name: null }, NAMING)).toMatch(
      /^No listed mark would check this station: prove it/,
    );
  });

  it('is a range where it can’t be told, or nothing at all with two places', () => {
    const moved = (name: string) => ({ code: 'MARK_MOVED_PLAN', points: [name] }) as unknown as Explanation;
    const under = [
      { explanation: moved('k3'), off: 0.031 },
      { explanation: moved('k2'), off: 0.004 },
    ];
    expect(spreadWords({ goodTo: 0.035, under }, NAMING)).toBe(
      'Until that is known this station is good to no better than 35 mm: it is off by 31 mm if K3 moved, 4 mm if K2 moved.',
    );
    expect(spreadWords({ goodTo: null, under }, NAMING)).toMatch(
      /^Until that is known, the error of this station has no limit/,
    );
  });
});

describe('what to do at the foot screws', () => {
  it('says which one and which way, as both thumbs go and as seen from above', () => {
    expect(levelStepWords({ by: 'pair', numbers: [2, 3], lifts: true })).toBe(
      'Screws 2 and 3 together, both thumbs in: seen from above 2 anticlockwise, 3 clockwise.',
    );
    expect(levelStepWords({ by: 'pair', numbers: [2, 3], lifts: false })).toMatch(
      /both thumbs out: seen from above 2 clockwise, 3 anticlockwise/,
    );
    expect(levelStepWords({ by: 'screw', numbers: [1], lifts: false })).toBe(
      'Screw 1 alone, anticlockwise seen from above: its corner sinks.',
    );
    expect(levelStepWords({ by: 'leg', numbers: [1], lifts: true })).toBe(
      'Too far out for the screws: make leg 1 a little longer.',
    );
  });
});
