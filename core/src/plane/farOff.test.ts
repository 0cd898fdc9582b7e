import { describe, expect, it } from '@jest/globals';
import { extentOf, farOff, feetApart, type Extent } from './farOff.ts';

/** Control lies round E 4005, N 8000. */
const SITE: Extent = [3940, 7930, 4070, 8075];
const scaled = (factor: number): Extent => [3990 * factor, 7990 * factor, 4010 * factor, 8010 * factor];

describe('a drawing that lies far from the control', () => {
  it('is not asked about while it lies on the site', () => {
    expect(farOff(SITE, scaled(1), 1)).toBeNull();
    expect(farOff(SITE, [3500, 7600, 4600, 8500], 1)).toBeNull();
    expect(extentOf([])).toBeNull();
  });

  it('is told by the unit that would bring it there', () => {
    // Figures of the site in feet, taken for metres; and in millimetres.
    expect(farOff(SITE, scaled(1 / 0.3048), 1)).toEqual({ code: 'OTHER_UNIT', unit: expect.stringMatching(/feet$/) });
    expect(farOff(SITE, scaled(1000), 1)).toEqual({ code: 'OTHER_UNIT', unit: 'millimetres' });
    // Metres, taken for feet.
    expect(farOff(SITE, scaled(0.3048), 0.3048)).toEqual({ code: 'OTHER_UNIT', unit: 'metres' });
  });

  it('is told by its axes, when these are exchanged', () => {
    expect(farOff(SITE, [7990, 3990, 8010, 4010], 1)).toEqual({ code: 'AXES_EXCHANGED' });
  });

  it('is told by how far off it lies when nothing explains it', () => {
    expect(farOff(SITE, [90_000, 90_000, 90_100, 90_100], 1)).toMatchObject({
      code: 'FAR',
      distance: expect.closeTo(118_680, -3),
    });
  });
});

describe('feet of two kinds', () => {
  it('are two millionths apart of where they are, and no question on metres or near the origin', () => {
    const drawn: Extent = [10_000, -600_000, 10_100, -599_900];
    const [foot, surveyFoot] = [0.3048, 1200 / 3937];
    expect(feetApart('usSurveyFoot', drawn, foot)).toBeCloseTo(1.2, 5);
    expect(feetApart('foot', drawn, surveyFoot)).toBeCloseTo(1.2, 5);
    expect(feetApart('usSurveyFoot', drawn, surveyFoot)).toBeNull();
    expect(feetApart('foot', drawn, 1)).toBeNull();
    expect(feetApart('metre', drawn, foot)).toBeNull();
    expect(feetApart('foot', [0, 0, 400, 300], surveyFoot)).toBeNull();
  });
});
