/** Raw sights out of one site and into another: the same station to the last digit. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { rawSightsText, readRawSights, resectionJson, type RawSights } from '@idle-marker/contract';
import { rawSightsFaultWords } from '@idle-marker/words';
import {
  controlElsewhere,
  exportedLines,
  exportedPoints,
  exportedSetups,
  factsOfRaw,
  rawSightsOf,
  siteState,
  stationDraft,
  stationOfRaw,
} from '../src/index.ts';
import { newId, Story } from './story.ts';

const read = (text: string): RawSights => {
  const found = readRawSights(text);
  if (!found.ok) throw new Error(rawSightsFaultWords(found.error));
  return found.value;
};
function morning() {
  const story = new Story({ combinedScaleFactor: 0.9998712 }).control();
  const solution = story.station('S1');
  story.prove(solution, 'P1', { e: 0.0013 });
  const work = story.work();
  story.set(solution, work, 0);
  return { story, solution };
}

describe('raw sights', () => {
  it('read back give the same station to the last digit', () => {
    const { story, solution } = morning();
    const raw = rawSightsOf(story.state, solution.occupation);
    const back = read(rawSightsText(raw));
    expect(back).toEqual(raw);
    const again = stationOfRaw(back);
    if (!again?.ok) throw new Error('no station');
    const { points: _points, observations: _observations, ...figures } = resectionJson(again.value) as Record<string, unknown>;
    for (const key of ['e', 'n', 'z', 'orientationDeg', 'covariance', 'ellipse95', 'sdTrunnionZMm'])
      expect([key, figures[key]]).toEqual([key, solution.fact.body.result[key]]);
    expect(back.sights.filter(({ used }) => used === null)).not.toEqual([]);
    expect(back.sights.map(({ target }) => target.kind)).toContain('other');
  });
  it('taken in by another site are a set-up of it, with the control that it lacks, and give the same station', () => {
    const { story, solution } = morning();
    const raw = read(rawSightsText(rawSightsOf(story.state, solution.occupation)));
    const other = new Story({ combinedScaleFactor: 0.9998712 });
    for (const { type, id, body } of factsOfRaw(other.state, raw, newId)) other.say(type, body, 1, id);
    expect(other.state.control.map((mark) => mark.revision.body.name).sort()).toEqual(raw.control.map(({ name }) => name).sort());
    const [occupation] = other.state.occupations;
    const flags = Object.fromEntries(
      [...other.state.sights.values()]
        .filter((sight) => sight.body.purpose === 'station')
        .map((sight, i) => [sight.id, raw.sights.filter(({ purpose }) => purpose === 'station')[i]!.used!]),
    );
    const { outcome } = stationDraft(other.state, occupation!, flags);
    if (!outcome?.ok) throw new Error('no station');
    const { e, n, z } = solution.fact.body.result;
    const { e: e2, n: n2, z: z2 } = resectionJson(outcome.value.result);
    expect([e2, n2, z2]).toEqual([e, n, z]);
    // A mark of the same name that lies elsewhere is told.
    const moved = new Story().control(['K1'], { z: 9 });
    expect(controlElsewhere(moved.state, raw).map(({ name }) => name)).toEqual(['K1']);
    expect(factsOfRaw(moved.state, raw, newId).filter(({ type }) => type === 'control')).toHaveLength(raw.control.length - 1);
  });
  it('are refused with the line and what is wrong with it', () => {
    const { story, solution } = morning();
    const lines = rawSightsText(rawSightsOf(story.state, solution.occupation)).trim().split('\n');
    const at = lines.findIndex((line) => line.startsWith('{"sight"'));
    const broken = (i: number, change: (line: string) => string) => readRawSights(lines.map((line, k) => (k === i ? change(line) : line)).join('\n'));
    const cases = [
      [readRawSights(''), /no file of raw sights/],
      [readRawSights('name,e,n\nK1,1,2'), /no file of raw sights/],
      [readRawSights(lines.slice(1).join('\n')), /no file of raw sights/],
      [broken(0, (line) => line.replace('"version":1', '"version":9')), /later version/],
      [broken(at, (line) => line.slice(0, 40)), new RegExp(`^Line ${at + 1} is no whole JSON`)],
      [broken(at, (line) => line.replace('"face":1', '"face":3')), new RegExp(`^Line ${at + 1}, sight/face: `)],
      [broken(at, (line) => line.replace('"purpose"', '"purposes"')), new RegExp(`^Line ${at + 1}, sight/`)],
      [broken(at, (line) => line.replace(/"name":"K\d"/, '"name":"K99"')), /names the control mark K99, but the file does not say/],
      [readRawSights([...lines, lines.find((line) => line.startsWith('{"setup"'))!].join('\n')), /a second setup/],
      [readRawSights(lines.filter((line) => !line.startsWith('{"setup"')).join('\n')), /has no set-up/],
      [readRawSights([...lines, '{"poem":{}}'].join('\n')), /is no header, control, setup, sight or station/],
    ] as const;
    for (const [found, reason] of cases) expect(found.ok ? 'taken' : rawSightsFaultWords(found.error)).toMatch(reason);
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(readRawSights(text).ok).toBe(false);
      }),
    );
  });
});

describe('what is handed to other programs', () => {
  it('has control, marks as set and as planned, stations, lines and every sight', () => {
    const { story } = morning();
    const points = exportedPoints(story.state, story.trust());
    const of = (group: string) => points.filter((point) => point.group === group);
    expect([of('control').length, of('marks').length, of('planned').length, of('stations').length]).toEqual([6, 1, 7, 1]);
    expect(of('marks')[0]).toMatchObject({ code: 'Hall hubs', station: 'S1', z: expect.closeTo(5.9, 2) });
    expect(exportedLines(story.state)).toMatchObject([{ closed: true }]);
    const [setup] = exportedSetups(story.state);
    expect(setup!.sights).toHaveLength([...story.state.sights.values()].length);
    expect(setup!.place).toMatchObject({ e: expect.closeTo(4030, 1) });
    expect(siteState(story.facts).accepted).toHaveLength(1);
  });
});
