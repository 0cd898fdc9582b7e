/** Loads the demo site from its open files, once, through the same imports that users use. */
import { access, readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { digestOfBytes, type AnyFact, type FactBody } from '@idle-marker/contract';
import type { GroundTruth, LengthUnit, PathCorner } from '@idle-marker/core';
import { DRAWING_READING, gridFromLines, namedCorners, placeDrawing, readControlCsv, readDxf, readRawDrawing, type Drawing } from '@idle-marker/formats';
import { alignmentPart, gridGeometry, hubPlans } from '@idle-marker/records';
import { isSite } from '../database/sites.ts';
import { v5 } from '../control/nameUuid.ts';
import { controlRevisions } from '../control/controlImport.ts';
import { playMorning, type MorningStep } from './morning.ts';
import { appendFacts, orderedOnArrival } from '../facts/ledger.ts';
import { validFact } from '../facts/sendable.ts';
import { keepSource } from '../sources/routes.ts';

interface DemoSite {
  readonly id: string;
  readonly site: FactBody<'site'>;
  readonly members: readonly string[];
  readonly equipment: readonly FactBody<'equipment'>['what'][];
  readonly controlList: string;
  readonly areas: readonly Omit<FactBody<'area'>, 'area' | 'source' | 'retired' | 'supersedes'>[];
  readonly drawings: readonly { readonly name: string; readonly file: string; readonly hidden?: readonly string[] }[];
  readonly grids: readonly { readonly name: string; readonly file: string; readonly layer: string }[];
  readonly roads?: readonly (Pick<FactBody<'alignment'>, 'name' | 'kind' | 'corridor' | 'strings' | 'kerbs'> & { readonly file: string })[];
  readonly packages: readonly DemoPackage[];
  readonly morning: readonly MorningStep[];
}

type Package = FactBody<'package'>;
type DemoPackage = Omit<Package, 'plans' | 'supersedes' | 'items'> & { readonly prefix: string; readonly items: readonly DemoItem[] };
type DemoItem = Omit<Package['items'][number], 'corners' | 'source' | 'rule' | 'drawing'> & {
  /** Where the kind of the corners does not tell it. */
  readonly rule?: Package['items'][number]['rule'];
  readonly drawing: { readonly file: string; readonly layer: string; readonly kind: 'outline' | 'grid' | 'gridLines' | 'gridCrossings' | 'path' | 'points' };
};

/** The demo's last record is this old when it is loaded, and its office work was done the day before. */
const LAST_RECORD_MINUTES_AGO = 20;
const OFFICE_HOURS_BEFORE = 18;

/** Loads every site of a folder of sites. */
export async function loadDemos(orm: MikroORM, folder: string, now: string | null, log: Logger): Promise<void> {
  for (const name of (await readdir(folder)).sort()) {
    const site = join(folder, name);
    const isSite = await access(join(site, 'site.json')).then(
      () => true,
      () => false,
    );
    if (isSite) await loadDemo(orm, site, now, log);
  }
}

export async function loadDemo(orm: MikroORM, folder: string, now: string | null, log: Logger): Promise<void> {
  const demo = JSON.parse(await readFile(join(folder, 'site.json'), 'utf8')) as DemoSite;
  const em = orm.em.fork();
  const isThere = await isSite(em, demo.id);
  const id = (name: string) => v5(demo.id, name);
  if (!isThere) await appendDemo(em, demo, folder, now, log);
  // Its drawings are looked after at every start: one that was cut short must not leave them out for good.
  for (const { file } of demo.drawings) await keepSource(orm, demo.id, id(`file/${file}`), await readFile(join(folder, file)));
}

const ANY_MORNING = Date.UTC(2031, 4, 6, 7);
const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/;

/** Every instant of a fact so many milliseconds later. */
const shifted = (fact: AnyFact, by: number): unknown =>
  JSON.parse(JSON.stringify(fact), (_key, value: unknown) =>
    typeof value === 'string' && INSTANT.test(value) ? new Date(Date.parse(value) + by).toISOString() : value,
  );

async function appendDemo(em: EntityManager, demo: DemoSite, folder: string, now: string | null, log: Logger): Promise<void> {
  const id = (name: string) => v5(demo.id, name);
  const end = (now ? Date.parse(now) : Date.now()) - LAST_RECORD_MINUTES_AGO * 60_000;
  const truth = JSON.parse(await readFile(join(folder, 'truth.json'), 'utf8')) as GroundTruth;
  const office = await officeFacts(demo, folder, new Date(ANY_MORNING - OFFICE_HOURS_BEFORE * 3_600_000).toISOString());
  const morning = playMorning({ office, truth, id, steps: demo.morning, begin: new Date(ANY_MORNING).toISOString() });
  // How long it takes is known once it was played: all times then shift so that it ends when it should.
  const by = end - Date.parse(morning.at(-1)!.at);
  await appendFacts(em, demo.id, [...office, ...morning].map((fact) => validFact(shifted(fact, by))), orderedOnArrival(null));
  log.info(`demo site ${demo.site.name} loaded`);
}

/** Settings, people, work packages and the control list: what a lead prepares. */
async function officeFacts(demo: DemoSite, folder: string, at: string): Promise<AnyFact[]> {
  const id = (name: string) => v5(demo.id, name);
  const lead = id(`member/${demo.members[0]}`);
  let seq = 0;
  const fact = (name: string, type: AnyFact['type'], body: object): AnyFact =>
    validFact({ id: id(name), type, at, device: 'site office', seq: seq++, by: lead, body });
  const facts: AnyFact[] = [...demo.members.map((name) => fact(`member/${name}`, 'member', { name })), fact('site', 'site', demo.site)];
  for (const asked of demo.drawings) facts.push(fact(`drawing/${asked.name}`, 'drawing', await drawingBody(folder, asked, id)));
  const drawingOf = new Map(demo.drawings.map(({ name, file }) => [file, id(`drawing/${name}`)]));
  for (const asked of demo.packages) facts.push(fact(`package/${asked.name}`, 'package', await packageBody(folder, asked, drawingOf, demo.site.lengthUnit)));
  for (const asked of demo.areas)
    facts.push(fact(`area/${asked.name}`, 'area', { area: id(`area of ${asked.name}`), ...asked, source: 'site plan', retired: false, supersedes: null }));
  for (const asked of demo.grids) facts.push(fact(`grid/${asked.name}`, 'grid', await gridBody(folder, asked, id(`grid of ${asked.name}`), demo.site.lengthUnit)));
  for (const asked of demo.roads ?? [])
    facts.push(fact(`alignment/${asked.name}`, 'alignment', await alignmentBody(folder, asked, id(`alignment ${asked.name}`), drawingOf.get(asked.file) ?? null)));
  for (const what of demo.equipment)
    facts.push(fact(`equipment/${what.name}`, 'equipment', { item: id(`item/${what.name}`), what, retired: false, supersedes: null }));
  const list = await readFile(join(folder, demo.controlList));
  const options = { at, by: lead, fileName: demo.controlList, unit: demo.site.lengthUnit, xIsNorth: false, sdHMm: 2, sdZMm: 2, skipRows: [], swapRows: [] };
  return [...facts, ...controlRevisions(facts, id('control list'), list, options)];
}

/** A drawing as a person takes it: its own unit, all layers on. */
async function drawingBody(folder: string, { name, file, hidden }: DemoSite['drawings'][number], id: (name: string) => string): Promise<FactBody<'drawing'>> {
  const bytes = await readFile(join(folder, file));
  const read = readRawDrawing(bytes, 'metre');
  if (!read.ok) throw new Error(`${file}: ${read.error.code}`);
  const { unit, format, paths, points, circles, texts, surfaces } = read.value;
  if (!unit) throw new Error(`${file} does not say its unit`);
  return {
    drawing: id(`drawing of ${name}`),
    name,
    fileName: file,
    format,
    file: id(`file/${file}`),
    bytes: bytes.length,
    digest: digestOfBytes(new Uint8Array(bytes)),
    unit: { name: unit.name, metres: unit.metres },
    placing: null,
    hidden: [...(hidden ?? [])],
    reading: DRAWING_READING,
    elements: paths.length + points.length + circles.length + texts.length + surfaces.reduce((sum, { triangles }) => sum + triangles.faces.length / 3, 0),
    retired: false,
    supersedes: null,
  };
}

/** A grid as it is drawn, kept by its directions and spacings. */
async function gridBody(folder: string, { name, file, layer }: DemoSite['grids'][number], grid: string, unit: LengthUnit): Promise<FactBody<'grid'>> {
  const read = readDxf(await readFile(join(folder, file), 'utf8'), unit);
  if (!read.ok) throw new Error(`${file}: ${read.error.code}`);
  const drawn = gridFromLines(layer, read.value.lines, read.value.texts, unit);
  if (!drawn.ok) throw new Error(`${layer}: ${drawn.error.code}`);
  return { grid, name, ...gridGeometry(drawn.value.definition), source: file, retired: false, supersedes: null };
}

/** A road as it is taken from a design: its line and heights from the file, its strings as the lead typed them. */
async function alignmentBody(
  folder: string,
  { file, ...asked }: NonNullable<DemoSite['roads']>[number],
  alignment: string,
  drawing: string | null,
): Promise<FactBody<'alignment'>> {
  const design = readRawDrawing(await readFile(join(folder, file)), 'metre');
  if (!design.ok || !design.value.unit) throw new Error(`${file} is not read`);
  const placed = placeDrawing(design.value, { metresPerUnit: design.value.unit.metres, similarity: null });
  const found = placed.alignments.find(({ name }) => name === asked.name);
  if (!found) throw new Error(`${file} has no ${asked.name}`);
  return { ...asked, ...alignmentPart(found), alignment, shift: 0, source: file, drawing, sourceName: found.name, retired: false, supersedes: null };
}

/** A package with its corners taken from the drawing and its hubs generated, as the Work place does it. */
async function packageBody(
  folder: string,
  { prefix, items, ...asked }: DemoPackage,
  drawingOf: ReadonlyMap<string, string>,
  unit: LengthUnit,
): Promise<Package> {
  const drawn: Package['items'] = [];
  for (const { drawing, ...item } of items) {
    const text = await readFile(join(folder, drawing.file), 'utf8');
    const from = drawingOf.get(drawing.file);
    drawn.push({
      ...item,
      rule: item.rule ?? RULE[drawing.kind],
      corners: [...cornersOf(text, drawing, unit)],
      source: drawing.file,
      ...(from ? { drawing: from } : {}),
    });
  }
  const plans = hubPlans(drawn, asked.offset, prefix, unit);
  if (!plans.ok) throw new Error(`${asked.name}, ${plans.error.item}: ${plans.error.code}`);
  return { ...asked, items: drawn, plans: plans.value, supersedes: null };
}

const RULE = { outline: 'outline', grid: 'outline', gridLines: 'lineEnds', gridCrossings: 'points', path: 'along', points: 'points' } as const;

function cornersOf(text: string, { file, layer, kind }: DemoItem['drawing'], unit: LengthUnit): readonly PathCorner[] {
  if (kind === 'points') {
    const list = readControlCsv(text, { unit, xIsNorth: false });
    if (!list.ok) throw new Error(`${file}: ${list.error.code}`);
    return list.value.rows.map(({ name, e, n }) => ({ name, e: e!, n: n! }));
  }
  const read = readDxf(text, unit);
  if (!read.ok) throw new Error(`${file}: ${read.error.code}`);
  const drawing: Drawing = read.value;
  if (kind === 'path') {
    const path = drawing.paths.find((each) => each.layer === layer);
    if (!path) throw new Error(`no line on ${layer}`);
    const names = namedCorners(path.corners, drawing.texts);
    return path.corners.map(({ e, n, bulge }, i) => ({ name: names[i]!.name, e, n, ...(bulge ? { bulge } : {}) }));
  }
  if (kind !== 'outline') {
    const grid = gridFromLines(layer, drawing.lines, drawing.texts, unit);
    if (!grid.ok) throw new Error(`${layer}: ${grid.error.code}`);
    return { grid: grid.value.corners, gridLines: grid.value.lineEnds, gridCrossings: grid.value.crossings }[kind];
  }
  const outline = drawing.outlines.find((each) => each.layer === layer);
  if (!outline) throw new Error(`no outline on ${layer}`);
  return namedCorners(outline.corners, drawing.texts);
}
