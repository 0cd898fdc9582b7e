import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import { crossingsOf, gridOf } from '@idle-marker/records';
import { Place as Work } from '../src/features/design/DesignPlace.tsx';
import { EditGrid } from '../src/features/design/EditGrid.tsx';
import { DrawnGrids } from '../src/features/design/DrawnGrids.tsx';
import { Place as HandOver } from '../src/features/handover/HandOverPlace.tsx';
import { Place as AsBuilt } from '../src/features/structure/AsBuiltPlace.tsx';
import { Place as Columns } from '../src/features/structure/ColumnsPlace.tsx';
import { changePole, currentLink, openTyped } from '../src/link/linkStore.ts';
import { searchWindow } from '../src/link/searchWindow.ts';
import { GRID, HALL, newId } from '../../records/test/story.ts';
import { begin, keptDrawing, said, show, SITE_ID, Story } from './page.tsx';

beforeEach(async () => {
  localStorage.clear();
  await begin();
  openTyped(SITE_ID);
});
const nothing = () => undefined;

/**
 * A level surface, wide enough for anything that is read from the station, with a bed left out of it in the far north.
 */
const LEVEL = new TextEncoder()
  .encode(`<LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units><Surfaces><Surface name="Paving">
  <Definition surfType="TIN"><Pnts><P id="1">7900 3900 5.2</P><P id="2">7900 4200 5.2</P><P id="3">8100 4200 5.2</P><P id="4">8100 3900 5.2</P></Pnts>
  <Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition></Surface></Surfaces></LandXML>`);

const give = (circle: number, slope: number) =>
  act(() => {
    const link = currentLink();
    if (link?.kind !== 'typed') throw new Error('not typed');
    link.give({
      circle,
      zenith: 90,
      slope,
      angleUnit: 'degree',
      lengthUnit: 'metre',
      angleDecimals: 4,
      lengthDecimals: 3,
      keyed: null,
    });
  });

describe('a surface, as built', () => {
  it('is chosen like a package; what is measured keeps the height that the surface has there', async () => {
    const story = new Story().control();
    const drawing = await keptDrawing(story, 'paving.xml', LEVEL);
    story.station('S1');
    const { user } = show(story, <AsBuilt />);
    await user.selectOptions(
      screen.getByLabelText('Compare with'),
      await screen.findByRole('option', { name: 'surface Paving, of paving' }),
    );
    expect(screen.getByTestId('over-surface').textContent).toBe('No shot over Paving yet');
    // Readings are typed here: there is nothing to search with.
    expect(screen.queryByRole('button', { name: 'Search for the pole' })).toBeNull();
    await user.type(screen.getByLabelText(/^Taped figures and notes/), 'joint 8 mm wide');
    await user.click(screen.getByRole('button', { name: /^Measure 1/ }));
    await screen.findByRole('heading', { name: 'Reading at 1' });
    give(45, 20);
    await waitFor(() => expect(said().some(({ type }) => type === 'asBuilt')).toBe(true));
    expect(said().find(({ type }) => type === 'asBuilt')).toMatchObject({
      body: {
        name: '1',
        note: 'joint 8 mm wide',
        against: { kind: 'surface', drawing: drawing.id, name: 'Paving', z: expect.closeTo(5.2, 9) },
      },
    });
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('2'));
    expect(screen.getByLabelText<HTMLInputElement>(/^Taped figures and notes/).value).toBe('');
  });

  it('stands in the table as so much above or below, or off it', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const against = { kind: 'surface', drawing: newId(), name: 'Paving', z: 5.2 } as const;
    story.measure(station, { e: 4005, n: 8003, z: 5.35 }, { name: 'G1', against });
    story.measure(station, { e: 4006, n: 8003, z: 5.05 }, { name: 'G2', against });
    story.measure(station, { e: 4007, n: 8003, z: 5.05 }, { name: 'G3', against: { ...against, z: null } });
    show(story, <AsBuilt />);
    expect(screen.getByRole('row', { name: /^G1 no code 0\.1(49|50|51) m above Paving: CUT 0\.1/ })).toBeTruthy();
    expect(screen.getByRole('row', { name: /^G2 no code 0\.1(49|50|51) m below Paving: FILL 0\.1/ })).toBeTruthy();
    expect(screen.getByRole('row', { name: /^G3 no code Outside Paving: no elevation/ })).toBeTruthy();
  });

  it('is no grid, and nobody is told that none was found in it', async () => {
    const story = new Story().control();
    await keptDrawing(story, 'paving.xml', LEVEL);
    const ring = '0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nW\n10\n0\n20\n0\n11\n9\n21\n4\n0\nENDSEC\n0\nEOF\n';
    await keptDrawing(story, 'one-line.dxf', new TextEncoder().encode(ring));
    show(story, <DrawnGrids onTake={nothing} />);
    expect(await screen.findByText(/^No layer of one-line\.dxf has lines in exactly two directions/)).toBeTruthy();
    expect(screen.queryByText(/paving/)).toBeNull();
  });
});

describe('a grid that is changed', () => {
  const site = () => {
    const story = new Story().control();
    const grid = story.say('grid', GRID);
    const built = gridOf(GRID);
    if (!built.ok) throw new Error(built.error.code);
    const work = story.work({
      name: 'Footings',
      items: [{ ...HALL, name: 'Crossings', rule: 'points', corners: crossingsOf(built.value), grid: grid.id }],
    });
    return { story, grid, work };
  };

  it('says what it moves, and brings the package along', async () => {
    const { story, grid, work } = site();
    const { user } = show(story, <EditGrid grid={grid} onClose={nothing} />);
    expect(screen.queryByText('Work packages made from this grid')).toBeNull();
    const spacings = screen.getByLabelText(/^Spacing, lettered lines/);
    await user.clear(spacings);
    await user.type(spacings, '10.05');
    const region = within(screen.getByRole('region', { name: 'What the changed grid moves' }));
    expect(region.getByText(/3 of its corners moved, by up to 50 mm\. 3 of its layout points move\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[1]).toMatchObject({
      type: 'package',
      at: said()[0]!.at,
      body: { supersedes: work.id, items: [{ grid: said()[0]!.id }] },
    });
  });

  it('leaves a package that is not to come along, and Work says so until it is', async () => {
    const { story, grid, work } = site();
    const first = show(story, <EditGrid grid={grid} onClose={nothing} />);
    const spacings = screen.getByLabelText(/^Spacing, lettered lines/);
    await first.user.clear(spacings);
    await first.user.type(spacings, '10.05');
    await first.user.click(screen.getByLabelText('Bring Footings along'));
    // Whatever comes in meanwhile, of the package itself too: what a person has chosen stays chosen.
    story.say('note', { text: 'from another tablet' });
    story.say('package', { ...work.body, crew: 'Another crew', supersedes: work.id });
    first.follow();
    expect(screen.getByLabelText<HTMLInputElement>('Bring Footings along').checked).toBe(false);
    await first.user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    first.unmount();
    story.say('grid', { ...GRID, letters: { ...GRID.letters, spacings: [10.05] }, supersedes: grid.id });
    const { user } = show(story, <Work />);
    expect(screen.getByText(/^Grid Hall was changed since: these places are the older one’s\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Bring Footings along' }));
    expect(screen.getByRole('heading', { name: 'Work packages made from this grid' })).toBeTruthy();
  });
});

describe('a visible beam', () => {
  it('is told wherever a bare surface is measured, until somebody says what was done', async () => {
    const story = new Story().control();
    story.say('grid', GRID);
    const item = newId();
    story.say('equipment', {
      item,
      what: { kind: 'target', name: 'Bare wall', form: 'surface', constantMm: 0, ownHeight: 0 },
      retired: false,
      supersedes: null,
    });
    const station = story.station('S1');
    const shown = show(story, <Columns />);
    expect(screen.queryByText('The laser is on')).toBeNull();
    act(() => changePole({ target: { item, name: 'Bare wall', constantMm: 0, ownHeight: 0 } }));
    expect(await screen.findByText('The laser is on')).toBeTruthy();
    await shown.user.click(screen.getByRole('button', { name: 'Told, and nobody is in the line' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'care', body: { what: 'laser', about: station.occupation.id } });
    shown.unmount();
    story.say('care', { what: 'laser', about: station.occupation.id, text: '' });
    show(story, <Columns />);
    expect(screen.queryByText('The laser is on')).toBeNull();
  });
});

describe('marks beside a building', () => {
  it('want an independent check before the sheet goes out, and say why', async () => {
    const story = new Story().control();
    const work = story.work();
    const mark = story.set(story.station('S1'), work, 0);
    const { e, n } = mark.body.place;
    const corners = [
      { e: e + 1, n },
      { e: e + 9, n },
      { e: e + 9, n: n - 6 },
    ];
    show(story, <HandOver />).unmount();
    expect(screen.queryByText(/wants an independent check/)).toBeNull();
    story.say('area', {
      area: newId(),
      name: 'Old customs shed',
      kind: 'building',
      corners,
      margin: 0.3,
      blocksSight: true,
      source: 'plan',
      retired: false,
      supersedes: null,
    });
    show(story, <HandOver />);
    expect(await screen.findByRole('heading', { name: '1 mark wants an independent check' })).toBeTruthy();
    expect(
      screen.getByText(new RegExp(`^${mark.body.name}: for what is bolted together or stands beside a building`)),
    ).toBeTruthy();
  });
});

describe('where a search looks', () => {
  it('is all round until something else was chosen on this device, and nothing that is not known', () => {
    expect(searchWindow()).toBeUndefined();
    localStorage.setItem('idle-marker search window', 'left');
    expect(searchWindow()).toEqual({ side: 'left', width: expect.closeTo(Math.PI / 2, 12) });
    localStorage.setItem('idle-marker search window', 'upward');
    expect(searchWindow()).toBeUndefined();
  });
});
