/** Papers, read back with readers of other makers: labels with their codes, cards, sketches, sheets and workbooks. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import jsQR from 'jsqr';
import { join } from 'node:path';
import { OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { pino } from 'pino';
import readXlsxFile from 'read-excel-file/node';
import request from 'supertest';
import {
  LARGEST_UPLOAD_BYTES,
  rawSightsText,
  type AnyFact,
  type Fact,
  type LabelFormat,
  type RawSights,
} from '@idle-marker/contract';
import { rawSightsOf, siteState, type NumberedSheet } from '@idle-marker/records';
import { loadDemo } from '../src/demo/loadDemo.ts';
import {
  canBePrinted,
  labelsPdf,
  missingLetters,
  printable,
  runsOf,
  sheetPdf,
  sheetXlsx,
  type Label,
} from '@idle-marker/press';
import { device, id, startHarness, type Harness } from './harness.ts';
import { opened, textOf } from './pdfText.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
const ADDRESS = 'http://192.168.1.20:4181';
let harness: Harness;
let facts: AnyFact[];
let work: Fact<'package'>;
let who: string;
let link: { id: string; token: string };
beforeAll(async () => {
  harness = await startHarness('papers');
  await loadDemo(harness.orm, DEMO, NOW, pino({ level: 'silent' }));
  facts = (await request(harness.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
  work = facts.find(
    (fact): fact is Fact<'package'> => fact.type === 'package' && fact.body.name === 'Ticket hall hubs',
  )!;
  who = facts.find((fact) => fact.type === 'member')!.id;
  const linkId = id();
  link = (
    await request(harness.app)
      .put(`/api/v1/sites/${SITE}/crew-links/${linkId}`)
      .send({ label: 'Formwork', who: 'Mara', roots: null, days: 30 })
  ).body as typeof link;
}, 240_000);
afterAll(() => harness.stop());

const ask = (kind: string, options: object) =>
  request(harness.app)
    .post(`/api/v1/sites/${SITE}/papers/${kind}`)
    .send({ at: NOW, by: who, timeZone: 'UTC', package: work.id, ...options });

const pagesOf = async (bytes: Buffer): Promise<number> => (await opened(bytes)).numPages;

describe('labels', () => {
  it('say what the stake says, of all marks or of those that are asked for', async () => {
    const all = await textOf((await ask('labels', { format: 'a4of24' }).expect(200)).body as Buffer);
    const marks = facts.filter(
      (fact): fact is Fact<'mark'> =>
        fact.type === 'mark' && fact.body.package === work.id && fact.body.state === 'confirmed',
    );
    expect(marks.length).toBe(9);
    for (const { body } of marks) for (const line of body.stakeText) expect(all).toContain(line);
    const { key, name } = marks[0]!.body;
    const one = await textOf((await ask('labels', { format: 'roll24', keys: [key] }).expect(200)).body as Buffer);
    expect(one).toContain(name);
    expect(one).not.toContain(marks[1]!.body.name);
  });
  it('of the evening before say everything but the cut or fill, and nothing of what is set', async () => {
    const before = (await ask('labels', { format: 'a4of14', before: true }).expect(200)).body as Buffer;
    const all = await textOf(before);
    expect(all).toMatch(/CUT \/ FILL ________ m to finished floor/);
    expect(all).toContain('hub ________ m');
    expect(all).not.toMatch(/(CUT|FILL) \d/);
    expect(await pagesOf(before)).toBe(1);
    const marks = facts.filter((fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.body.package === work.id);
    expect(
      (await ask('labels', { format: 'a4of14', before: true, keys: [marks[0]!.body.key] }).expect(422)).body.detail,
    ).toMatch(/All of these marks are set/);
  });
  it('come one a page on a roll, and by the sheet otherwise', async () => {
    expect(await pagesOf((await ask('labels', { format: 'roll62' })).body as Buffer)).toBe(9);
    expect(await pagesOf((await ask('labels', { format: 'a4of8' })).body as Buffer)).toBe(2);
  });
  it('are refused for marks that are not set, formats and links that are none, and codes without an address', async () => {
    expect((await ask('labels', { format: 'a4of24', keys: ['nothing'] }).expect(422)).body.detail).toMatch(
      /nothing to print/,
    );
    await ask('labels', { format: 'stone' }).expect(422);
    await ask('posters', {}).expect(404);
    expect((await ask('labels', { format: 'a4of24', link: id() }).expect(409)).body.field).toBe('/link');
    expect((await ask('labels', { format: 'a4of24', link: link.id }).expect(422)).body.detail).toMatch(
      /under which phones reach/,
    );
  });
  it('carry a code that a phone reads, with the address of the mark', async () => {
    const said = device(who);
    const settings = facts.findLast((fact): fact is Fact<'site'> => fact.type === 'site')!.body;
    const fact = { ...said('site', { ...settings, publicAddress: ADDRESS }), at: NOW };
    await request(harness.app).put(`/api/v1/sites/${SITE}/facts/${fact.id}`).send(fact).expect(201);
    const key = work.body.plans.find((plan) => plan.name === 'TH-D4 E')!.key;
    const bytes = (await ask('labels', { format: 'roll62', keys: [key], link: link.id }).expect(200)).body as Buffer;
    expect(await codeOn(bytes)).toBe(`${ADDRESS}/crew/${link.token}/TH-D4%20E`);
  });
  it('of hundreds are written with their progress, small and with embedded fonts', async () => {
    const label = (i: number): Label => ({
      name: `M-${i}`,
      lines: [
        { text: `2.00${i % 10} m offset`, ruled: true, unusual: false },
        { text: 'FILL 0.332 m', ruled: false, unusual: i === 3 },
      ],
      address: `${ADDRESS}/crew/${link.token}/M-${i}`,
      about: 'Hall',
    });
    const steps: number[] = [];
    const bytes = await labelsPdf(
      Array.from({ length: 500 }, (_, i) => label(i)),
      'a4of24' satisfies LabelFormat,
      'Labels',
      (done, of) => Promise.resolve(void steps.push(done / of)),
    );
    expect(bytes.length).toBeLessThan(2_000_000);
    expect(steps.length).toBeGreaterThan(10);
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    expect(await textOf(bytes)).toContain('M-499');
    expect(bytes.toString('latin1')).toContain('/FontFile');
  }, 240_000);
});

/** Draws the dark squares of the first page on a grid and lets a reader of another maker look at it. */
async function codeOn(bytes: Buffer): Promise<string | undefined> {
  const page = await (await opened(bytes)).getPage(1);
  const { fnArray, argsArray } = await page.getOperatorList();
  const [, , width, height] = page.view as [number, number, number, number];
  const scale = 6;
  const [w, h] = [Math.ceil(width * scale), Math.ceil(height * scale)];
  const pixels = new Uint8ClampedArray(w * h * 4).fill(255);
  fnArray.forEach((operation, i) => {
    if (operation !== OPS.constructPath) return;
    const [operators, coordinates] = argsArray[i] as [number[], number[]];
    if (!operators.every((each) => each === OPS.rectangle) || operators.length < 100) return;
    for (let k = 0; k < coordinates.length; k += 4) {
      const [x, y, dx, dy] = coordinates.slice(k, k + 4) as [number, number, number, number];
      for (let px = Math.round(x * scale); px < Math.round((x + dx) * scale); px++)
        for (let py = Math.round(y * scale); py < Math.round((y + dy) * scale); py++)
          pixels.fill(0, (py * w + px) * 4, (py * w + px) * 4 + 3);
    }
  });
  // Its types and its module do not agree about the default.
  const read = (jsQR as unknown as { default: typeof jsQR }).default ?? jsQR;
  return read(pixels, w, h)?.data;
}

describe('cards for the crew', () => {
  it('say in each language how each mark is read', async () => {
    const text = await textOf((await ask('cards', { languages: ['en', 'es'] }).expect(200)).body as Buffer);
    for (const said of [
      'How to read TH-D4 E',
      'Cómo se lee TH-D4 E',
      'HIGHER than the nail',
      'MÁS ALTO que el punto',
      'From the side',
      'Desde arriba, norte arriba',
    ])
      expect(text).toContain(said);
  });
});

describe('the sketch', () => {
  it('comes on the paper that was asked for, with every mark', async () => {
    const options = { upright: true, dimensions: true, diagonals: true, heights: true, offsets: true };
    for (const [paper, size] of [
      ['A3', [841.89, 1190.55]],
      ['letter', [612, 792]],
    ] as const) {
      const bytes = (await ask('sketch', { ...options, paper }).expect(200)).body as Buffer;
      const page = await (await opened(bytes)).getPage(1);
      expect(page.view.slice(2).map((each) => Math.round(each))).toEqual(size.map(Math.round));
      expect(await textOf(bytes)).toContain('TH-C4 NE');
    }
  });
});

describe('control marks', () => {
  it('have a card each, to find them and to set them again, and labels', async () => {
    const mark = facts.find((fact): fact is Fact<'control'> => fact.type === 'control' && fact.body.name === 'K2')!;
    const common = { at: NOW, by: who, timeZone: 'UTC' };
    const post = (kind: string, options: object) =>
      request(harness.app)
        .post(`/api/v1/sites/${SITE}/papers/${kind}`)
        .send({ ...common, ...options });
    const card = await textOf((await post('controlCard', { mark: mark.body.mark }).expect(200)).body as Buffer);
    for (const said of ['K2', 'Revision 1', 'Azimuth', 'standard deviations', 'Check for a newer revision of the list'])
      expect(card).toContain(said);
    const labels = await textOf((await post('controlLabels', { format: 'a4of24' }).expect(200)).body as Buffer);
    for (const name of ['K1', 'K8', 'BM1']) expect(labels).toContain(name);
    expect(labels).toContain(`elevation ${mark.body.z!.toFixed(3)} m`);
    await post('controlCard', { mark: id() }).expect(409);
  });
});

describe('the field book', () => {
  it('comes as pages of a day and of a set-up', async () => {
    const occupation = facts.filter((fact) => fact.type === 'occupation').at(-1)!;
    const common = { at: NOW, by: who, timeZone: 'UTC' };
    const post = (kind: string, options: object) =>
      request(harness.app)
        .post(`/api/v1/sites/${SITE}/papers/${kind}`)
        .send({ ...common, ...options });
    const setup = await textOf((await post('setup', { occupation: occupation.id }).expect(200)).body as Buffer);
    for (const said of ['Setup S3', 'Sights, as read and reduced', 'Check shots']) expect(setup).toContain(said);
    const day = await textOf((await post('day', { day: '2031-05-06' }).expect(200)).body as Buffer);
    for (const said of [
      'Field book, 6 May 2031',
      'Setup S1',
      'WITHDRAWN',
      'Control not used',
      'K5 plan: left out of S3',
      // Room to draw by hand, after a set-up that leaves some.
      'Sketch',
    ])
      expect(day).toContain(said);
    expect(setup).toContain('Assessment: ');
    expect(setup).toContain('Sighted again, directions, and things as they stand');
    const shift = await textOf((await post('shift', {}).expect(200)).body as Buffer);
    for (const said of [
      'Shift handover',
      'S3, set up',
      'Still open',
      'Control',
      'proved good',
      'Work',
      'Ticket hall hubs',
      'used for its elevation, not its place',
    ])
      expect(shift).toContain(said);
    const asked = await textOf(
      (await post('shift', { note: 'K5 has moved', unfinished: 'rain' }).expect(200)).body as Buffer,
    );
    for (const said of ['K5 has moved', 'UNFINISHED: rain']) expect(asked).toContain(said);
    expect((await post('day', { day: '6 May' }).expect(422)).body.field).toBe('/day');
    await post('setup', { occupation: id() }).expect(409);
  });
});

describe('photos', () => {
  const whole = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  it('that were cut short on their way are found out before they come to a page', () => {
    expect(canBePrinted(whole)).toBe(true);
    for (let end = 0; end < whole.length; end += 3)
      expect([end, canBePrinted(whole.subarray(0, end))]).toEqual([end, false]);
    const broken = Buffer.from(whole);
    broken[45]! ^= 0xff;
    expect(canBePrinted(broken)).toBe(false);
    const jpeg = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0, 0xff, 0xc0, 0, 11, 8, 0, 2, 0, 3, 1, 1, 0x11, 0]);
    expect([
      canBePrinted(jpeg),
      canBePrinted(jpeg.subarray(0, 12)),
      canBePrinted(Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0x61])),
    ]).toEqual([true, false, false]);
  });
  it('stand on the page of the set-up, and one that is no whole picture has its words there', async () => {
    const mark = facts.find((fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.body.state === 'confirmed')!;
    const solution = facts.find(
      (fact): fact is Fact<'solution'> => fact.type === 'solution' && fact.id === mark.body.solution,
    )!;
    for (const [bytes, mediaType, caption] of [
      [whole, 'image/png', 'front of the lath'],
      [
        Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('cut short')]),
        'image/jpeg',
        'back of the lath',
      ],
    ] as const) {
      const image = id();
      await request(harness.app)
        .put(`/api/v1/sites/${SITE}/images/${image}`)
        .set('Content-Type', mediaType)
        .send(bytes)
        .expect(201);
      const fact = {
        ...device(who)('photo', { mark: mark.id, image, mediaType, bytes: bytes.length, caption, written: true }),
        at: NOW,
      };
      await request(harness.app).put(`/api/v1/sites/${SITE}/facts/${fact.id}`).send(fact).expect(201);
    }
    const answer = await request(harness.app)
      .post(`/api/v1/sites/${SITE}/papers/setup`)
      .send({ at: NOW, by: who, timeZone: 'UTC', occupation: solution.body.occupation })
      .expect(200);
    const text = await textOf(answer.body as Buffer);
    for (const said of ['front of the lath', 'back of the lath', 'stored, but can’t be printed'])
      expect(text).toContain(said);
    const document = await opened(answer.body as Buffer);
    const images = await Promise.all(
      Array.from(
        { length: document.numPages },
        async (_, i) => (await (await document.getPage(i + 1)).getOperatorList()).fnArray,
      ),
    );
    expect(images.flat().filter((operator) => operator === OPS.paintImageXObject).length).toBe(1);
  });
});

describe('a file of raw sights', () => {
  const check = (text: string) =>
    request(harness.app).post('/api/v1/raw-sights').set('Content-Type', 'application/x-ndjson').send(text);
  it('is read, or refused with its line, and nothing is kept', async () => {
    const state = siteState((await request(harness.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[]);
    const text = rawSightsText(rawSightsOf(state, state.occupations[0]!));
    const { body } = await check(text).expect(200);
    expect(rawSightsText(body as RawSights)).toBe(text);
    const refusals: readonly (readonly [string, RegExp])[] = [
      [text.replace('"face":1', '"face":3'), /^Line \d+, sight\/face: /],
      ['', /isn’t a file of raw sights/],
      ['null', /isn’t a file of raw sights/],
      ['{"header":null}', /^Line 1, header: /],
      ['{"header":7}', /^Line 1, header: /],
      [`${text}null\n`, /^Line \d+, : is no header/],
      [`${text}{"sight":null}\n`, /^Line \d+, sight: /],
      [`${text}{"toString":{}}\n`, /is no header, control, setup, sight or station/],
    ];
    for (const [refused, reason] of refusals)
      expect((await check(refused).expect(422)).body).toMatchObject({
        code: 'INVALID_FILE',
        detail: expect.stringMatching(reason),
      });
    await check('x'.repeat(LARGEST_UPLOAD_BYTES + 1)).expect(413);
  });
});

describe('progress', () => {
  it('is told line by line, with the file in the last one', async () => {
    const answer = await ask('labels', { format: 'a4of24' })
      .set('Accept', 'application/x-ndjson')
      .buffer(true)
      .parse(plainText)
      .expect(200);
    const lines = (answer.body as string)
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(lines[0]).toEqual({ done: 0, of: 9 });
    expect(lines.at(-1)).toMatchObject({ name: 'labels-ticket-hall-hubs.pdf', type: 'application/pdf' });
    expect(
      Buffer.from(lines.at(-1)!['file'] as string, 'base64')
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
  });
});
const binary = (response: request.Response, done: (error: Error | null, bytes: Buffer) => void) => {
  const parts: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};
const plainText = (response: request.Response, done: (error: Error | null, text: string) => void) => {
  let text = '';
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.setEncoding('utf8');
  stream.on('data', (part: string) => (text += part));
  stream.on('end', () => done(null, text));
};

describe('a sheet', () => {
  const issue = async (change: object = {}): Promise<{ id: string; sheet: NumberedSheet }> => {
    const sheet = id();
    const order = {
      package: work.id,
      fact: id(),
      at: NOW,
      device: 'office',
      seq: seq++,
      by: who,
      timeZone: 'UTC',
      ...change,
    };
    return {
      id: sheet,
      sheet: (await request(harness.app).put(`/api/v1/sites/${SITE}/sheets/${sheet}`).send(order).expect(201))
        .body as NumberedSheet,
    };
  };
  let seq = 0;

  it('as a workbook has figures as figures and text as text, whatever it begins with', async () => {
    const { sheet } = await issue();
    const evil = {
      ...sheet,
      crew: '=cmd|calc',
      rows: sheet.rows.map((row, i) => (i === 0 ? { ...row, name: '=HYPERLINK("http://x")' } : row)),
    };
    const bytes = await sheetXlsx(evil, ['TH-A1 S: in doubt']);
    const sheets = (await readXlsxFile(bytes)) as unknown as { sheet: string; data: unknown[][] }[];
    expect(sheets.map((each) => each.sheet)).toEqual(['Marks', 'About']);
    const rows = sheets[0]!.data;
    const at = rows[0]!.indexOf('Hub elevation (m)');
    expect(rows[1]![0]).toBe('=HYPERLINK("http://x")');
    expect(typeof rows[2]![at]).toBe('number');
    expect(rows[2]![at]).toBeCloseTo(sheet.rows[1]!.hubZ!, 3);
    expect(rows).toHaveLength(sheet.rows.length + 1);
    // A formula would be an element of its own.
    const { unzipSync, strFromU8 } = await import('fflate');
    const files = unzipSync(new Uint8Array(bytes));
    const xml = Object.entries(files)
      .filter(([name]) => /worksheets\/.*\.xml$/.test(name))
      .map(([, file]) => strFromU8(file))
      .join('');
    expect(xml).not.toMatch(/<f[ >]/);
    expect(JSON.stringify(sheets[1]!.data)).toContain('TH-A1 S: in doubt');
  });

  it('comes with its sketch, its control and the photos of its marks in one file', async () => {
    const { id: sheet, sheet: content } = await issue();
    const photo = id();
    const bytes = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('a made-up photo')]);
    await request(harness.app)
      .put(`/api/v1/sites/${SITE}/images/${photo}`)
      .set('Content-Type', 'image/jpeg')
      .send(bytes)
      .expect(201);
    const body = {
      mark: content.rows[0]!.mark,
      image: photo,
      mediaType: 'image/jpeg',
      bytes: bytes.length,
      caption: '',
      written: true,
    };
    const fact = { ...device(who)('photo', body), at: NOW };
    await request(harness.app).put(`/api/v1/sites/${SITE}/facts/${fact.id}`).send(fact).expect(201);
    const { unzipSync, strFromU8 } = await import('fflate');
    const answer = await request(harness.app)
      .get(`/api/v1/sites/${SITE}/sheets/${sheet}/zip`)
      .buffer(true)
      .parse(binary)
      .expect(200);
    const files = unzipSync(new Uint8Array(answer.body as Buffer));
    const name = `cut-sheet-${content.number}-revision-${content.revision}`;
    const control = Object.keys(files).find((file) => /^control-v\d+\.csv$/.test(file))!;
    expect(Object.keys(files).sort()).toEqual([
      control,
      `${name}.csv`,
      `${name}.pdf`,
      `${name}.xlsx`,
      'photos/th-a1-s-1.jpg',
      'sketch.pdf',
    ]);
    expect(strFromU8(files[control]!)).toContain('K1');
    expect(await textOf(Buffer.from(files['sketch.pdf']!))).toContain('TH-A1 S');
  });

  it('of a part has its own number and revisions, and refuses marks of other packages', async () => {
    const keys = work.body.plans.slice(0, 4).map(({ key }) => key);
    const whole = await issue();
    const part = await issue({
      selection: { name: 'north side', keys },
      givenTo: 'Ada',
      validUntil: '2031-06-01',
      bothHeights: true,
    });
    expect(part.sheet.number).not.toBe(whole.sheet.number);
    expect(part.sheet).toMatchObject({
      revision: 1,
      selection: 'north side',
      givenTo: 'Ada',
      validUntil: '2031-06-01',
      bothHeights: true,
    });
    expect((await issue({ selection: { name: 'north side', keys } })).sheet).toMatchObject({
      number: part.sheet.number,
      revision: 2,
    });
    const order = {
      package: work.id,
      fact: id(),
      at: NOW,
      device: 'office',
      seq: 99,
      by: who,
      timeZone: 'UTC',
      selection: { name: 'x', keys: ['other/key'] },
    };
    expect(
      (await request(harness.app).put(`/api/v1/sites/${SITE}/sheets/${id()}`).send(order).expect(422)).body.field,
    ).toBe('/selection/keys');
  });

  it('that was issued says in its PDF what happened to its marks since; what was frozen stays', async () => {
    const { id: sheet, sheet: before } = await issue({ remarks: 'Pour on Thursday.', bothHeights: true });
    const path = `/api/v1/sites/${SITE}/sheets/${sheet}`;
    const clean = await textOf((await request(harness.app).get(`${path}/pdf`).expect(200)).body as Buffer);
    expect(clean).not.toContain('Since this sheet was issued');
    expect(clean).toContain('Pour on Thursday.');
    expect(clean).toContain(`(−${(6.25 - before.rows[0]!.hubZ!).toFixed(3)})`);
    const row = before.rows[0]!;
    await request(harness.app)
      .put(`/api/v1/crew/${link.token}/reports/${id()}`)
      .send({ mark: row.mark, kind: 'moved', who: 'Jo', text: '' })
      .expect(201);
    const noticed = await textOf((await request(harness.app).get(`${path}/pdf`).expect(200)).body as Buffer);
    expect(noticed).toContain(`Since this sheet was issued: ${row.name}: reported hit or moved`);
    expect((await request(harness.app).get(path).expect(200)).body).toEqual(before);
  });

  it('tells how its marks are read in every language of the crew, and in English on sheets of before that', async () => {
    const { sheet } = await issue();
    expect(sheet.languages).toEqual(['en']);
    const both = await textOf(await sheetPdf({ ...sheet, languages: ['es', 'en'] }));
    expect(both.indexOf('Cómo se lee')).toBeGreaterThan(0);
    expect(both.indexOf('How to read')).toBeGreaterThan(both.indexOf('Cómo se lee'));
    // Who reads Spanish is told what the English words on the stake mean; who reads English is not.
    expect(both).toContain('En la estaca dice: offset = distancia;');
    expect(both).not.toContain('On the stake:');
    const { languages: _languages, ...before } = sheet;
    expect(await textOf(await sheetPdf(before))).toContain('How to read');
  });

  it('of five hundred marks is small, with text to be selected on every page and a sketch', async () => {
    const { sheet } = await issue();
    const rows = Array.from({ length: 500 }, (_, i) => {
      const row = sheet.rows[i % sheet.rows.length]!;
      const place = { e: 4000 + (i % 25) * 6, n: 8000 + Math.floor(i / 25) * 6 };
      return { ...row, name: `M-${i}`, place, design: { e: place.e + 2, n: place.n } };
    });
    const bytes = await sheetPdf({ ...sheet, rows });
    expect(bytes.length).toBeLessThan(2_000_000);
    const document = await opened(bytes);
    expect(document.numPages).toBeGreaterThan(10);
    const text = await textOf(bytes);
    for (const name of ['M-0', 'M-250', 'M-499']) expect(text).toContain(name);
    const last = await document.getPage(document.numPages);
    expect(last.view[2]).toBeGreaterThan(last.view[3] as number);
  }, 240_000);
});

describe('letters', () => {
  it('of other scripts take the second font, and what no font has is reported and written by its number', () => {
    expect(runsOf('Hof Łódź').map(({ font, text }) => [font, text])).toEqual([
      ['first', 'Hof '],
      ['second', 'Łódź'],
    ]);
    expect(missingLetters(['Hof 中', '中庭', 'plain'])).toEqual(['中', '庭']);
    expect(printable('Hof 中')).toBe('Hof [U+4E2D]');
    expect(printable('a\u200bb\u0007c\u2009d')).toBe('abc d');
  });
  it('from right to left are turned as a whole, with figures and Latin as they are', () => {
    const [first, ...rest] = runsOf('מגרש 12 A1');
    expect(rest.at(-1)).toMatchObject({ text: ' A1', turned: false });
    expect(first!.text).toBe('12');
    const turned = runsOf('שלום עולם').filter((run) => run.turned);
    expect(turned).toEqual([{ text: 'שלום עולם', font: 'second', turned: true }]);
    expect(runsOf('(שלום)').filter((run) => run.turned)).toHaveLength(1);
  });
  it('of every script come out of the PDF as they went in', async () => {
    const names = ['Schälung Müller', 'Żuraw Łódź', 'Бригада', 'Ομάδα', 'פיגומים', 'عمال'];
    const labels = names.map((name): Label => ({
      name,
      lines: [{ text: name, ruled: false, unusual: false }],
      address: null,
      about: '',
    }));
    const text = await textOf(await labelsPdf(labels, 'roll62', 'x', () => Promise.resolve()));
    for (const name of names.slice(0, 5)) expect([name, text.normalize('NFC').includes(name)]).toEqual([name, true]);
    const long = 'Ü'.repeat(200);
    const pages = await labelsPdf(
      [{ name: long, lines: [{ text: long, ruled: false, unusual: false }], address: null, about: long }],
      'roll24',
      'x',
      () => Promise.resolve(),
    );
    expect(await pagesOf(pages)).toBe(1);
  });
});
