/** Sheets as they are ordered, conventions as they are edited, files as they are chosen, and the end of the day. */
import type { IssuedSheet } from '@idle-marker/contract';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { conventionFaults, SHIPPED_CONVENTIONS } from '@idle-marker/core';
import {
  conventionOfDraft,
  draftOfConvention,
  faultsOf,
  hasSizes,
  movePart,
  sizeError,
} from '../src/features/handover/conventionDraft.ts';
import { ConventionDialog } from '../src/features/handover/ConventionDialog.tsx';
import { CrewLinkDialog } from '../src/features/handover/CrewLinkDialog.tsx';
import { Place as CrewLinks } from '../src/features/handover/CrewLinksPlace.tsx';
import { Place as Files } from '../src/features/handover/FilesPlace.tsx';
import { IssueDialog } from '../src/features/handover/IssueDialog.tsx';
import { IssuedSheets } from '../src/features/handover/IssuedSheets.tsx';
import { addressFault } from '../src/features/handover/useCrewLinks.ts';
import { Place as Close } from '../src/features/fieldbook/ClosePlace.tsx';
import { begin, jest, said, server, show, SITE_ID, Story } from './page.tsx';

beforeEach(async () => {
  localStorage.clear();
  await begin();
});

function hall() {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  const marks = work.body.plans.map((_plan, i) => story.set(solution, work, i));
  return { story, work, solution, marks };
}
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('an order for a sheet', () => {
  it('says to whom it goes, until when it holds, and which part it is', async () => {
    const { story, work } = hall();
    const closed = jest.fn();
    const { user } = show(story, <IssueDialog work={work} onClose={closed} />);
    await user.type(screen.getByLabelText('Issued to'), ' Jo, formwork ');
    await user.type(screen.getByLabelText('Valid until'), '2031-05-20');
    await user.type(screen.getByLabelText('Remarks'), 'Pour on Friday.');
    await user.click(screen.getByLabelText('Selected marks only'));
    expect(button('Issue cut sheet').disabled).toBe(true);
    await user.type(screen.getByLabelText('Part name'), 'north side');
    const part = within(screen.getByRole('list', { name: 'Marks of this part' }));
    const boxes = part.getAllByRole<HTMLInputElement>('checkbox');
    expect(boxes).toHaveLength(8);
    for (const box of boxes.slice(2)) await user.click(box);
    await user.click(button('Issue cut sheet'));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    const [order] = server.orders;
    expect(order).toMatchObject({
      package: work.id,
      givenTo: 'Jo, formwork',
      validUntil: '2031-05-20',
      remarks: 'Pour on Friday.',
      bothHeights: true,
      by: story.who,
      selection: { name: 'north side' },
    });
    expect((order!['selection'] as { keys: string[] }).keys).toHaveLength(2);
  });
  it('for all of it has nothing that was not said, and waits until it was taken', async () => {
    const { story, work } = hall();
    server.refused.set('sheet', {
      status: 409,
      body: { code: 'MISSING_REFERENCE', detail: 'This work package hasn’t arrived. Nothing was issued.' },
    });
    const closed = jest.fn();
    const { user } = show(story, <IssueDialog work={work} onClose={closed} />);
    await user.click(screen.getByLabelText('Also show elevations above site zero'));
    await user.click(button('Issue cut sheet'));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'This work package hasn’t arrived. Nothing was issued.',
    );
    expect(closed).not.toHaveBeenCalled();
    expect(Object.keys(server.orders[0]!).sort()).toEqual([
      'at',
      'bothHeights',
      'by',
      'coordinates',
      'device',
      'fact',
      'package',
      'seq',
      'timeZone',
    ]);
    expect(server.orders[0]!['bothHeights']).toBe(false);
    server.away = true;
    await user.click(button('Issue cut sheet'));
    expect(
      await screen.findByText('The server doesn’t answer. Nothing was issued; try again when it is back.'),
    ).toBeTruthy();
  });
});

describe('issued sheets', () => {
  const sheet = (revision: number, change: Partial<IssuedSheet> = {}): IssuedSheet => ({
    id: `44444444-4444-4444-8444-44444444444${revision}`,
    number: 1,
    packageRoot: '55555555-5555-4555-8555-555555555555',
    withheld: [],
    revision,
    package: 'Hall hubs',
    selection: null,
    crew: 'Formwork',
    givenTo: null,
    validUntil: null,
    issuedAt: '2031-05-06T08:00:00.000Z',
    issuedBy: 'Mara',
    marks: [],
    ...change,
  });
  it('stand the newest first, with those that were replaced and those that ran out', () => {
    const { story } = hall();
    show(
      story,
      <IssuedSheets
        away={false}
        sheets={[sheet(1, { validUntil: '2031-05-01' }), sheet(2, { validUntil: '2031-05-02', givenTo: 'Jo' })]}
      />,
    );
    const lines = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(lines[0]).toMatch(
      /^Cut sheet 1, revision 2Hall hubs · 0 marks · 6 May \d\d:\d\d by Mara · with JoExpired 2031-05-02/,
    );
    expect(lines[1]).toMatch(/^Cut sheet 1, revision 1 · replaced/);
    expect(lines[1]).not.toContain('2031-05-01');
  });
  it('say what to tell whom when a mark is not as it was', () => {
    const { story, work, marks } = hall();
    story.say('handover', {
      sheet: sheet(1).id,
      number: 1,
      revision: 1,
      package: work.id,
      marks: marks.map(({ id }) => id),
      withheld: [],
      givenTo: 'Jo',
    });
    story.say('report', { mark: marks[0]!.id, kind: 'destroyed', who: '', text: '' });
    show(story, <IssuedSheets away={false} sheets={[sheet(1)]} />);
    expect(screen.getByText(`Tell Jo: ${marks[0]!.body.name}: reported gone.`)).toBeTruthy();
  });
  it('that cannot be read are not taken for none', () => {
    const { story } = hall();
    const { unmount } = show(story, <IssuedSheets away sheets={null} />);
    expect(screen.getByText('The issued sheets can’t be read just now.')).toBeTruthy();
    expect(screen.queryByText(/^No sheet yet/)).toBeNull();
    unmount();
    show(story, <IssuedSheets away={false} sheets={[]} />);
    expect(screen.getByText(/^No sheet yet/)).toBeTruthy();
  });
});

describe('a convention that is edited', () => {
  it('comes back as it was from every one that ships', () => {
    for (const convention of Object.values(SHIPPED_CONVENTIONS)) {
      const again = conventionOfDraft(draftOfConvention(convention));
      // Short forms and colours have no order.
      expect({ ...again, abbreviations: [], colours: [] }).toEqual({ ...convention, abbreviations: [], colours: [] });
      expect(new Set(again.colours)).toEqual(new Set(convention.colours));
      expect(new Set(again.abbreviations.map((each) => JSON.stringify(each)))).toEqual(
        new Set(convention.abbreviations.map((each) => JSON.stringify(each))),
      );
      expect(conventionFaults(again)).toEqual([]);
    }
  });
  it('moves a line among those of its own side, and not off its ends', () => {
    const { parts } = draftOfConvention(SHIPPED_CONVENTIONS.plainWords);
    const onSide = (side: string, list = parts) => list.filter((each) => each.side === side).map(({ part }) => part);
    const [first, second] = onSide('back') as [(typeof parts)[number]['part'], (typeof parts)[number]['part']];
    const moved = movePart(parts, first, 1);
    expect(onSide('back', moved).slice(0, 2)).toEqual([second, first]);
    expect(onSide('front', moved)).toEqual(onSide('front'));
    expect(onSide('back', movePart(parts, first, -1))).toEqual(onSide('back'));
    expect(onSide('back', movePart(moved, first, -1))).toEqual(onSide('back'));
  });
  it('asks for sizes that a lath can have', () => {
    const draft = draftOfConvention(SHIPPED_CONVENTIONS.plainWords);
    const sized = (length: string) => ({ ...draft, lath: { ...draft.lath, length } });
    for (const bad of ['', 'long', '20', '6000', '-1'])
      expect([bad, sizeError(sized(bad), 'length'), hasSizes(sized(bad))]).toEqual([
        bad,
        'Enter 50 to 5000 mm.',
        false,
      ]);
    for (const good of ['1200', '1200,5', '50']) expect([good, sizeError(sized(good), 'length')]).toEqual([good, null]);
    expect(faultsOf(sized('nothing'))).toEqual([]);
    expect(faultsOf({ ...draft, cut: 'FILL' }).map(({ code }) => code)).toContain('CUT_IS_FILL');
  });
  it('is kept under a name of its own, with the preview following', async () => {
    const { story } = hall();
    const kept: string[] = [];
    const { user } = show(
      story,
      <ConventionDialog
        from={{ id: 'plainWords', convention: SHIPPED_CONVENTIONS.plainWords, fact: null }}
        onClose={() => undefined}
        onKept={(id) => kept.push(id)}
      />,
    );
    const name = screen.getByLabelText<HTMLInputElement>('Name');
    expect(name.value).toBe('Plain words, as here');
    await user.clear(name);
    expect(screen.getByText('Enter a name.')).toBeTruthy();
    expect(button('Save convention').disabled).toBe(true);
    await user.type(name, 'Ours');
    await user.clear(screen.getByLabelText('Word for fill'));
    await user.type(screen.getByLabelText('Word for fill'), 'RAISE');
    const preview = within(screen.getByRole('region', { name: 'Preview' }));
    expect(preview.getByRole('img', { name: /RAISE 0\.332 m to finished floor/ })).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Side of tolerance'), 'left');
    expect(preview.getAllByRole('img', { name: /^Left side: within/ })).toHaveLength(2);
    await user.click(button('Save convention'));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'convention',
      body: {
        convention: kept[0],
        retired: false,
        supersedes: null,
        rules: { name: 'Ours', fill: 'RAISE', sides: { left: [{ part: 'tolerance', ruled: false }] } },
      },
    });
  });
});

describe('the address of the crew’s pages', () => {
  it.each([
    [undefined, /No address is set/],
    ['', /No address is set/],
    ['http://localhost:4181', /reaches this computer only/],
    ['http://127.0.0.1:4181', /reaches this computer only/],
    ['https://[::1]', /reaches this computer only/],
  ])('%s can’t be printed', (address, why) => expect(addressFault(address)).toMatch(why));
  it.each(['http://192.168.1.20:4181', 'https://marks.example', 'http://localhost.example'])('%s can', (address) =>
    expect(addressFault(address)).toBeNull(),
  );
  it('is kept as it is typed, without what stands behind it, and refused when it is none', async () => {
    const { story } = hall();
    const { user } = show(story, <CrewLinks />);
    const field = screen.getByLabelText('Server address for phones');
    await user.type(field, 'site office');
    expect(button('Save address').disabled).toBe(true);
    expect(screen.getByText(/^Enter an address such as/)).toBeTruthy();
    await user.clear(field);
    await user.type(field, 'http://192.0.2.5:4181//');
    await user.click(button('Save address'));
    await waitFor(() =>
      expect(said().map(({ type, body }) => [type, (body as { publicAddress?: string }).publicAddress])).toEqual([
        ['site', 'http://192.0.2.5:4181'],
      ]),
    );
  });
  it('is no reason for a page that says nobody to ask or shows no package', async () => {
    const { story } = hall();
    const { user } = show(story, <CrewLinkDialog onClose={() => undefined} onMade={() => undefined} />);
    expect(button('Create crew link').disabled).toBe(false);
    await user.clear(screen.getByLabelText('Contact on site'));
    expect(screen.getByText('Enter a contact: the crew must know who to ask.')).toBeTruthy();
    expect(button('Create crew link').disabled).toBe(true);
    await user.type(screen.getByLabelText('Contact on site'), 'Mara');
    await user.click(screen.getByLabelText('All work packages'));
    expect(button('Create crew link').disabled).toBe(true);
    await user.click(screen.getByLabelText('Hall hubs'));
    expect(button('Create crew link').disabled).toBe(false);
  });
});

describe('files for others', () => {
  /** What the browser was given to save, by its name. */
  function saving() {
    const files: { name: string; blob: Blob }[] = [];
    const blobs: Blob[] = [];
    Object.assign(URL, {
      createObjectURL: (blob: Blob) => `blob:${blobs.push(blob) - 1}`,
      revokeObjectURL: () => undefined,
    });
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      files.push({ name: this.download, blob: blobs[Number(this.href.slice(5))]! });
    });
    return files;
  }
  const textOf = (blob: Blob) =>
    new Promise<string>((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(reader.result as string);
      reader.readAsText(blob);
    });

  it('have the groups and columns that were chosen, in their order, and so the next time', async () => {
    const files = saving();
    const { story, work } = hall();
    const { user, unmount } = show(story, <Files />);
    for (const group of [/^Control/, /^Stations/, /^As-built points/])
      await user.click(screen.getByRole('checkbox', { name: group }));
    await user.click(button('Northing (m) earlier'));
    for (const gone of ['Group', 'Code', 'Note', 'Height (m)']) await user.click(button(`Leave out ${gone}`));
    await user.click(button('Add Standing'));
    await user.click(button('CSV'));
    const lines = (await textOf(files[0]!.blob)).trim().split(/\r?\n/);
    expect(lines.filter((line) => line.startsWith('#'))).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^# Site: Quay extension$/),
        expect.stringMatching(/^# Station S1: accepted/),
      ]),
    );
    const [header, ...rows] = lines.filter((line) => !line.startsWith('#'));
    expect(header).toBe('Point,Northing (m),Easting (m),Standing');
    expect(rows).toHaveLength(work.body.plans.length);
    for (const row of rows) expect(row).toMatch(/^H-[A-D] [NESW],\d+\.\d{4},\d+\.\d{4},(not verified yet|verified)$/);
    expect(files[0]!.name).toBe('quay-extension-points.csv');
    unmount();
    show(story, <Files />);
    expect(button('Standing earlier').disabled).toBe(false);
    expect(screen.queryByRole('button', { name: 'Leave out Code' })).toBeNull();
  });
  it('have a form by its name: columns, headings, separator; one for a field computer is bare', async () => {
    const files = saving();
    const { story } = hall();
    const { user, unmount } = show(story, <Files />);
    await user.selectOptions(screen.getByLabelText('Form of the list'), 'Point, N, E, elevation, code');
    await user.click(button('CSV'));
    const [first] = (await textOf(files[0]!.blob)).split(/\r?\n/);
    expect(first).toMatch(/^K1,\d+\.\d{4},\d+\.\d{4},\d+\.\d{4},$/);
    await user.click(button('Leave out Code'));
    await user.selectOptions(screen.getByLabelText('Separator'), 'Semicolon');
    await user.type(screen.getByLabelText('Name of the form'), 'Rover');
    await user.click(button('Keep the form'));
    unmount();
    const again = show(story, <Files />);
    expect(screen.getByLabelText<HTMLSelectElement>('Form of the list').value).toBe('Rover');
    await again.user.click(button('CSV'));
    expect((await textOf(files[1]!.blob)).split(/\r?\n/)[0]).toMatch(/^K1;\d+\.\d{4};\d+\.\d{4};\d+\.\d{4}$/);
    await again.user.click(button('Forget Rover'));
    expect(screen.queryByRole('option', { name: 'Rover' })).toBeNull();
    localStorage.clear();
  });
  it('cannot be written without points, and a CSV not without columns', async () => {
    const { story } = hall();
    const { user } = show(story, <Files />);
    for (const column of ['Point', 'Easting (m)', 'Northing (m)', 'Height (m)', 'Group', 'Code', 'Note'])
      await user.click(button(`Leave out ${column}`));
    expect([button('CSV').disabled, button('LandXML').disabled]).toEqual([true, false]);
    for (const group of [/^Control/, /^Marks set/, /^Stations/, /^As-built points/])
      await user.click(screen.getByRole('checkbox', { name: group }));
    for (const kind of ['CSV', 'LandXML', 'DXF', 'GeoJSON'])
      expect([kind, button(kind).disabled]).toEqual([kind, true]);
  });
  it('are read by others: LandXML with every sight, DXF by layers, GeoJSON with the figures of the marks', async () => {
    const files = saving();
    const { story } = hall();
    const { user } = show(story, <Files />);
    for (const kind of ['LandXML', 'DXF', 'GeoJSON']) await user.click(button(kind));
    const [xml, dxf, geo] = await Promise.all(files.map(({ blob }) => textOf(blob)));
    const page = new DOMParser().parseFromString(xml!, 'application/xml');
    expect(page.querySelector('parsererror')).toBeNull();
    expect(page.getElementsByTagName('RawObservation').length).toBe([...story.state.sights.values()].length);
    expect(dxf).toMatch(/ENTITIES[\s\S]*MARKS/i);
    const { features } = JSON.parse(geo!) as {
      features: { properties: { name: string; standing: string }; geometry: { coordinates: number[] } }[];
    };
    expect(features.find(({ properties }) => properties.name === 'H-A S')!.geometry.coordinates).toHaveLength(3);
  });
});

describe('the end of the day', () => {
  it('is not said while a closing proof is missing, unless with the reason, and that can be left again', async () => {
    const { story } = hall();
    const { user } = show(story, <Close />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Not yet: something is missing');
    expect(button('Close day').disabled).toBe(true);
    await user.click(button('Close with work missing…'));
    expect(button('End the day unfinished').disabled).toBe(true);
    await user.click(button('Cancel'));
    expect(button('Close day').disabled).toBe(true);
    await user.click(button('Close with work missing…'));
    await user.type(screen.getByLabelText('Reason for unfinished work'), 'thunder');
    await user.type(screen.getByLabelText('Shift handover note'), 'key at the gate');
    await user.click(button('End the day unfinished'));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'dayEnd', body: { note: 'key at the gate', unfinished: 'thunder' } });
  });
  it('is said in one press once every mark is held, with what is open for tomorrow', async () => {
    const { story, solution } = hall();
    story.prove(solution, 'P2');
    story.say('close', { occupation: solution.occupation.id, note: '' });
    const { user } = show(story, <Close />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('You may pack up');
    expect(
      within(screen.getByRole('region', { name: 'Still open' })).getByText('Hall hubs isn’t handed over'),
    ).toBeTruthy();
    await user.click(button('Close day'));
    await waitFor(() => expect(said()[0]).toMatchObject({ type: 'dayEnd', body: { unfinished: '' } }));
  });
  it('gives the page for who comes next what was just written', async () => {
    const { story } = hall();
    const asked: unknown[] = [];
    const usual = globalThis.fetch;
    globalThis.fetch = (input, init) => {
      if (typeof input !== 'string' || !input.includes('/papers/')) return usual(input, init);
      asked.push([input, JSON.parse(init!.body as string)]);
      return Promise.reject(new TypeError('no server'));
    };
    try {
      const { user } = show(story, <Close />);
      await user.type(screen.getByLabelText('Shift handover note'), 'the fence is new');
      await user.click(button('Shift handover (PDF)'));
      expect(
        await screen.findByText('The server doesn’t answer. Nothing was printed; try again when it is back.'),
      ).toBeTruthy();
      expect(asked).toEqual([
        [`/api/v1/sites/${SITE_ID}/papers/shift`, expect.objectContaining({ by: story.who, note: 'the fence is new' })],
      ]);
    } finally {
      globalThis.fetch = usual;
    }
  });
});
