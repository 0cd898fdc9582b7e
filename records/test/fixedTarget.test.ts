import { describe, expect, it } from '@jest/globals';
import { carriedTo, isFixed, sightBody, targetOnFixed } from '@idle-marker/records';
import { newId, Story } from './story.ts';

const pole = {
  targetHeight: 1.8,
  legs: true,
  target: { item: newId(), name: 'round', constantMm: -30, ownHeight: 0.1 },
};
const READ = {
  circle: 10,
  zenith: 90,
  slope: 50,
  angleUnit: 'degree',
  lengthUnit: 'metre',
  angleDecimals: 4,
  lengthDecimals: 3,
  keyed: null,
} as const;

describe('a wall target', () => {
  it('has no pole, whatever is carried, and its own target', () => {
    const story = new Story()
      .control(['K1', 'K2'])
      .control(['K3'], { kind: 'target' })
      .control(['K4'], { kind: 'tag' });
    const foil = newId();
    story.say('equipment', {
      item: foil,
      what: { kind: 'target', name: 'foil', form: 'foil', constantMm: 4.4, ownHeight: 0.2 },
      retired: false,
      supersedes: null,
    });
    const to = (name: 'K1' | 'K3' | 'K4') => ({ kind: 'control' as const, mark: story.markId(name) });
    expect([to('K1'), to('K3'), to('K4')].map((target) => isFixed(story.state, target))).toEqual([false, true, true]);
    expect(carriedTo(story.state, to('K1'), pole)).toBe(pole);
    const carried = carriedTo(story.state, to('K3'), pole);
    expect(carried).toMatchObject({ targetHeight: 0, legs: false, fixed: true, target: { item: foil, ownHeight: 0 } });
    const occupation = story.occupy('S1');
    const body = sightBody(occupation, 'station', to('K3'), READ, carried);
    expect(body).toMatchObject({
      targetHeight: 0,
      targetHeightSdMm: 0,
      prismConstantMm: 4.4,
      carried: { poleMark: 0, ownHeight: 0, legs: false, pole: null },
    });
    expect(body.targetCentringSdMm).toBeLessThan(1);
  });

  it('is offered with what was last read on it', () => {
    const story = new Story().control(['K1', 'K2']).control(['K3', 'K4'], { kind: 'target' });
    const [foil, small] = [newId(), newId()];
    const what = { kind: 'target' as const, constantMm: 0, ownHeight: 0 };
    story.say('equipment', {
      item: foil,
      what: { ...what, name: 'foil', form: 'foil' },
      retired: false,
      supersedes: null,
    });
    story.say('equipment', {
      item: small,
      what: { ...what, name: 'small', form: 'small', constantMm: 12 },
      retired: false,
      supersedes: null,
    });
    const occupation = story.occupy('S1');
    const to = (name: 'K3' | 'K4') => ({ kind: 'control' as const, mark: story.markId(name) });
    const other = { item: small, name: 'small', constantMm: 12, ownHeight: 0 };
    story.say(
      'sight',
      sightBody(occupation, 'station', to('K3'), READ, { targetHeight: 0, legs: false, fixed: true, target: other }),
    );
    expect(targetOnFixed(story.state, to('K3'))?.item).toBe(small);
    expect(targetOnFixed(story.state, to('K4'))?.item).toBe(small);
  });

  it('of foil that is held to anything else has no pole either', () => {
    const story = new Story().control();
    const foil = newId();
    story.say('equipment', {
      item: foil,
      what: { kind: 'target', name: 'foil', form: 'foil', constantMm: 0, ownHeight: 0 },
      retired: false,
      supersedes: null,
    });
    const target = { item: foil, name: 'foil', constantMm: 0, ownHeight: 0 };
    expect(carriedTo(story.state, { kind: 'spot', name: 'sill' }, { ...pole, target })).toMatchObject({
      targetHeight: 0,
      fixed: true,
      target,
    });
  });
});
