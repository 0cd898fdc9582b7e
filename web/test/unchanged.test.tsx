/**
 * What was drawn or measured passes through a dialog as it is: opened and kept untouched it tells nothing, edited it
 * changes what was edited.
 */
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import fc from 'fast-check';
import type { ReactNode } from 'react';
import { elementsAlong, type PathCorner } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { hubPlans, returnBetween, returnItem, roadItem, roadOf, type Road } from '@idle-marker/records';
import { shortStation, stationReasonWords, transitionWords, usualStationFormat } from '@idle-marker/words';
import { HALL } from '../../records/test/story.ts';
import { EditControl } from '../src/evidence/EditControl.tsx';
import {
  cornersDraft,
  NO_CORNERS,
  readCorners,
  withCorner,
  withText,
  withoutLast,
} from '../src/features/design/cornerText.ts';
import { EditArea } from '../src/features/design/EditArea.tsx';
import { EditGrid } from '../src/features/design/EditGrid.tsx';
import { EditPackage } from '../src/features/design/EditPackage.tsx';
import { EditRoad } from '../src/features/design/EditRoad.tsx';
import { EditItem } from '../src/features/equipment/EditItem.tsx';
import { RoadPackage } from '../src/packages/RoadPackage.tsx';
import { ReturnPackage } from '../src/packages/ReturnPackage.tsx';
import { EditSite } from '../src/settings/EditSite.tsx';
import { unitsOf } from '../src/field/useUnits.ts';
import { begin, said, show, Story } from './page.tsx';

beforeEach(begin);

const METRES = unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' });
const FEET = unitsOf({ lengthUnit: 'usSurveyFoot', angleUnit: 'dms', axisOrder: 'NE' });

describe('corners that were drawn', () => {
  const place = fc.double({ min: -5000, max: 5000, noNaN: true });
  const turn = fc.oneof(fc.constant(1), fc.constant(-1), fc.double({ min: 0.02, max: 8, noNaN: true }));
  const ring = fc
    .uniqueArray(fc.tuple(place, place, turn), {
      minLength: 2,
      maxLength: 6,
      selector: ([e, n]) => `${e.toFixed(3)} ${n.toFixed(3)}`,
    })
    .map((corners) => corners.map(([e, n, bulge], i): PathCorner => ({ name: `A${i}`, e, n, bulge })));

  it('pass through their lines to the last digit, half circles as well, in every unit', () => {
    fc.assert(
      fc.property(ring, fc.constantFrom(METRES, FEET), (corners, units) => {
        expect(readCorners(cornersDraft(corners, units), units, false, 'arc')).toEqual({ ok: true, value: corners });
      }),
      { numRuns: 2000 },
    );
  });

  it('keep their place and arc when they are only named anew, and lose both where their figures are edited', () => {
    const half: readonly PathCorner[] = [
      { name: 'A', e: 4000.00004, n: 8000, bulge: 1 },
      { name: 'B', e: 4010.00001, n: 8000.00003, z: 5.00002 },
    ];
    const draft = cornersDraft(half, METRES);
    expect(draft.text).toBe('A, 4000, 8000, arc left 5\nB, 4010, 8000, 5');
    const edited = (from: string, to: string) =>
      readCorners(withText(draft, draft.text.replace(from, to)), METRES, false, 'arc');
    expect(edited('A,', 'South end,')).toEqual({ ok: true, value: [{ ...half[0], name: 'South end' }, half[1]] });
    expect(edited('4010', '4010.0001')).toMatchObject({
      ok: true,
      value: [
        { e: 4000.00004, bulge: expect.closeTo(1, 12) as unknown as number },
        { e: 4010.0001, n: 8000, z: 5 },
      ],
    });
    expect(edited('4010', '4012')).toMatchObject({ ok: false });
    expect(edited('arc left 5', 'arc right 6')).toMatchObject({
      ok: true,
      value: [{ e: 4000, bulge: expect.closeTo(-0.537, 3) as unknown as number }, half[1]],
    });
  });

  it('can be added to and taken away again, and are not known where two lines say the same', () => {
    const one = withCorner(NO_CORNERS, { name: 'P', e: 1.000009, n: 2 }, METRES);
    const two = withCorner(one, { name: 'Q', e: 3.000001, n: 4 }, METRES);
    expect(readCorners(two, METRES, false)).toEqual({
      ok: true,
      value: [
        { name: 'P', e: 1.000009, n: 2 },
        { name: 'Q', e: 3.000001, n: 4 },
      ],
    });
    expect(withoutLast(two).text).toBe(one.text);
    const same = [
      { name: 'P', e: 1.00001, n: 2 },
      { name: 'P', e: 1.00002, n: 2 },
    ];
    expect(readCorners(cornersDraft(same, METRES), METRES, true)).toEqual({
      ok: true,
      value: [
        { name: 'P', e: 1, n: 2 },
        { name: 'P', e: 1, n: 2 },
      ],
    });
  });

  it('with an arc are refused as an outline, which has none', () => {
    const draft = cornersDraft(
      [
        { name: 'A', e: 1, n: 2, bulge: 1 },
        { name: 'B', e: 3, n: 4 },
      ],
      METRES,
    );
    expect(readCorners(draft, METRES, false)).toMatchObject({
      ok: false,
      error: expect.stringContaining('isn’t a name and two coordinates'),
    });
  });
});

const odd = 0.00001234567;
const style = { unit: 'metre', format: usualStationFormat('metre') } as const;

describe('kept as it was opened, nothing is said', () => {
  const untouched = async (story: Story, dialog: (onClose: () => void) => ReactNode, button: string) => {
    let closed = false;
    const { user, unmount } = show(
      story,
      dialog(() => (closed = true)),
    );
    await user.click(screen.getByRole('button', { name: button }));
    await waitFor(() => expect(closed).toBe(true));
    // What was changed tells more than that something was.
    for (const { body } of said())
      expect(body).toEqual(story.facts.find(({ id }) => 'supersedes' in body && id === body.supersedes)?.body);
    expect(said()).toEqual([]);
    unmount();
  };

  it('of a work package, with a half circle, a moved line, bolts and leaning piles', async () => {
    const story = new Story().control();
    const corners = HALL.corners.map((corner) => ({ ...corner, e: corner.e + odd, n: corner.n - odd }));
    const arc = corners.map((corner, i) => (i === 1 ? { ...corner, bulge: 1, z: 5 + odd } : corner));
    const items: FactBody<'package'>['items'] = [
      { ...HALL, corners, designZ: 5 + odd, moved: [{ outward: -0.3 - odd, why: 'wallThickness' }] },
      {
        ...HALL,
        name: 'Bank',
        rule: 'along',
        corners: arc,
        along: { spacing: { interval: 2 + odd }, side: 'left', closed: false },
      },
      {
        ...HALL,
        name: 'Base',
        rule: 'bolts',
        meaning: 'centre',
        corners: corners.slice(0, 1),
        pattern: {
          kind: 'rectangle',
          along: 0.3 + odd,
          across: 0.2 + odd,
          alongCount: 2,
          acrossCount: 2,
          azimuthDeg: 12.345678912,
        },
      },
      {
        ...HALL,
        name: 'Piles',
        rule: 'rakedPiles',
        meaning: 'centre',
        corners,
        rake: { azimuthDeg: 271.000000123, ratio: 4, workingZ: 4 + odd },
      },
    ];
    const work = story.work({
      items,
      offset: 1.5 + odd,
      markKind: 'hubAndLath',
      also: { heightReference: 'subgrade', above: -0.3 - odd },
      ground: { kind: 'dig', on: null, reach: 1 + odd },
    });
    await untouched(story, (onClose) => <EditPackage work={work} onClose={onClose} />, 'Save as new revision');
  });

  it('of an area, a grid, a control mark, a target and the site', async () => {
    const story = new Story({ siteZero: 6.25 + odd }).control();
    const area = story.say('area', {
      area: '00000000-0000-4000-8000-00000000bb01',
      name: 'Heap',
      kind: 'spoilHeap',
      corners: [
        { e: 4000 + odd, n: 8000 },
        { e: 4010, n: 8000 + odd },
        { e: 4010, n: 8010 },
      ],
      margin: 2 + odd,
      blocksSight: true,
      source: 'drawn on the plan',
      retired: false,
      supersedes: null,
    });
    await untouched(story, (onClose) => <EditArea area={area} onClose={onClose} />, 'Save area');
    const grid = story.say('grid', {
      grid: '00000000-0000-4000-8000-00000000bb02',
      name: 'Main',
      origin: { e: 4000 + odd, n: 8000 - odd },
      letters: { azimuthDeg: 12.345678912, labels: ['A', 'B', 'C'], spacings: [7.2 + odd, 6] },
      numbers: { azimuthDeg: 102.345678912, labels: ['1', '2'], spacings: [5 - odd] },
      spacingMeasured: 'perpendicular',
      source: 'typed',
      retired: false,
      supersedes: null,
    });
    await untouched(story, (onClose) => <EditGrid grid={grid} onClose={onClose} />, 'Save as new revision');
    const { revision } = story.state.control[0]!;
    story.say('control', {
      ...revision.body,
      e: revision.body.e! + odd,
      z: revision.body.z! - odd,
      supersedes: revision.id,
    });
    await untouched(
      story,
      (onClose) => <EditControl mark={story.state.control[0]!} onClose={onClose} />,
      'Save as new revision',
    );
    const item = story.say('equipment', {
      item: '00000000-0000-4000-8000-00000000bb03',
      what: { kind: 'target', name: 'Small', form: 'small', constantMm: 17.5, ownHeight: 0.1 + odd },
      retired: false,
      supersedes: null,
    } as never);
    await untouched(story, (onClose) => <EditItem kind="target" item={item} onDone={onClose} />, 'Save equipment');
    await untouched(story, (onClose) => <EditSite onClose={onClose} />, 'Save settings');
  });

  it('of a road, marks along it, and a kerb return', async () => {
    const story = new Story().control();
    const line = (e: number, n: number, azimuth: number, id: string, name: string): Fact<'alignment'> => {
      const elements = elementsAlong({ e, n }, azimuth, [{ kind: 'line', length: 60 + odd }]);
      if (!elements.ok) throw new Error(elements.error.code);
      return story.say('alignment', {
        alignment: id,
        name,
        kind: 'road',
        startStation: 12 + odd,
        elements: elements.value,
        equations: [],
        profile: {
          name: 'finished',
          points: [
            { station: 0, z: 5 + odd, rounding: null },
            { station: 30 + odd, z: 6, rounding: { kind: 'parabola', length: 20 + odd } },
            { station: 60, z: 5, rounding: null },
          ],
        },
        strings: [
          {
            name: 'right edge',
            from: null,
            offset: [{ station: 0, value: 3 + odd }],
            height: { rule: 'fall', values: [{ station: 0, value: 2 }] },
          },
          {
            name: 'left edge',
            from: null,
            offset: [{ station: 0, value: -3 - odd }],
            height: { rule: 'fall', values: [{ station: 0, value: 2 }] },
          },
        ],
        kerbs: [],
        corridor: 25 + odd,
        shift: 0.05 + odd,
        shiftReason: 'poured beside it',
        source: 'landing-road.xml',
        drawing: null,
        sourceName: null,
        retired: false,
        supersedes: null,
      });
    };
    const [one, two] = [
      line(4000, 8000, Math.PI / 2, '00000000-0000-4000-8000-00000000cc01', 'Main'),
      line(4030, 7960, 0, '00000000-0000-4000-8000-00000000cc02', 'Side of lath'),
    ];
    await untouched(story, (onClose) => <EditRoad fact={one} onClose={onClose} />, 'Save as new revision');
    const roadIn = (fact: Fact<'alignment'>): Road => {
      const road = roadOf(fact.body);
      if (!road.ok) throw new Error(road.error.code);
      return road.value;
    };
    const kept = (item: FactBody<'package'>['items'][number], name: string): Fact<'package'> => {
      const plans = hubPlans([item], 1 + odd, 'R', 'metre');
      if (!plans.ok) throw new Error(plans.error.code);
      return story.say('package', {
        name,
        crew: 'Kerbs',
        class: 'grid',
        heightReference: 'string',
        markKind: 'hubAndLath',
        offset: 1 + odd,
        items: [item],
        plans: plans.value,
        supersedes: null,
      } as never);
    };
    const road = roadIn(one);
    const along = roadItem(one, road, {
      name: 'Main, right edge',
      string: 'right edge',
      gradeString: 'right edge',
      alsoString: null,
      side: 'right',
      rule: {
        from: 14 + odd,
        to: null,
        interval: 10 + odd,
        byRadius: [{ upTo: 50 + odd, interval: 5 + odd }],
        equalParts: { chord: 4 + odd },
        special: true,
        extra: [31 + odd],
        direction: 'up',
      },
      own: [{ station: 31 + odd, offset: 2 + odd }],
      write: (displayed) => shortStation(Number(displayed.toFixed(4)), style),
      why: (reason) => stationReasonWords(reason, style),
      transition: (change) => transitionWords(change, style.unit),
    });
    if (!along.ok) throw new Error(along.error.code);
    const active = { id: one.body.alignment, fact: one, road };
    await untouched(
      story,
      (onClose) => <RoadPackage active={active} work={kept(along.value, 'Along')} onClose={onClose} />,
      'Save as new revision',
    );
    const side = (fact: Fact<'alignment'>, string: string, station: number, way: 'up' | 'down') =>
      ({ fact, road: roadIn(fact), string, gradeString: string, station, way }) as const;
    const [a, b] = [side(one, 'right edge', 32 + odd, 'up'), side(two, 'left edge', 45 + odd, 'down')];
    const found = returnBetween(a, b, 6 + odd);
    if (!found.ok) throw new Error(found.error.code);
    const corner = kept(returnItem(a, b, found.value, { name: 'Return', side: 'left', marks: 'both' }), 'Return');
    await untouched(
      story,
      (onClose) => <ReturnPackage active={active} work={corner} onClose={onClose} />,
      'Save as new revision',
    );
  });
});
