/**
 * What the server gives to a browser: the application, its headers, its sites; and what a whole day of work becomes on
 * a sheet.
 */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import Papa from 'papaparse';
import request from 'supertest';
import type { AnyFact, Fact } from '@idle-marker/contract';
import type { NumberedSheet } from '@idle-marker/records';
import { createApp } from '../src/app.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { sheetCsv, sheetPdf } from '@idle-marker/press';
import { device, id, SITE_BODY, startHarness, type Harness } from './harness.ts';
import { textOf } from './pdfText.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
let harness: Harness;
let folder: string;
let facts: AnyFact[];
beforeAll(async () => {
  harness = await startHarness('served');
  await loadDemo(harness.orm, DEMO, NOW, pino({ level: 'silent' }));
  facts = (await request(harness.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts;
  folder = mkdtempSync(join(tmpdir(), 'idle-marker-web-'));
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Idle Marker</title>');
  writeFileSync(join(folder, 'assets/app-1.js'), 'export {};');
}, 240_000);
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await harness.stop();
});

const web = () =>
  createApp({
    orm: harness.orm,
    log: pino({ level: 'silent' }),
    webFolder: folder,
    now: NOW,
    loopbackOnly: true,
    archives: harness.archives,
  });

describe('the application', () => {
  it('is given for every address of it, so that a link can be opened anywhere', async () => {
    for (const path of ['/', '/sites/x/mark', '/anything/else']) {
      const { text } = await request(web()).get(path).expect(200);
      expect(text).toContain('Idle Marker');
    }
  });

  it('keeps its scripts for good, and does not give a page for one that is not there', async () => {
    const { headers } = await request(web()).get('/assets/app-1.js').expect(200);
    expect(headers['cache-control']).toContain('immutable');
    await request(web()).get('/assets/app-0.js').expect(404);
    const { body } = await request(web()).get('/api/v1/nothing').expect(404);
    expect(body).toMatchObject({ code: 'NOT_FOUND', status: 404 });
  });

  it('lets a page load nothing from elsewhere, and does not say what it is made of', async () => {
    const { headers } = await request(web()).get('/').expect(200);
    expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
    expect(headers['content-security-policy']).toMatch(/connect-src 'self'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('never gives a file from outside of its folder', async () => {
    for (const path of [
      '/assets/../../package.json',
      '/assets/%2e%2e/%2e%2e/package.json',
      '/..%2f..%2fetc%2fpasswd',
    ]) {
      const { text } = await request(web()).get(path);
      expect(text).not.toMatch(/idle-marker"|root:/);
    }
  });
});

describe('the server', () => {
  it('says whether the database answers, and what time it goes by', async () => {
    expect((await request(harness.app).get('/healthz').expect(200)).body).toMatchObject({
      status: 'ok',
      database: 'answers',
      writes: 'taken',
    });
    await request(web()).get('/api/v1/clock').expect(200, { now: NOW, fixed: true });
  });

  it('lists sites by the name they have now, the one worked on last first', async () => {
    const site = id();
    const member = id();
    const make = device(member);
    const put = (fact: AnyFact) =>
      request(harness.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact).expect(201);
    await put(make('member', { name: 'Mara' }, member));
    await put(make('site', { ...SITE_BODY, name: 'First name' }));
    await put({ ...make('site', { ...SITE_BODY, name: 'Second name' }), at: '2031-05-06T11:00:00.000Z' });
    const { body } = await request(harness.app).get('/api/v1/sites').expect(200);
    expect(body.sites.map((each: { name: string }) => each.name)).toEqual(['Second name', 'Ternhaven Ferry Landing']);
  });
});

describe('the demo', () => {
  it('has thirty-odd marks set, by three people, and packages that wait', () => {
    const marks = facts.filter((fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.body.state === 'confirmed');
    expect(marks.length).toBeGreaterThan(30);
    expect(new Set(facts.map((fact) => fact.by)).size).toBeGreaterThan(2);
    const waiting = facts
      .filter((fact): fact is Fact<'package'> => fact.type === 'package')
      .filter((work) => !marks.some((mark) => mark.body.package === work.id));
    expect(waiting.map((work) => work.body.name)).toEqual(['Gangway piles', 'Gangway bearing']);
    expect(marks.every((mark) => mark.body.within)).toBe(true);
  });
});

describe('a sheet', () => {
  const row = {
    mark: id(),
    name: '=HYPERLINK("http://x")',
    corner: 'A1',
    item: 'Hall',
    meaning: 'outsideFace',
    offset: 2,
    reach: 'face',
    hubZ: 5.9,
    groundZ: 5.8,
    designZ: 6.25,
    cutFill: -0.35,
    dEMm: -1.6,
    dNMm: 0.4,
    station: 'S1',
    provisional: true,
    standing: 'open',
    setAt: '2031-05-06T08:10:00.000Z',
    proofBefore: '2031-05-05T16:00:00.000Z',
    proofAfter: null,
    stakeText: ['2.000 m offset', 'FILL 0.350 m to finished floor'],
    place: { e: 0, n: 0 },
    design: { e: 2, n: 0 },
  } as const;
  const sheet: NumberedSheet = {
    number: 3,
    revision: 2,
    site: 'Quay',
    lengthUnit: 'metre',
    siteZero: null,
    package: 'Hall hubs',
    crew: 'Formwork',
    className: 'Building grid',
    planMm: 6,
    heightMm: 5,
    heightReference: 'finishedFloor',
    issuedBy: 'Mara',
    issuedAt: NOW,
    timeZone: 'Europe/Lisbon',
    setFrom: row.setAt,
    setTo: row.setAt,
    setBy: ['Mara'],
    stations: [{ name: 'S1', marks: ['K1', 'K2'], radius95Mm: 4.4, sdZMm: 1, provisionalBecause: 'only two in sight' }],
    rows: [row],
    withheld: [{ mark: id(), name: 'H-B', standing: 'held', reason: 'PLAN_CHANGED' }],
    notSet: [],
    shapes: [
      {
        closed: true,
        points: [
          { name: 'A', e: 2, n: 0 },
          { name: 'B', e: 9, n: 0 },
          { name: 'C', e: 9, n: 9 },
        ],
      },
    ],
    changes: [{ name: 'H-C', change: 'removed' }],
  };

  it('as CSV defuses formulas, rounds like the PDF, and gives times of the place with their day where it is another', () => {
    const { data } = Papa.parse<Record<string, string>>(sheetCsv(sheet, { head: false }), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(1);
    expect(data[0]).toMatchObject({
      Mark: `'${row.name}`,
      'dE (mm)': '-2',
      'dN (mm)': '0',
      'Hub elevation (m)': '5.900',
      'Ground elevation (m)': '5.800',
      'Cut or fill': 'FILL 0.350',
      Station: 'S1 (provisional)',
      'Time set': '09:10',
      'Check shot before': '5 May 17:00',
      'Check shot after': 'none',
      'Site zero (m)': '',
      Revision: '2',
    });
  });

  it('as PDF is one also with long names, many rows and no rows', async () => {
    const long = {
      ...row,
      name: 'A very long name of a mark that goes on and on',
      corner: 'Corner of the pump house north wing',
    };
    for (const rows of [[], [long], Array.from({ length: 90 }, (_, i) => ({ ...row, name: `M-${i}` }))]) {
      const pdf = await sheetPdf({ ...sheet, rows });
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
      expect(pdf.subarray(-6).toString()).toContain('%%EOF');
    }
  });

  it('as PDF tells what changed by kinds, each once', async () => {
    const changes = [
      { name: 'H-D', change: 'writtenAnew' as const },
      { name: 'H-C', change: 'removed' as const },
      { name: 'H-E', change: 'writtenAnew' as const },
    ];
    expect(await textOf(await sheetPdf({ ...sheet, changes }))).toContain(
      'Changed since revision 1: removed: H-C; stake rewritten: H-D, H-E.',
    );
  });

  it('as PDF takes a font that has the letters of a name, and only then', async () => {
    const fontsOf = async (name: string) =>
      (await sheetPdf({ ...sheet, crew: name }))
        .toString('latin1')
        .match(/\/BaseFont \/\S+/g)!
        .join(' ');
    expect(await fontsOf('Schälung Müller')).not.toContain('DejaVu');
    expect(await fontsOf('Żuraw Łódź')).toContain('DejaVu');
    expect(await fontsOf('Бригада')).toContain('DejaVu');
  });
});
