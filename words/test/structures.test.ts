/**
 * What is said at the pole about lines, columns, bolts, piles and care: whole sentences, sides in words, never a bare
 * sign.
 */
import { describe, expect, it } from '@jest/globals';
import { faceAgainstLine, fitPattern, type FaceShot } from '@idle-marker/core';
import {
  regionWords,
  sayIn,
  NORTH_AMERICAN,
  alongWords,
  careWords,
  careList,
  CARE_OF_EQUIPMENT,
  cautionWords,
  cutFillWords,
  faceWords,
  heightOffWords,
  markKindWords,
  markToolWords,
  offLineParts,
  offWords,
  patternWords,
  pushWords,
  rakeWords,
  ROUNDING,
  sideWords,
  toleranceWords,
  writtenLength,
} from '../src/index.ts';

const EAST = Math.PI / 2;
const FOOT = 0.3048;
const bare = /(^|\s)[+−-]\d/;

describe('off a line', () => {
  it('is said by the hand and by the compass, and never with a sign', () => {
    expect(offLineParts(0.152, 0, 'A', 'metre')).toEqual({ figure: '0.152', way: 'm right (east) of line A' });
    expect(offLineParts(-0.152, 0, 'A', 'metre')).toEqual({ figure: '0.152', way: 'm left (west) of line A' });
    expect(offLineParts(0.0001, 0, 'A', 'metre')).toEqual({ figure: null, way: 'on line A' });
    expect(sideWords(-0.5, EAST, 'metre')).toBe('0.500 m north of the line');
    expect(alongWords(7.32, 'on', 'metre')).toBe('7.320 m along it');
    expect(alongWords(-2, 'before', 'metre')).toBe('2.000 m before its start');
    expect(alongWords(31, 'after', 'metre')).toBe('31.000 m along it, beyond its end');
  });
  it('as built says east and north, high and low', () => {
    expect(offWords(0.012, -0.003, 'metre')).toBe('12 mm east, 3 mm south');
    expect(offWords(0.0001, 0, 'metre')).toBe('on design');
    expect(heightOffWords(-0.004, 'metre')).toBe('4 mm low');
    expect(heightOffWords(null, 'metre')).toBe('no elevation');
    for (const said of [offWords(-0.2, 0.1, 'foot'), heightOffWords(0.02, 'foot')]) expect(said).not.toMatch(bare);
  });
});

describe('a column', () => {
  const line = { from: { e: 0, n: 0 }, to: { e: 0, n: 10 } };
  const shot = (edge: FaceShot['edge'], off: number, n: number, level: FaceShot['level'] = 'low'): FaceShot => ({
    edge,
    level,
    place: { e: off, n, z: level === 'low' ? 1 : 3.5 },
  });
  const about = {
    line: 'A',
    azimuth: 0,
    crossing: '2',
    crossingAlong: 5,
    tolerance: 0.005,
    unit: 'metre',
    angleUnit: 'dms',
  } as const;
  const said = (shots: readonly FaceShot[], width: number | null) =>
    faceWords(faceAgainstLine({ line, shots, targetOffset: 0, width })!, about);

  it('that stands where it should is called so, with what to write', () => {
    const judged = said([shot('first', 0.151, 4.85), shot('second', 0.151, 5.15)], 0.3);
    expect(judged).toMatchObject({
      tone: 'good',
      title: 'Column A-2 is in tolerance',
      write: ['face 0.151 to line A', 'line A is west of here', 'middle on line 2'],
    });
    expect(judged.lines.join(' ')).toBe(
      'The face is 0.151 m east of line A. Its middle is on line A within 1 mm. Both edges agree within 1 mm. It is centered on line 2 within 1 mm.',
    );
  });
  it('that does not is told by its faults, each with its side', () => {
    const judged = said(
      [shot('first', 0.15, 4.86), shot('second', 0.172, 5.16), shot('first', 0.161, 4.86, 'high')],
      0.3,
    );
    expect(judged.title).toBe('Column A-2: off line, twisted, off line 2, leaning');
    expect(judged.write.at(-1)).toBe('line 2: 0.010 south of middle');
    expect(judged.lines.join(' ')).toMatch(
      /11 mm east of line A\. It is twisted by 4\.19°: the edge to the north stands 22 mm farther east\. Along the line it is 10 mm north of line 2\. It leans 11 mm to the east over 2\.50 m\./,
    );
  });
  it('is written in inches for the ironworker where the site says inches', () => {
    sayIn({ preset: 'northAmerican', small: 'sixteenth' });
    const shots = [shot('first', 0.151, 4.85), shot('second', 0.151, 5.15)];
    const judged = faceWords(faceAgainstLine({ line, shots, targetOffset: 0, width: 0.3 })!, {
      ...about,
      unit: 'foot',
      crossingAlong: 5.01,
    });
    expect(judged.write).toEqual(['face 5 15/16″ to line A', 'line A is west of here', 'line 2: 3/8″ north of middle']);
    sayIn(NORTH_AMERICAN);
  });
  it('of which too little is known says what is missing', () => {
    expect(said([shot('first', 0.15, 4.85)], null)).toMatchObject({ tone: 'ochre', title: 'Column A-2: not complete' });
    expect(said([shot('first', 0.15, 4.85)], null).lines.join(' ')).toMatch(/Tape the width.*Shoot the other edge too/);
  });
});

describe('bolts', () => {
  const design = [
    { name: '1', design: { e: 0, n: 0 } },
    { name: '2', design: { e: 1, n: 0 } },
    { name: '3', design: { e: 1, n: 1 } },
    { name: '4', design: { e: 0, n: 1 } },
  ];
  const fit = (off: (i: number) => { e: number; n: number }) => {
    const found = fitPattern(
      design.map((point, i) => ({ ...point, built: { e: point.design.e + off(i).e, n: point.design.n + off(i).n } })),
    );
    if (!found.ok) throw new Error(found.error.code);
    return found.value;
  };
  it('are judged as a group and by the worst of them', () => {
    expect(
      patternWords(
        fit(() => ({ e: 0.001, n: 0 })),
        4,
        0.004,
        { lengthUnit: 'metre', angleUnit: 'dms' },
      ),
    ).toMatchObject({ tone: 'good', title: 'Group in tolerance' });
    expect(
      patternWords(
        fit(() => ({ e: 0.02, n: 0 })),
        4,
        0.004,
        { lengthUnit: 'metre', angleUnit: 'dms' },
      ).title,
    ).toBe('The pattern is good, but it sits 20 mm off');
    expect(
      patternWords(
        fit((i) => ({ e: i === 2 ? 0.02 : 0, n: 0 })),
        4,
        0.004,
        { lengthUnit: 'metre', angleUnit: 'dms' },
      ).title,
    ).toMatch(/^3 is out of the pattern by \d+ mm$/);
    expect(
      patternWords(
        fit(() => ({ e: 0.02, n: 0 })),
        4,
        0.004,
        { lengthUnit: 'metre', angleUnit: 'dms' },
      ).text,
    ).toBe(
      'Group of 4 bolts: 20 mm east, not turned; 1 is then left 0 mm from its place in the pattern. Tolerance 4 mm.',
    );
  });
});

describe('a leaning pile', () => {
  const rake = { azimuthDeg: 90, ratio: 4 };
  it('says whither the ground moves its place', () => {
    expect(rakeWords(rake, 5, 5.2, 'metre')).toBe(
      'Rake 4:1 (V:H), toe to the east. Ground is 200 mm above 5.000 m: position shifted 50 mm away from the toe.',
    );
    expect(rakeWords(rake, 5, 4.8, 'metre')).toContain('below 5.000 m: position shifted 50 mm toward the toe');
    expect(rakeWords(rake, 5, 5, 'metre')).toContain('at the level that it was drawn for');
    expect(rakeWords(rake, 5, null, 'metre')).toContain('follow the shot');
  });
});

describe('a driven hub', () => {
  it('is pushed through the ground, in words', () => {
    expect(pushWords({ up: 0.012, right: -0.003 }, 'facingInstrument', 'metre')).toBe(
      'Move the hub 12 mm toward instrument and 3 mm left. A few millimeters: pry it over with a bar in the ground behind it, tamp the gap, then shoot again. More than that: pull it and drive a new one.',
    );
    expect(pushWords({ up: 0, right: 0 }, 'north', 'metre')).toBe('In position.');
  });
});

describe('figures for a crew', () => {
  it('are rounded for whoever reads them', () => {
    const feet = 1.0521 * FOOT;
    expect(
      ['finest', 'hundredth', 'tenth', 'sixteenth'].map((rounding) =>
        writtenLength(feet, 'foot', rounding as 'finest'),
      ),
    ).toEqual(['1.052', '1.05', '1.1', '1′ 0 5/8″']);
    expect(ROUNDING('metre').map(([rounding]) => rounding)).toEqual(['finest', 'hundredth']);
    expect(cutFillWords(-0.0208 * FOOT, 'foot', 'sixteenth')).toBe('FILL 0′ 0 1/4″');
    expect(cutFillWords(0.002 * FOOT, 'foot', 'hundredth')).toBe('ON GRADE');
    expect(toleranceWords({ plan: 0.006, height: 0.005 }, 'metre')).toBe('6 / 5 mm');
    expect(toleranceWords({ plan: 0.006096, height: 0.003048 }, 'foot')).toBe('0.020 / 0.010 ft');
  });
});

describe('care', () => {
  it('has a sentence for every caution, and an answer that says what was done', () => {
    for (const code of ['services', 'traffic', 'machine', 'edge', 'overhead', 'keepOut'] as const)
      for (const who of ['mark', 'instrument'] as const) {
        const { title, text, answer } = cautionWords(code, 'Haul road', who);
        expect(text).toMatch(/Haul road.*\.$/);
        expect(title.length).toBeGreaterThan(8);
        expect(answer).not.toMatch(/^(ok|yes|close|got it)$/i);
        expect(careWords()[code].length).toBeGreaterThan(5);
      }
    expect(cautionWords('services', null, 'mark').text).not.toContain('runs near');
  });
  it('is a list of whole sentences, and every kind of mark has its tools', () => {
    for (const { lines } of careList()) for (const line of lines) expect(line).toMatch(/^[A-Z].*\.$/);
    for (const kind of Object.keys(markKindWords()) as (keyof ReturnType<typeof markKindWords>)[])
      expect(markToolWords()[kind]).toMatch(/\.$/);
    for (const what of CARE_OF_EQUIPMENT) expect(careWords()[what].length).toBeGreaterThan(5);
  });
});

describe('a stretch of a line with station equations', () => {
  const style = { unit: 'metre', format: 'thousand' } as const;
  const jumps = [
    { back: 140, ahead: 200 },
    { back: 460, ahead: 420.5 },
  ];
  it('is told by the equations at its ends, as the drawing has them', () => {
    expect([0, 1, 2].map((region) => regionWords(jumps, region, style))).toEqual([
      'before the equation 0+140 = 0+200',
      'between the equations 0+140 = 0+200 and 0+460 = 0+420.5',
      'after the equation 0+460 = 0+420.5',
    ]);
    expect(regionWords([], 0, style)).toBe('');
  });
});
