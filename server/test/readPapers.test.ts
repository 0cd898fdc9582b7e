/**
 * Every paper, on A4 and on letter, read as those read it who do not see it: its structure, its letters, its pages. With
 * the reader in the browser, and with those of Debian where they are installed.
 */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { pino } from 'pino';
import request from 'supertest';
import type { AnyFact, Fact } from '@idle-marker/contract';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { device, id, startHarness, type Harness } from './harness.ts';
import { opened } from './pdfText.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
const KINDS = [
  'sheet',
  'with coordinates',
  'cards',
  'sketch',
  'setup',
  'day',
  'shift',
  'control card',
  'control report',
  'as built',
  'labels',
  'control labels',
] as const;
type Kind = (typeof KINDS)[number];
const PAPERS = ['A4', 'letter'] as const;
const SIZES = { A4: [595, 842], letter: [612, 792] } as const;

let harness: Harness;
const made = new Map<string, Buffer>();

beforeAll(async () => {
  harness = await startHarness('readPapers');
  await loadDemo(harness.orm, DEMO, NOW, pino({ level: 'silent' }));
  const { app } = harness;
  const facts = (await request(app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
  const work = facts.find((fact) => fact.type === 'package' && fact.body.name === 'Ticket hall hubs')!;
  const who = facts.find((fact) => fact.type === 'member')!.id;
  const occupation = facts.filter((fact) => fact.type === 'occupation').at(-1)!.id;
  const { mark } = facts.find(
    (fact): fact is Fact<'control'> => fact.type === 'control' && fact.body.name === 'K1',
  )!.body;
  const settings = facts.findLast((fact): fact is Fact<'site'> => fact.type === 'site')!.body;
  const common = { at: NOW, by: who, timeZone: 'UTC' };
  const say = device(who);
  for (const paper of PAPERS) {
    const fact = { ...say('site', { ...settings, paper }), at: NOW };
    await request(app).put(`/api/v1/sites/${SITE}/facts/${fact.id}`).send(fact).expect(201);
    const post = async (kind: string, body: object) =>
      (
        await request(app)
          .post(`/api/v1/sites/${SITE}/papers/${kind}`)
          .send({ ...common, ...body })
          .expect(200)
      ).body as Buffer;
    const get = async (path: string) =>
      (await request(app).get(`/api/v1/sites/${SITE}/${path}`).expect(200)).body as Buffer;
    const sheet = async (coordinates: boolean) => {
      const sheetId = id();
      const { device: called, seq } = say('note', { text: 'x' });
      await request(app)
        .put(`/api/v1/sites/${SITE}/sheets/${sheetId}`)
        .send({ ...common, package: work.id, fact: id(), device: called, seq, coordinates })
        .expect(201);
      return get(`sheets/${sheetId}/pdf`);
    };
    const query = new URLSearchParams(common).toString();
    const makers: Readonly<Record<Kind, () => Promise<Buffer>>> = {
      sheet: () => sheet(false),
      'with coordinates': () => sheet(true),
      cards: () => post('cards', { package: work.id, languages: ['en', 'es'] }),
      sketch: () =>
        post('sketch', {
          package: work.id,
          paper,
          upright: false,
          dimensions: true,
          diagonals: true,
          heights: true,
          offsets: true,
        }),
      setup: () => post('setup', { occupation }),
      day: () => post('day', { day: '2031-05-06' }),
      shift: () => post('shift', {}),
      'control card': () => post('controlCard', { mark }),
      'control report': () => get(`control-report?${query}`),
      'as built': () => get(`as-built.pdf?${query}`),
      labels: () => post('labels', { package: work.id, format: paper === 'A4' ? 'a4of24' : 'letterOf30' }),
      'control labels': () => post('controlLabels', { format: 'roll24' }),
    };
    for (const kind of KINDS) made.set(`${kind} on ${paper}`, await makers[kind]());
  }
}, 240_000);
afterAll(() => harness.stop());

interface Node {
  readonly role?: string;
  readonly alt?: string;
  readonly type?: string;
  readonly id?: string;
  readonly children?: readonly Node[];
}
interface Piece {
  readonly text: string;
  readonly size: number;
  readonly y: number;
}
interface PageRead {
  readonly width: number;
  readonly height: number;
  readonly tree: Node | null;
  /** What is written, by the piece of the structure that it belongs to; under "" what belongs to none. */
  readonly pieces: ReadonlyMap<string, readonly Piece[]>;
  readonly artifacts: readonly Piece[];
}

/** Each paper is read once. */
const known = new Map<Buffer, Promise<PageRead[]>>();
function pagesOf(bytes: Buffer): Promise<PageRead[]> {
  let pages = known.get(bytes);
  if (!pages) known.set(bytes, (pages = readPages(bytes)));
  return pages;
}

async function readPages(bytes: Buffer): Promise<PageRead[]> {
  const document = await opened(bytes);
  const pages: PageRead[] = [];
  for (let i = 1; i <= document.numPages; i++) {
    const page = await document.getPage(i);
    const { items } = await page.getTextContent({ includeMarkedContent: true });
    const pieces = new Map<string, Piece[]>();
    const artifacts: Piece[] = [];
    const open: (string | null)[] = [];
    for (const item of items) {
      if ('type' in item) {
        if (item.type === 'endMarkedContent') open.pop();
        else open.push((item as { tag?: string }).tag === 'Artifact' ? null : ((item as { id?: string }).id ?? ''));
        continue;
      }
      const [, , c, d, , y] = item.transform as number[];
      const piece = { text: item.str, size: Math.hypot(c!, d!), y: y! };
      const at = open.at(-1);
      if (at === null) artifacts.push(piece);
      else pieces.set(at ?? '', [...(pieces.get(at ?? '') ?? []), piece]);
    }
    const [, , width, height] = page.view as [number, number, number, number];
    pages.push({ width, height, tree: await page.getStructTree(), pieces, artifacts });
  }
  return pages;
}

/** Ids of marked content below a node, in the order of reading. */
const idsIn = (node: Node): string[] => (node.type === 'content' ? [node.id!] : (node.children ?? []).flatMap(idsIn));
const nodesIn = (node: Node, role: string): Node[] => [
  ...(node.role === role ? [node] : []),
  ...(node.children ?? []).flatMap((child) => nodesIn(child, role)),
];
const textOfNode = (page: PageRead, node: Node): string =>
  idsIn(node)
    .flatMap((each) => page.pieces.get(each) ?? [])
    .map(({ text }) => text)
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim();
const isWritten = ({ text }: Piece): boolean => text.trim() !== '';
const all = ({ pieces, artifacts }: PageRead): readonly Piece[] =>
  [...[...pieces.values()].flat(), ...artifacts].filter(isWritten);

const CASES = PAPERS.flatMap((paper) => KINDS.map((kind) => [kind, paper] as const));
const isLabels = (kind: Kind): boolean => kind === 'labels' || kind === 'control labels';

describe('every paper', () => {
  it.each(CASES)(
    '%s on %s: its structure gives all of its text once, in the order of the page',
    async (kind, paper) => {
      const document = await opened(made.get(`${kind} on ${paper}`)!);
      const { info } = (await document.getMetadata()) as unknown as {
        info: { Language: string | null; PDFFormatVersion: string; Title: string };
      };
      expect([info.Language, info.PDFFormatVersion]).toEqual(['en-US', '1.7']);
      expect(info.Title.length).toBeGreaterThan(4);
      expect((await document.getMarkInfo())?.Marked).toBe(true);
      for (const page of await pagesOf(made.get(`${kind} on ${paper}`)!)) {
        // Nothing is written beside the structure, and nothing of it is told twice.
        expect((page.pieces.get('') ?? []).filter(isWritten)).toEqual([]);
        const told = page.tree ? idsIn(page.tree) : [];
        expect(new Set(told).size).toBe(told.length);
        expect([...page.pieces.keys()].filter((each) => each !== '' && !told.includes(each))).toEqual([]);
        for (const row of page.tree ? nodesIn(page.tree, 'TR') : []) expect(row.children!.length).toBeGreaterThan(0);
        for (const figure of page.tree ? nodesIn(page.tree, 'Figure') : [])
          expect(figure.alt?.length).toBeGreaterThan(2);
      }
    },
  );

  it.each(CASES)('%s on %s: no letter is too small, and the paper is the one of the site', async (kind, paper) => {
    const pages = await pagesOf(made.get(`${kind} on ${paper}`)!);
    const least = Math.min(...pages.flatMap((page) => all(page).map(({ size }) => size)));
    expect(least).toBeGreaterThanOrEqual(isLabels(kind) ? 6.49 : 8.99);
    if (kind === 'control labels') return;
    for (const { width, height } of pages)
      expect([width, height].map(Math.round).sort((a, b) => a - b)).toEqual([...SIZES[paper]].sort((a, b) => a - b));
  });

  it.each(CASES.filter(([kind]) => !isLabels(kind)))(
    '%s on %s: each page says what it is of and which it is, and none but the last is half empty',
    async (kind, paper) => {
      const pages = await pagesOf(made.get(`${kind} on ${paper}`)!);
      for (const [i, page] of pages.entries()) {
        const foot = page.artifacts.map(({ text }) => text).join(' ');
        expect(foot).toContain('Ternhaven Ferry Landing');
        expect(foot).toContain(`Page ${i + 1} of ${pages.length}`);
        if (kind === 'sheet') expect(foot).toMatch(/Cut sheet \d+, revision \d+ · Ticket hall hubs/);
        const lowest = Math.min(
          ...[...page.pieces.values()]
            .flat()
            .filter(isWritten)
            .map(({ y }) => y),
        );
        // Something is written on each, the last one too.
        expect(lowest).toBeLessThan(page.height - 40);
        if (i < pages.length - 1) expect(lowest).toBeLessThan(page.height / 2);
      }
    },
  );

  it('has heads for the columns of its tables, and what is built from in large letters', async () => {
    const [page] = await pagesOf(made.get('sheet on A4')!);
    const [table] = nodesIn(page!.tree!, 'Table');
    const heads = nodesIn(table!, 'TH').map((node) => textOfNode(page!, node));
    expect(heads.slice(0, 4)).toEqual(['Mark', 'Offset to', 'Offset', 'Cut / fill']);
    expect(heads).toContain('Hub elev.');
    const rows = nodesIn(table!, 'TR').filter(
      (row) => row.children![0]!.role === 'TD' && row.children!.length === heads.length,
    );
    expect(rows.length).toBeGreaterThan(5);
    const sizeOf = (cell: Node) => page!.pieces.get(idsIn(cell)[0]!)!.find(isWritten)!.size;
    const sizes = (row: Node) => row.children!.map((cell) => Math.round(sizeOf(cell)));
    for (const row of rows) expect([0, 2, 3].map((i) => sizes(row)[i])).toEqual([12, 12, 12]);
    for (const head of nodesIn(table!, 'TH')) expect(sizeOf(head)).toBeGreaterThanOrEqual(10);
    expect(rows.map((row) => textOfNode(page!, row.children![0]!))).toContain('TH-A1 S');
    const [coordinates] = await pagesOf(made.get('with coordinates on A4')!);
    expect(nodesIn(coordinates!.tree!, 'TH').map((node) => textOfNode(coordinates!, node))).toEqual(
      expect.arrayContaining(['Easting', 'Northing']),
    );
  });

  it('prints black as black alone', async () => {
    for (const [name, bytes] of made) {
      const document = await opened(bytes);
      const { fnArray, argsArray } = await (await document.getPage(1)).getOperatorList();
      const inks = new Set(
        fnArray.flatMap((code, i) => (code === OPS.setFillRGBColor ? [String((argsArray[i] as string[])[0])] : [])),
      );
      expect([name, inks.has('#16262a'), inks.has('#435050')]).toEqual([name, false, false]);
    }
  });

  it('has a bookmark for each of its parts', async () => {
    const outline = await (await opened(made.get('day on A4')!)).getOutline();
    expect(outline.map(({ title }) => title)).toEqual(['Field book, 6 May 2031', 'Setup S1', 'Setup S2', 'Setup S3']);
    expect(outline[3]!.items.map(({ title }) => title)).toContain('Sights, as read and reduced');
  });
});

/** Where it has to be there, a reader that is not is a fault. */
const has = (program: string): boolean =>
  process.env['IDLE_OTHER_READERS'] === 'required' || spawnSync(program, ['--version']).error === undefined;

(has('qpdf') ? describe : describe.skip)('a reader of another maker', () => {
  it.each(CASES)('finds no fault in %s on %s', (kind, paper) => {
    const file = join(process.env['IDLE_TEST_FOLDER']!, `${kind}-${paper}.pdf`.replace(/ /g, '-'));
    writeFileSync(file, made.get(`${kind} on ${paper}`)!);
    expect(spawnSync('qpdf', ['--check', file], { encoding: 'utf8' }).status).toBe(0);
  });
});

(has('pdfinfo') ? describe : describe.skip)('the structure as another reader gives it', () => {
  it('has the text of a sheet in order, its fonts embedded', () => {
    const file = join(process.env['IDLE_TEST_FOLDER']!, 'structure.pdf');
    writeFileSync(file, made.get('sheet on letter')!);
    const text = execFileSync('pdfinfo', ['-struct-text', file], { encoding: 'utf8' });
    const told = ['"Cut sheet', 'Crew: ', '"Offset to"', '"TH-A1 S"', 'How to read TH-'].map((each) =>
      text.indexOf(each),
    );
    expect(told.every((at) => at >= 0)).toBe(true);
    expect([...told].sort((a, b) => a - b)).toEqual(told);
    const [, , ...fonts] = execFileSync('pdffonts', [file], { encoding: 'utf8' }).trim().split('\n');
    expect(fonts.length).toBeGreaterThan(0);
    for (const font of fonts) expect(font).toMatch(/ yes +yes +(yes|no) /);
  });
});
