/** Raw sights out of one site and into another: the same station to the last digit. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { rawSightsText, readRawSights, resectionJson, type Fact, type RawSights } from '@idle-marker/contract';
import { readLandXmlSurvey, siteLandXml } from '@idle-marker/formats';
import { landXmlFaultWords, rawSightsFaultWords } from '@idle-marker/words';
import {
  controlElsewhere,
  exportedLines,
  exportedAbout,
  exportedPoints,
  exportedSetups,
  factsOfRaw,
  rawOfSurvey,
  rawSightsOf,
  siteState,
  stationDraft,
  solutionBody,
  stationOfRaw,
  targetHeightsThatCannotBe,
  usesOfRaw,
  type UseFlags,
} from '@idle-marker/records';
import { newId, PLACES, Story } from './story.ts';

const read = (text: string): RawSights => {
  const found = readRawSights(text);
  if (!found.ok) throw new Error(rawSightsFaultWords(found.error));
  return found.value;
};
const outcomeOf = ({ outcome }: ReturnType<typeof stationDraft>) => {
  if (!outcome?.ok) throw new Error('no station');
  return outcome.value;
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
    const {
      points: _points,
      observations: _observations,
      ...figures
    } = resectionJson(again.value) as Record<string, unknown>;
    for (const key of ['e', 'n', 'z', 'orientationDeg', 'covariance', 'ellipse95', 'sdTrunnionZMm'])
      expect([key, figures[key]]).toEqual([key, solution.fact.body.result[key]]);
    expect(back.sights.filter(({ used }) => used === null)).not.toEqual([]);
    expect(back.sights.map(({ target }) => target.kind)).toContain('other');
  });
  it('come back with every reading, name and use as they were, whatever was left out', () => {
    const use: fc.Arbitrary<UseFlags> = fc.record(
      { plan: fc.boolean(), height: fc.boolean(), direction: fc.boolean(), distance: fc.boolean() },
      { requiredKeys: ['plan', 'height'] },
    );
    const off = fc.double({ min: -0.05, max: 0.05, noNaN: true });
    const word = fc.string({ unit: fc.constantFrom(...`abÄжλ"'#,;\\{}: \u2028`), minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(fc.array(fc.tuple(use, off, word), { minLength: 4, maxLength: 4 }), (sights) => {
        const story = new Story().control();
        const occupation = story.occupy('S1');
        const names = ['K1', 'K2', 'K3', 'K4'] as const;
        const uses = new Map(
          sights.map(([said, e, n], i) => {
            const sight = story.sight(occupation, names[i]!, 'station', { e });
            // A thing of any name, sighted between.
            story.say('sight', { ...sight.body, target: { kind: 'spot', name: `x${n}`.trim() }, purpose: 'asBuilt' });
            return [sight.id, said] as const;
          }),
        );
        const draft = stationDraft(story.state, occupation, {});
        const usageOf = ({ id }: Fact<'sight'>) => uses.get(id)!;
        const { result } = outcomeOf(draft);
        const fact = story.say('solution', solutionBody(story.state, occupation, draft, result, 'grid', usageOf, null));
        story.say('decision', { solution: fact.id, verdict: 'accepted', reason: '' });
        const raw = rawSightsOf(story.state, occupation);
        const back = read(rawSightsText(raw));
        // Facts come as JSON, which has no noughts below nought.
        expect(back).toEqual(JSON.parse(JSON.stringify(raw)));
        const kept = [...story.state.sights.values()];
        expect(back.sights.map(({ read: figures }) => figures)).toEqual(kept.map(({ body }) => body.read));
        expect(back.sights.filter(({ target }) => target.kind === 'control').map(({ used }) => used)).toEqual([
          ...uses.values(),
        ]);
        const other = new Story();
        const facts = factsOfRaw(other.state, back, newId);
        const { flags } = usesOfRaw(back, facts);
        const onControl = facts.filter(({ type, body }) => type === 'sight' && body.target.kind === 'control');
        expect(onControl.map(({ id }) => flags[id])).toEqual([...uses.values()]);
      }),
      { numRuns: 40 },
    );
  });
  it('taken in by another site are a set-up of it, with the control that it lacks, and give the same station', () => {
    const { story, solution } = morning();
    const raw = read(rawSightsText(rawSightsOf(story.state, solution.occupation)));
    const other = new Story({ combinedScaleFactor: 0.9998712 });
    for (const { type, id, body } of factsOfRaw(other.state, raw, newId)) other.say(type, body, 1, id);
    expect(other.state.control.map((mark) => mark.revision.body.name).sort()).toEqual(
      raw.control.map(({ name }) => name).sort(),
    );
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
    expect(factsOfRaw(moved.state, raw, newId).filter(({ type }) => type === 'control')).toHaveLength(
      raw.control.length - 1,
    );
  });
  it('come with what was left out, and with where the height came from', () => {
    const story = new Story().control().control(['K1'], { z: PLACES.K1.z - 0.3 });
    const mark = story.state.control.find((each) => each.id === story.markId('K1'))!;
    story.stand(PLACES.K1);
    const occupation = story.occupy('S1', {
      method: 'overMark',
      over: { mark: mark.id, revision: mark.revision.id, centringSdMm: 1 },
    });
    for (const name of ['K2', 'K3'] as const) story.sight(occupation, name);
    const bad = story.sight(occupation, 'K4', 'station', { e: 0.08 });
    const unused = { plan: false, height: false };
    const { result } = outcomeOf(
      stationDraft(story.state, occupation, { [bad.id]: unused }, { heightFrom: 'benchmarks' }),
    );
    const usageOf = (sight: Fact<'sight'>) => (sight.id === bad.id ? unused : { plan: true, height: true });
    const draft = stationDraft(story.state, occupation, { [bad.id]: unused }, { heightFrom: 'benchmarks' });
    const fact = story.say('solution', solutionBody(story.state, occupation, draft, result, 'grid', usageOf, null));
    story.say('decision', { solution: fact.id, verdict: 'accepted', reason: '' });
    const raw = read(rawSightsText(rawSightsOf(story.state, occupation)));
    const other = new Story();
    const facts = factsOfRaw(other.state, raw, newId);
    for (const { type, id, body } of facts) other.say(type, body, 1, id);
    const { flags, freeScale, planOnly, heightFrom } = usesOfRaw(raw, facts);
    expect({ freeScale, planOnly, heightFrom }).toEqual({
      freeScale: false,
      planOnly: false,
      heightFrom: 'benchmarks',
    });
    const here = outcomeOf(
      stationDraft(other.state, other.state.occupations[0]!, flags, { freeScale, heightFrom: heightFrom! }),
    );
    const { e, n, z, orientationDeg } = resectionJson(here.result);
    expect([e, n, z, orientationDeg]).toEqual(
      ['e', 'n', 'z', 'orientationDeg'].map((field) => fact.body.result[field]),
    );
    expect(stationOfRaw(raw)).toMatchObject({ ok: true, value: { e, n } });
  });

  it('without a decided station count as their marks are trusted', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3'] as const) story.sight(occupation, name);
    expect(stationOfRaw(rawSightsOf(story.state, occupation))).toMatchObject({
      ok: true,
      value: { e: expect.closeTo(story.standsAt.e, 4) },
    });
  });

  it('tell wall targets that were given the height of a pole', () => {
    const story = new Story().control(['K1', 'K2']).control(['K3'], { kind: 'target' });
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3'] as const) story.sight(occupation, name);
    expect(targetHeightsThatCannotBe(rawSightsOf(story.state, occupation))).toEqual(['K3']);
  });

  it('are refused with the line and what is wrong with it', () => {
    const { story, solution } = morning();
    const lines = rawSightsText(rawSightsOf(story.state, solution.occupation)).trim().split('\n');
    const at = lines.findIndex((line) => line.startsWith('{"sight"'));
    const broken = (i: number, change: (line: string) => string) =>
      readRawSights(lines.map((line, k) => (k === i ? change(line) : line)).join('\n'));
    const cases = [
      [readRawSights(''), /isn’t a file of raw sights/],
      [readRawSights('name,e,n\nK1,1,2'), /isn’t a file of raw sights/],
      [readRawSights(lines.slice(1).join('\n')), /isn’t a file of raw sights/],
      [broken(0, (line) => line.replace('"version":1', '"version":9')), /later version/],
      [broken(at, (line) => line.slice(0, 40)), new RegExp(`^Line ${at + 1} isn’t complete JSON`)],
      [broken(at, (line) => line.replace('"face":1', '"face":3')), new RegExp(`^Line ${at + 1}, sight/face: `)],
      [broken(at, (line) => line.replace('"purpose"', '"purposes"')), new RegExp(`^Line ${at + 1}, sight/`)],
      [
        broken(at, (line) => line.replace(/"name":"K\d"/, '"name":"K99"')),
        /names the control mark K99, but the file doesn’t say/,
      ],
      [readRawSights([...lines, lines.find((line) => line.startsWith('{"setup"'))!].join('\n')), /a second setup/],
      [readRawSights(lines.filter((line) => !line.startsWith('{"setup"')).join('\n')), /has no setup/],
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
    expect([of('control').length, of('marks').length, of('planned').length, of('stations').length]).toEqual([
      6, 1, 7, 1,
    ]);
    expect(of('marks')[0]).toMatchObject({ code: 'Hall hubs', station: 'S1', z: expect.closeTo(5.9, 2) });
    expect(exportedLines(story.state)).toMatchObject([{ closed: true }]);
    const [setup] = exportedSetups(story.state);
    expect(setup!.sights).toHaveLength([...story.state.sights.values()].length);
    expect(setup!.place).toMatchObject({ e: expect.closeTo(4030, 1) });
    expect(siteState(story.facts).accepted).toHaveLength(1);
  });
});

describe('observations of a LandXML file', () => {
  const survey = (text: string) => {
    const found = readLandXmlSurvey(text);
    if (!found.ok) throw new Error(landXmlFaultWords(found.error));
    return found.value;
  };

  it('that this application wrote give the same station within the digits of the file, on another site', () => {
    for (const unit of ['metre', 'usSurveyFoot'] as const) {
      const { story, solution } = morning();
      const file = survey(
        siteLandXml(exportedPoints(story.state, story.trust()), exportedSetups(story.state), {
          ...exportedAbout(story.state, story.trust(), { at: '2031-05-06T08:00:00.000Z', by: 'nobody' }),
          unit,
        }),
      );
      const other = new Story({ combinedScaleFactor: 0.9998712 });
      const raw = read(rawSightsText(rawOfSurvey(other.state, file, file.setups[0]!, '2031-05-06T08:00:00.000Z')));
      expect(raw.sights.map(({ purpose }) => purpose)).toEqual([
        'station',
        'station',
        'station',
        'station',
        'proof',
        'spot',
      ]);
      expect(raw.sights[0]!.read.keyed).toBeNull();
      for (const { type, id, body } of factsOfRaw(other.state, raw, newId)) other.say(type, body, 1, id);
      const { outcome } = stationDraft(other.state, other.state.occupations[0]!, {});
      if (!outcome?.ok) throw new Error('no station');
      const { e, n, z } = solution.fact.body.result;
      expect([outcome.value.result.e, outcome.value.result.n]).toEqual([expect.closeTo(e, 3), expect.closeTo(n, 3)]);
      expect(outcome.value.result.height!.z).toBeCloseTo(z!, 3);
    }
  });
  it('of another program: in gon, with the marks of this site', () => {
    const story = new Story().control();
    const file = survey(`<?xml version="1.0"?><LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
      <Units><Metric linearUnit="meter" angularUnit="grads"/></Units>
      <Survey><InstrumentSetup id="1" stationName="A" instrumentHeight="1.6"/>
      <ObservationGroup id="g" setupID="1"><RawObservation horizAngle="-10.5" zenithAngle="100.25" slopeDistance="30.125" targetHeight="1.5" directFace="1"><TargetPoint name="K1"/></RawObservation>
      <RawObservation setupID="1" horizAngle="399.9999" zenithAngle="300.1" directFace="false" purpose="sideshot"><TargetPoint name="tree"/></RawObservation></ObservationGroup></Survey></LandXML>`);
    const [setup] = file.setups;
    const raw = rawOfSurvey(story.state, file, setup!, '2031-05-06T08:00:00.000Z');
    expect(readRawSights(rawSightsText(raw)).ok).toBe(true);
    expect(raw.control.map(({ name }) => name)).toEqual(['K1']);
    expect(raw.sights).toMatchObject([
      {
        purpose: 'station',
        face: 1,
        read: { circle: 389.5, zenith: 100.25, slope: 30.125, angleUnit: 'gon', angleDecimals: 1, lengthDecimals: 3 },
        target: { kind: 'control' },
      },
      { purpose: 'spot', face: 2, read: { slope: null }, target: { kind: 'other', name: 'tree' } },
    ]);
  });
  it('are refused by the element and what is wrong with it', () => {
    const wrong = (inside: string, units = '<Units><Metric linearUnit="meter"/></Units>') => {
      const found = readLandXmlSurvey(`<LandXML version="1.2">${units}<Survey>${inside}</Survey></LandXML>`);
      return found.ok ? '' : landXmlFaultWords(found.error);
    };
    const setup = '<InstrumentSetup id="1" stationName="A" instrumentHeight="1.6"/>';
    const sight = (attributes: string, target = '<TargetPoint name="K1"/>') =>
      `${setup}<RawObservation setupID="1" ${attributes}>${target}</RawObservation>`;
    expect(wrong(sight('horizAngle="ten" zenithAngle="90"'))).toContain(
      'RawObservation 1 (line 1 of the file) has “ten” where a number is needed',
    );
    expect(wrong(sight('horizAngle="10"'))).toContain('has no zenithAngle');
    expect(wrong(sight('horizAngle="10" zenithAngle="90"', ''))).toContain('has no TargetPoint');
    expect(wrong('<RawObservation setupID="9" horizAngle="1" zenithAngle="90"/>')).toContain(
      'has setupID “9”, which isn’t known here',
    );
    expect(wrong(setup + setup)).toContain('has the id 1, which another InstrumentSetup has already');
    expect(wrong(setup, '')).toContain('no Units');
    expect(wrong(setup, '<Units><Metric linearUnit="meter" angularUnit="mils"/></Units>')).toContain(
      'has angularUnit “mils”',
    );
    expect(readLandXmlSurvey('<!DOCTYPE x [<!ENTITY a "b">]><LandXML/>')).toMatchObject({
      ok: false,
      error: { code: 'XML_DOCTYPE' },
    });
    expect(readLandXmlSurvey('<kml/>')).toMatchObject({ ok: false, error: { code: 'XML_OTHER_ROOT' } });
    expect(readLandXmlSurvey('<LandXML><Units>')).toMatchObject({ ok: false, error: { code: 'XML_BROKEN' } });
  });
});
