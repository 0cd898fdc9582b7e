import { readFileSync } from 'node:fs';
import type { FactBody } from '@idle-marker/contract';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { EditPackage } from '../src/features/design/EditPackage.tsx';
import { readList } from '../src/reading/lists.ts';
import { askDrawing, cancelDrawings, drawingWorkerAge } from '../src/drawings/drawings.ts';
import { DrawingDialog } from '../src/features/design/DrawingDialog.tsx';
import { FileInput } from '../src/features/design/FileInput.tsx';
import { Place as Work } from '../src/features/design/DesignPlace.tsx';
import { asBuiltReport } from '@idle-marker/records';
import { HALL } from '../../records/test/story.ts';
import { begin, keptDrawing, said, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;
const ticketHall = () => readFileSync(`${import.meta.dirname}/../../demo/ternhaven/ticket-hall.dxf`);

const pairs = (...codes: (readonly [number, string | number])[]) =>
  codes.map(([code, value]) => `${code}\n${value}`).join('\n');
const ring = (layer: string, corners: readonly (readonly [number, number])[]) =>
  pairs(
    [0, 'LWPOLYLINE'],
    [8, layer],
    [90, corners.length],
    [70, 1],
    ...corners.flatMap(
      ([e, n]) =>
        [
          [10, e],
          [20, n],
        ] as const,
    ),
  );
const dxf = (elements: readonly string[], unit: number | null = 6) =>
  new TextEncoder().encode(
    [
      ...(unit === null ? [] : [pairs([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, unit], [0, 'ENDSEC'])]),
      pairs([0, 'SECTION'], [2, 'ENTITIES']),
      ...elements,
      pairs([0, 'ENDSEC'], [0, 'EOF']),
      '',
    ].join('\n'),
  );
/** A design surface that rises to the east, 40 by 20 metres, its south-west corner at a height. */
const grade = (low: number) =>
  new TextEncoder()
    .encode(`<LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units><Surfaces><Surface name="Finished"><Definition surfType="TIN">
    <Pnts><P id="1">7990 3990 ${low}</P><P id="2">7990 4030 ${low + 0.4}</P><P id="3">8010 4030 ${low + 0.4}</P><P id="4">8010 3990 ${low}</P></Pnts>
    <Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition></Surface></Surfaces></LandXML>`);
const fileOf = (bytes: Uint8Array, name: string) => new File([bytes as BlobPart], name);
const corners = HALL.corners.map(({ e, n }) => [e, n] as const);

describe('taking a drawing', () => {
  it('asks about a drawing that lies far from the control, and by which unit it would not', async () => {
    const inFeet = corners.map(([e, n]) => [e / 0.3048, n / 0.3048] as const);
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(dxf([ring('W', inFeet)]), 'feet.dxf'));
    expect(await screen.findByText(/read in (US survey )?feet, it would fit/)).toBeTruthy();
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(dxf([ring('W', corners)]), 'metres.dxf'));
    await waitFor(() => expect(screen.queryByText(/were its figures/)).toBeNull());
  });

  it('says where triangles of a surface lie over one another, and leaves it to be asked about', async () => {
    const folded = new TextDecoder().decode(grade(5)).replace('<F>1 3 4</F>', '<F>1 3 4</F><F>1 2 4</F>');
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(new TextEncoder().encode(folded), 'folded.xml'));
    expect(
      await screen.findByText(
        /^Surface “Finished” has 3 triangles that lie over one another, first 1 and 3 of the file, at E 4.016\.7, N 7.996\.7: there it has two elevations/,
      ),
    ).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Import drawing' }).hasAttribute('disabled')).toBe(false);
  });

  it('says what is in it, keeps it whole, and hides what is switched off', async () => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(ticketHall(), 'ticket-hall.dxf'));
    expect(await screen.findByText(/elements on 4 layers, in meters/)).toBeTruthy();
    await user.click(within(screen.getByRole('region', { name: 'Layers' })).getByLabelText(/NAMES/));
    await user.click(screen.getByRole('button', { name: 'Import drawing' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'drawing',
      body: {
        name: 'ticket-hall',
        fileName: 'ticket-hall.dxf',
        format: 'dxf',
        unit: { name: 'metres', metres: 1 },
        placing: null,
        hidden: ['NAMES'],
      },
    });
  });

  it('asks for the unit where none is said, showing how large it would be', async () => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(
      screen.getByLabelText(/A DXF drawing/),
      fileOf(
        dxf(
          [
            ring('W', [
              [0, 0],
              [400, 0],
              [400, 200],
            ]),
          ],
          null,
        ),
        'shed.dxf',
      ),
    );
    const unit = await screen.findByLabelText(/doesn’t state its unit/);
    expect(within(unit).getByRole('option', { name: /inches: 10\.\d+ by 5\.\d+/ })).toBeTruthy();
    await user.selectOptions(unit, within(unit).getByRole('option', { name: /inches/ }));
    const [ask] = screen.getAllByRole('button', { name: 'Import file' });
    await user.click(ask!);
    expect(await screen.findByText(/in inches, as said here; 10\.2 by 5\.1 m/)).toBeTruthy();
  });

  it('is read in another unit than the file states where somebody says so, and says that it is another', async () => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(ticketHall(), 'ticket-hall.dxf'));
    const unit = await screen.findByLabelText<HTMLSelectElement>('Unit of the file');
    expect(unit.selectedOptions[0]!.textContent).toBe('meters, as the file states');
    await user.selectOptions(unit, 'feet');
    expect(await screen.findByText('The file states meters.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Import drawing' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ body: { unit: { name: 'feet', metres: 0.3048 }, reading: 2 } });
  });

  it('of points whose columns nobody could tell is read when they are said, and kept with them', async () => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    const list = new TextEncoder().encode('spot;across;up\nA;100,5;200\nB;110,5;205\n');
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(list, 'points.csv'));
    const first = await screen.findByLabelText('Column spot is');
    expect(screen.getByRole('button', { name: 'Import drawing' }).hasAttribute('disabled')).toBe(true);
    await user.selectOptions(first, 'Name');
    await user.selectOptions(screen.getByLabelText('Column across is'), 'Easting');
    await user.selectOptions(screen.getByLabelText('Column up is'), 'Northing');
    expect(await screen.findByText(/10\.0 by 5\.0 m/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Decimal sign'), 'comma');
    await user.click(await screen.findByRole('button', { name: 'Import drawing' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: { format: 'csv', listRead: { columns: ['name', 'e', 'n'], decimal: ',' } },
    });
  });

  it('of points is read as it was said before where it is the same file, and by itself where it is another', async () => {
    const list = new TextEncoder().encode('spot;across;up\nA;100,5;200\nB;110,5;205\n');
    const story = new Story().control();
    const kept = await keptDrawing(story, 'points.csv', list);
    const drawing = story.say('drawing', {
      ...kept.body,
      format: 'csv',
      listRead: { columns: ['name', 'e', 'n'] },
      supersedes: kept.id,
    });
    const { user } = show(story, <DrawingDialog drawing={drawing} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(list, 'points.csv'));
    expect(await screen.findByText(/10\.0 by 5\.0 m/)).toBeTruthy();
    const other = new TextEncoder().encode('Point;N (m);E (m)\nA1;200;100\nB;205;110\n');
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(other, 'points.csv'));
    await waitFor(() => expect(screen.getByLabelText<HTMLSelectElement>('Column N (m) is').value).toBe('n'));
  });

  it('on the way to corners is shown before it is taken, and taken once', async () => {
    const taken: string[] = [];
    const { user } = show(
      new Story().control(),
      <FileInput label="A file of corners" onTaken={(fact) => taken.push(fact.body.name)} />,
    );
    await user.upload(screen.getByLabelText('A file of corners'), fileOf(ticketHall(), 'ticket-hall.dxf'));
    expect(await screen.findByText(/elements on 4 layers, in meters/)).toBeTruthy();
    expect(said()).toHaveLength(0);
    await user.click(screen.getByRole('button', { name: 'Import drawing' }));
    await waitFor(() => expect(taken).toEqual(['ticket-hall']));
    await waitFor(() => expect(said()).toHaveLength(1));
  });

  it('on the way to corners is the drawing that it is already', async () => {
    const story = new Story().control();
    await keptDrawing(story, 'hall.dxf', ticketHall());
    const taken: string[] = [];
    const { user } = show(story, <FileInput label="A file" onTaken={(fact) => taken.push(fact.body.name)} />);
    await user.upload(screen.getByLabelText('A file'), fileOf(ticketHall(), 'ticket-hall.dxf'));
    await waitFor(() => expect(taken).toEqual(['hall']));
    expect(said()).toHaveLength(0);
  });

  it('of points in a unit that somebody says is kept with it, and read so again', async () => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    const list = new TextEncoder().encode('Point,E (ft),N (ft)\nA,100,200\nB,110,200\n');
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(list, 'points.csv'));
    await user.selectOptions(await screen.findByLabelText('Unit of the file'), 'meters');
    expect(await screen.findByText(/10\.0 by 0\.0 m/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Import drawing' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ body: { unit: { metres: 1 }, listUnit: 'm' } });
  });

  it.each([
    ['a drawing in binary', new TextEncoder().encode('Some program Binary DXF\r\n\u001a\0'), /save it as text/],
    ['one that was cut off', dxf([ring('W', corners)]).slice(0, -20), /cut off in transit.*nothing was imported/],
    ['a DWG', new TextEncoder().encode('AC1032\0'), /DWG/],
  ])('rejects %s with what to do', async (_, bytes, sentence) => {
    const { user } = show(new Story().control(), <DrawingDialog drawing={null} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(bytes, 'x.dxf'));
    expect(await screen.findByText(sentence)).toBeTruthy();
    expect(said()).toEqual([]);
  });
});

describe('reading that is cancelled', () => {
  it('answers with nothing, closes what was open, and can be begun again', async () => {
    const ask = () =>
      askDrawing('open', {
        key: 'one',
        bytes: dxf([ring('W', corners)]),
        siteUnit: 'metre',
        unit: null,
        similarity: null,
      });
    const before = drawingWorkerAge();
    const waiting = ask();
    cancelDrawings();
    expect(await waiting).toBeNull();
    expect(drawingWorkerAge()).toBe(before + 1);
    expect(await ask()).toMatchObject({ ok: true, value: { elements: 1, unitFromFile: 'metres' } });
    expect(await askDrawing('outline', { key: 'never opened', i: 0 })).toBeNull();
    const near = { key: 'one', point: { e: 3990.1, n: 7990.1 }, radius: 0.5, hidden: [] };
    expect(await askDrawing('snap', { ...near, from: null, wanted: ['end'] })).toEqual({
      kind: 'end',
      e: 3990,
      n: 7990,
    });
    expect(await askDrawing('touched', near)).toMatchObject({ kind: 'path', layer: 'W', closed: true });
    expect(await askDrawing('snap', { ...near, hidden: ['W'], from: null, wanted: ['end'] })).toBeNull();
  });
});

describe('a list whose reading is cancelled', () => {
  it('is none, before it began and while it goes on, and the next is read', async () => {
    const asked = {
      bytes: new TextEncoder().encode('name,E,N\nA,1,2\n'),
      unit: 'metre',
      xIsNorth: false,
      said: {},
    } as const;
    const end = new AbortController();
    const waiting = readList('control', asked, end.signal);
    end.abort();
    expect(await waiting).toBeNull();
    expect(await readList('control', asked, end.signal)).toBeNull();
    expect(await readList('control', asked, new AbortController().signal)).toMatchObject({
      list: { ok: true, value: { rows: [{ name: 'A', e: 1, n: 2 }] } },
      head: { separator: ',', columns: [{ role: 'name' }, { role: 'e' }, { role: 'n' }] },
    });
    expect(await readList('survey', { text: '<a/>' }, new AbortController().signal)).toMatchObject({
      ok: false,
      error: { code: 'XML_OTHER_ROOT' },
    });
  });
});

describe('a newer revision', () => {
  it('says which corners moved and which marks stand for the older place, and brings the package along', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'hall.dxf', dxf([ring('WALL', corners)]));
    const work = story.work({ items: [{ ...HALL, source: 'hall.dxf', drawing: drawing.id }] });
    const station = story.station('S1');
    const plan = work.body.plans.findIndex(({ corner }) => corner === 'B');
    story.set(station, work, plan);
    const { user, follow } = show(story, <DrawingDialog drawing={drawing} sameFile={false} onClose={nothing} />);
    const moved = corners.map(([e, n]) => (e === 4010 ? ([e + 0.03, n] as const) : ([e, n] as const)));
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(dxf([ring('WALL', moved)]), 'hall-b.dxf'));
    expect(await screen.findByText('2 corners moved, by up to 30 mm')).toBeTruthy();
    expect(screen.getByText(/2 of its corners moved, by up to 30 mm/)).toBeTruthy();
    expect(screen.getByText(/Set already and affected/).textContent).toContain(
      `${work.body.plans[plan]!.name} by 30 mm`,
    );
    const along = () => screen.getByLabelText<HTMLInputElement>(`Bring ${work.body.name} along`);
    await user.click(along());
    story.say('note', { text: 'from another tablet' });
    follow();
    expect(along().checked).toBe(false);
    await user.click(along());
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(new Set(said().map(({ at }) => at)).size).toBe(1);
    const [taken, revised] = said();
    expect(taken).toMatchObject({
      type: 'drawing',
      body: { drawing: drawing.body.drawing, fileName: 'hall-b.dxf', supersedes: drawing.id },
    });
    expect(revised).toMatchObject({
      type: 'package',
      body: {
        supersedes: work.id,
        items: [{ drawing: taken!.id, corners: expect.arrayContaining([{ name: 'B', e: 4010.03, n: 7990 }]) }],
      },
    });
  });

  it('of a surface gives packages other heights, and says which marks stand for the older ones', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'grade.xml', grade(5));
    const heights = ['A', 'B'].map((key, i) => ({ key, z: 5 + i / 10 }));
    const points = {
      rule: 'points',
      corners: HALL.corners.slice(0, 2),
      surface: { drawing: drawing.id, name: 'Finished', heights },
    } as const;
    const work = story.work({
      items: [{ ...HALL, ...points, corners: [...points.corners] }],
      heightReference: 'surface',
    });
    story.set(story.station('S1'), work, 0);
    const { user } = show(story, <DrawingDialog drawing={drawing} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(grade(5.05), 'grade-b.xml'));
    expect(
      await screen.findByText(/none of its corners moved\. 2 of its layout points change elevation\./),
    ).toBeTruthy();
    expect(screen.getByText(/^Set already and affected/).textContent).toContain('50 mm higher');
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[1]).toMatchObject({
      type: 'package',
      body: { items: [{ surface: { drawing: said()[0]!.id } }], plans: [{ designZ: 5.05 }, {}] },
    });
  });

  it('says when there is nothing to compare with, because the one before it can not be read', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'old.dxf', new TextEncoder().encode('AC1032\0'));
    const { user } = show(story, <DrawingDialog drawing={drawing} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(dxf([ring('WALL', corners)]), 'hall.dxf'));
    expect(
      await screen.findByText(/^The changes of the newer one can’t be shown: the previous one, .*DWG/),
    ).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save as new revision' }).disabled).toBe(false);
  });

  it('without the surface that a package took its heights from leaves them as they were, and says that it is gone', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'grade.xml', grade(5));
    const surface = { drawing: drawing.id, name: 'Another', heights: [{ key: 'A', z: 5 }] };
    story.work({
      items: [{ ...HALL, rule: 'points', corners: HALL.corners.slice(0, 1), surface }],
      heightReference: 'surface',
    });
    const { user } = show(story, <DrawingDialog drawing={drawing} sameFile={false} onClose={nothing} />);
    await user.upload(screen.getByLabelText(/A DXF drawing/), fileOf(grade(5.05), 'grade-b.xml'));
    expect(
      await screen.findByText(
        /^No longer found: surface Another\. It stays where it was: check the package yourself\.$/,
      ),
    ).toBeTruthy();
    expect(screen.queryByText(/another elevation/)).toBeNull();
  });
});

describe('a package', () => {
  it('takes outlines, grids and points from a drawing of the site', async () => {
    const story = new Story().control();
    await keptDrawing(story, 'ticket-hall.dxf', ticketHall());
    const { user } = show(story, <EditPackage work={null} onClose={nothing} />);
    await user.click(await screen.findByRole('button', { name: /outline on WALL-OUTSIDE: 6 corners/ }));
    expect(screen.getByText(/^11 marks, /)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'its 9 lines' }));
    expect(screen.getByText(/^18 marks, /)).toBeTruthy();
  });

  it('takes the heights of a surface, and names the corners that lie off it', async () => {
    const story = new Story().control();
    await keptDrawing(story, 'grade.xml', grade(5));
    const { user } = show(story, <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Name'), 'Yard');
    await user.type(screen.getByLabelText('Crew'), 'Grading');
    await user.type(screen.getByLabelText('Mark prefix'), 'YD');
    await user.type(screen.getByLabelText('Outline name'), 'Yard');
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'On the points');
    await user.selectOptions(await screen.findByLabelText('Elevation source'), 'Finished, of grade');
    expect(screen.queryByLabelText('Design elevation (m)')).toBeNull();
    expect(screen.getByText('2 triangles, 5.000 to 5.400 m.')).toBeTruthy();
    await user.type(screen.getByLabelText(/^Points to mark/), 'A, 3990, 7990{Enter}B, 4000, 7990{Enter}C, 4050, 7990');
    expect(await screen.findByText(/^5\.000 to 5\.100 m at these places\./)).toBeTruthy();
    expect(screen.getByText(/No elevation at C: off the surface\./)).toBeTruthy();
    expect(screen.getByLabelText<HTMLSelectElement>('Cut/fill to').value).toBe('surface');
    await user.click(screen.getByRole('button', { name: 'Make package' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: {
        heightReference: 'surface',
        items: [
          {
            surface: {
              name: 'Finished',
              heights: [
                { key: 'A', z: 5 },
                { key: 'B', z: expect.closeTo(5.1, 9) },
                { key: 'C', z: null },
              ],
            },
          },
        ],
        plans: [{ designZ: 5 }, { designZ: expect.closeTo(5.1, 9) }, { designZ: null }],
      },
    });
  });

  it('marks bolts by their pattern, and says what the pattern lacks', async () => {
    const { user } = show(new Story(), <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Name'), 'Bases');
    await user.type(screen.getByLabelText('Crew'), 'Steel');
    await user.type(screen.getByLabelText('Mark prefix'), 'AB');
    await user.type(screen.getByLabelText('Outline name'), 'Bearings');
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'Bolt group at each point, with center lines');
    await user.type(screen.getByLabelText(/^Centers of the groups/), 'B1, 4000, 8000');
    await user.type(screen.getByLabelText('Pattern azimuth'), '12');
    await user.type(screen.getByLabelText('Spacing along pattern (m)'), '0.4');
    expect(screen.getByText('Enter both spacings and how many bolts there are each way.')).toBeTruthy();
    await user.type(screen.getByLabelText('Spacing across pattern (m)'), '0.3');
    expect(screen.getByText(/^8 marks, /)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Mark type'), 'line on a plate');
    await user.type(screen.getByLabelText('Use'), 'setting the bearings');
    await user.click(screen.getByRole('button', { name: 'Make package' }));
    // Without any height it is asked about: nothing is made yet.
    expect(said()).toHaveLength(0);
    expect(screen.getByText('No mark of this package has a design elevation')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Make it in plan only' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: {
        markKind: 'plateLine',
        use: 'setting the bearings',
        items: [
          {
            rule: 'bolts',
            meaning: 'centre',
            pattern: {
              kind: 'rectangle',
              along: 0.4,
              across: 0.3,
              alongCount: 2,
              acrossCount: 2,
              azimuthDeg: expect.closeTo(12, 9),
            },
          },
        ],
      },
    });
  });

  it('marks leaning piles where they come through the level that is worked at', async () => {
    const { user } = show(new Story(), <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Outline name'), 'Row');
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'Raked piles, two reference points each');
    await user.type(screen.getByLabelText('Pile cut-off elevation (m)'), '3');
    await user.type(screen.getByLabelText(/^Pile heads in order along the row/), '1, 4000, 8000{Enter}2, 4005, 8000');
    await user.type(screen.getByLabelText('Rake azimuth'), '90');
    await user.type(screen.getByLabelText('Rake (V:H)'), '4');
    expect(screen.queryByText('6 marks')).toBeNull();
    await user.type(screen.getByLabelText('Marking elevation (m)'), '5');
    expect(screen.getByText('6 marks')).toBeTruthy();
  });

  it('moves an outline by a thickness, and refuses one that is not that wide', async () => {
    const { user } = show(new Story(), <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Outline name'), 'Hall');
    await user.type(screen.getByLabelText(/^Corners in order/), 'A, 0, 0{Enter}B, 10, 0{Enter}C, 10, 6{Enter}D, 0, 6');
    await user.click(screen.getByRole('button', { name: /Shift marked line/ }));
    await user.type(screen.getByLabelText('Distance to marked line (m)'), '0.3');
    expect(screen.getByText(/^8 marks, /)).toBeTruthy();
    await user.clear(screen.getByLabelText('Distance to marked line (m)'));
    await user.type(screen.getByLabelText('Distance to marked line (m)'), '3.5');
    await user.selectOptions(screen.getByLabelText('Side'), 'inside');
    expect(screen.getByText(/would vanish or reverse/)).toBeTruthy();
  });

  it('keeps the own heights and codes of points, beside one design height for those that have none', async () => {
    const story = new Story().control();
    story.measure(story.station('S1'), { e: 4003, n: 8004, z: 4.61 }, { name: 'R7', code: 'RIM' });
    const { user } = show(story, <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Name'), 'Covers');
    await user.type(screen.getByLabelText('Crew'), 'Drains');
    await user.type(screen.getByLabelText('Mark prefix'), 'CV');
    await user.type(screen.getByLabelText('Outline name'), 'Covers');
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'On the points');
    await user.type(
      screen.getByLabelText(/^Points to mark/),
      'C1, 4000, 8000, 5.25, code 12{Enter}C2, 4001, 8000{Enter}C3, 4002, 8001, code LID',
    );
    await user.click(screen.getByRole('button', { name: 'Add known point…' }));
    await user.selectOptions(screen.getByLabelText('From'), 'As-built points');
    await user.click(screen.getByRole('button', { name: 'Add point' }));
    expect(screen.getByText('2 of 4 points have their own elevation, 4.610 to 5.250 m.')).toBeTruthy();
    expect(screen.getByText('4 marks, 2 without elevation')).toBeTruthy();
    await user.type(screen.getByLabelText('Design elevation (m)'), '5');
    await user.click(screen.getByRole('button', { name: 'Make package' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const body = said()[0]!.body as FactBody<'package'>;
    expect(body.plans.map(({ corner, designZ, code }) => [corner, designZ, code])).toEqual([
      ['C1', 5.25, '12'],
      ['C2', 5, undefined],
      ['C3', 5, 'LID'],
      ['R7', 4.61, 'RIM'],
    ]);
    expect(body.items[0]).toMatchObject({ heights: 'rule', meaning: 'centre' });
  });

  it('makes an outline of every step of a footing, and says when an offset is no round length', async () => {
    const { user } = show(new Story(), <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Outline name'), 'Pier');
    await user.type(screen.getByLabelText(/^Corners in order/), 'A, 0, 0{Enter}B, 10, 0{Enter}C, 10, 6{Enter}D, 0, 6');
    for (let i = 0; i < 2; i++) {
      await user.click(screen.getByRole('button', { name: /^(Shift marked line|Add another shift)/ }));
      await user.type(screen.getAllByLabelText('Distance to marked line (m)')[i]!, '0.3');
    }
    await user.click(screen.getByRole('button', { name: 'Split into one outline per step' }));
    expect(screen.getAllByLabelText('Outline name').map((field) => (field as HTMLInputElement).value)).toEqual([
      'Pier step 1',
      'Pier step 2',
    ]);
    expect(screen.getAllByLabelText('Distance to marked line (m)')).toHaveLength(3);
    expect(screen.getByText(/^16 marks, /)).toBeTruthy();
    await user.clear(screen.getByLabelText('Offset (m)'));
    await user.type(screen.getByLabelText('Offset (m)'), '2.3');
    expect(screen.getByText('Not a round figure: 2.500 is easier to remember and to tape.')).toBeTruthy();
  });
});

describe('Work', () => {
  it('is a list that is searched, filtered by how far packages are, and folded', async () => {
    const story = new Story().control();
    const hall = story.work();
    story.work({ name: 'Kerb nails', crew: 'Paving', items: [{ ...HALL, name: 'Kerb' }] }, 'KN');
    const station = story.station('S1');
    story.prove(station, 'P1');
    for (let i = 0; i < hall.body.plans.length; i++) story.set(station, hall, i);
    const { user } = show(story, <Work />);
    const names = () => screen.getAllByRole('article').map((row) => within(row).getByRole('heading').textContent);
    expect(names()).toEqual(['Hall hubs', 'Kerb nails']);
    // By a key, and by the name of a mark.
    await user.keyboard('/');
    expect(document.activeElement).toBe(screen.getByLabelText('Search work, marks, layers'));
    await user.keyboard('kn-');
    expect(names()).toEqual(['Kerb nails']);
    expect(within(screen.getByRole('region', { name: 'Work packages' })).getByText('1 of 2')).toBeTruthy();
    await user.clear(screen.getByLabelText('Search work, marks, layers'));
    await user.selectOptions(screen.getByLabelText('State of packages'), 'To set');
    expect(names()).toEqual(['Kerb nails']);
    await user.selectOptions(screen.getByLabelText('State of packages'), 'All set');
    expect(names()).toEqual(['Hall hubs']);
    await user.selectOptions(screen.getByLabelText('State of packages'), 'All states');
    await user.click(screen.getByRole('button', { name: /^Work packages/ }));
    expect(screen.queryByRole('article')).toBeNull();
  });

  it('says what is left at each place that a drawing was laid over', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'hall.dxf', dxf([ring('WALL', corners)]));
    const misfits = [
      { name: 'K1', dEMm: 3, dNMm: -2 },
      { name: 'pin 7', dEMm: 0.1, dNMm: 0 },
    ];
    const placing = { scale: 1, rotationDeg: 0, shiftE: 0, shiftN: 0, pairs: 2, misfitMm: 3.6, misfits };
    story.say('drawing', { ...drawing.body, placing, supersedes: drawing.id });
    show(story, <Work />);
    expect(await screen.findByText('Residuals: K1 3 mm east, 2 mm south; pin 7 on design.')).toBeTruthy();
    expect(asBuiltReport(story.state, '2031-05-06T10:00:00Z', drawing.by).laid).toEqual([
      { drawing: 'hall', scale: 1, misfits },
    ]);
  });

  it('that was taken before files were read as they are now says once what differs, and nothing moves', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'hall.dxf', dxf([ring('WALL', corners)]));
    const { reading: _reading, ...before } = drawing.body;
    const older = story.say('drawing', {
      ...before,
      elements: 40,
      unit: { name: 'feet', metres: 0.3048 },
      supersedes: drawing.id,
    });
    story.work({ items: [{ ...HALL, drawing: older.id }] });
    const shown = show(story, <Work />);
    const notice = await screen.findByText(/^hall: files are read differently now/);
    const told = within(notice.parentElement!);
    expect(told.getByText('kept in feet; the file states meters')).toBeTruthy();
    expect(told.getByText('40 elements when it was taken, 1 now')).toBeTruthy();
    expect(told.getByText(/^no point or line of it any more at: H-A [NESW]/)).toBeTruthy();
    await shown.user.click(told.getByRole('button', { name: 'Keep it as it is' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'drawing',
      body: { reading: 2, elements: 40, unit: { name: 'feet' }, supersedes: older.id },
    });
    shown.unmount();
    story.say('drawing', { ...older.body, reading: 2, supersedes: older.id });
    show(story, <Work />);
    expect(await screen.findByRole('link', { name: 'hall.dxf' })).toBeTruthy();
    expect(screen.queryByText(/files are read differently now/)).toBeNull();
  });

  it('lists the drawings, and says when a package is from one that is no longer used', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'hall.dxf', dxf([ring('WALL', corners)]));
    story.work({ items: [{ ...HALL, drawing: drawing.id }] });
    const shown = show(story, <Work />);
    expect(await screen.findByRole('link', { name: 'hall.dxf' })).toBeTruthy();
    shown.unmount();
    story.say('drawing', { ...drawing.body, retired: true, supersedes: drawing.id });
    show(story, <Work />);
    expect(await screen.findByText(/made from hall, which is no longer in use/)).toBeTruthy();
  });
});
