import { describe, expect, it } from '@jest/globals';
import { composedTargetHeight, noticeTargetHeight, type TargetHeightChange } from './targetHeight.ts';
import { reduceReading } from './reduce.ts';

const change = (height: number, rest: Partial<TargetHeightChange> = {}): TargetHeightChange => ({
  height,
  ownHeight: 0,
  before: { height: 1.5, ownHeight: 0 },
  newTarget: false,
  ...rest,
});

describe('a target height', () => {
  it('is the mark of the pole and what the target adds', () => {
    expect(composedTargetHeight(1.5, 0.11)).toBeCloseTo(1.61, 12);
  });

  it('is not odd when it is the same, or another one that people use', () => {
    for (const height of [1.5, 1.502, 1.3, 2.0, 0.1]) expect(noticeTargetHeight(change(height))).toBeNull();
    expect(noticeTargetHeight({ height: 1.5, ownHeight: null, before: null, newTarget: true })).toBeNull();
  });

  it('that stayed although the target changed is asked about, with what it would be', () => {
    const notice = noticeTargetHeight(change(1.5, { newTarget: true, ownHeight: 0.11 }));
    expect(notice).toEqual({ code: 'SAME_AFTER_NEW_TARGET', expected: 1.61 });
    // A target whose centre sits where the other one sat changes nothing.
    expect(noticeTargetHeight(change(1.5, { newTarget: true }))).toBeNull();
  });

  it.each([
    [4.921, 1.5],
    [0.4572, 1.5],
  ])('of %p after 1.5 is the same in another unit', (height, likely) => {
    const notice = noticeTargetHeight(change(height));
    expect(notice?.code).toBe('OTHER_UNIT');
    expect((notice as { likely: number }).likely).toBeCloseTo(likely, 2);
  });

  it('that jumps by what 2 m and 7 ft differ is noticed', () => {
    expect(noticeTargetHeight(change(2.1336, { before: { height: 2, ownHeight: 0 } }))).toMatchObject({
      code: 'NOMINAL_LENGTH',
    });
    expect(noticeTargetHeight(change(2, { before: { height: 2.1336, ownHeight: 0 } }))).toMatchObject({
      code: 'NOMINAL_LENGTH',
    });
  });

  it('taller than any pole would be usual in feet', () => {
    expect(noticeTargetHeight({ height: 6.5, ownHeight: null, before: null, newTarget: false })).toMatchObject({
      code: 'TOO_TALL',
    });
  });
});

describe('a quick reading', () => {
  it('has the stated errors as often as its factor says, and the same figures', () => {
    const precision = { angleSd: 1e-5, distanceSd: 0.002, distanceSdRatio: 2e-6 };
    const reduction = {
      combinedScaleFactor: 1,
      refraction: 0.13,
      earthRadius: 6371000,
      prismConstant: 0,
      atmosphericRatio: 0,
    };
    const reading = {
      face: 1 as const,
      circle: 1,
      zenith: 1.55,
      slope: 80,
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
    };
    const careful = reduceReading(reading, precision, reduction);
    const quick = reduceReading({ ...reading, errorFactor: 2 }, precision, reduction);
    expect(quick.gridDistance).toBe(careful.gridDistance);
    expect(quick.varDirection).toBeCloseTo(4 * careful.varDirection, 20);
    expect(quick.varRadial).toBeCloseTo(4 * careful.varRadial, 15);
  });
});
