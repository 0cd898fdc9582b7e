/**
 * The running server under fuzz: archives that were tampered with, facts, control lists and raw sights of any kind.
 * Nothing is answered with 500.
 */
import { createHash } from 'node:crypto';
import { randomUUID } from 'node:crypto';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { mutatedDocument, mutatedLines, mutatedText, randomFrom } from './fuzzMutants.ts';

interface Fuzzing {
  readonly port: number;
  readonly mutants: number;
  readonly first: number;
  readonly until: number;
  readonly slowest: number;
  readonly seeds: { readonly control: readonly string[]; readonly rawSights: readonly string[] };
  fail(name: string, i: number, what: string, mutant?: string | Uint8Array): void;
}

interface Answer {
  readonly status: number;
  readonly body: string;
  readonly ms: number;
}

/** A bare browser's page has none of these headers, and a program need not have them. */
async function send(
  port: number,
  method: string,
  path: string,
  type: string,
  body: string | Uint8Array,
): Promise<Answer> {
  const began = Date.now();
  const response = await fetch(`http://127.0.0.1:${port}${path}`, { method, headers: { 'Content-Type': type }, body });
  return { status: response.status, body: await response.text(), ms: Date.now() - began };
}

const get = async (port: number, path: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(`http://127.0.0.1:${port}${path}`)).arrayBuffer());

type Files = Record<string, Uint8Array>;

/**
 * One of its texts changed, and its list of contents put right for it most of the time; or a few bytes of the file
 * itself.
 */
function mutatedArchive(files: Files, random: () => number): Uint8Array {
  const changed: Files = { ...files };
  const way = random();
  const path = way < 0.5 ? 'facts.jsonl' : way < 0.85 ? 'sheets.jsonl' : 'manifest.json';
  const text = strFromU8(changed[path]!);
  changed[path] = strToU8(
    path === 'manifest.json' ? JSON.stringify(mutatedDocument(JSON.parse(text), random)) : mutatedLines(text, random),
  );
  if (path !== 'manifest.json' && random() < 0.95) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, string> };
    manifest.files[path] = createHash('sha256').update(changed[path]).digest('hex');
    changed['manifest.json'] = strToU8(JSON.stringify(manifest));
  }
  const { 'manifest.json': manifest, ...rest } = changed;
  const bytes = zipSync({ 'manifest.json': manifest!, ...rest }, { level: 1 });
  if (random() < 0.1)
    for (let i = 0; i < 5; i++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
  return bytes;
}

/** Without its photos and drawings: they would be most of what is sent. */
function lean(archive: Uint8Array): Files {
  const files = unzipSync(archive);
  const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, string> };
  const kept = Object.fromEntries(Object.entries(files).filter(([path]) => !/^(sources|images)\//.test(path)));
  manifest.files = Object.fromEntries(Object.entries(manifest.files).filter(([path]) => path in kept));
  return { ...kept, 'manifest.json': strToU8(JSON.stringify(manifest)) };
}

/** The same site under other ids throughout: what is here already would be passed over. */
function ofAnotherSite(files: Files, i: number): Files {
  const other = (text: string) =>
    text.replace(/[0-9a-f]{8}(?=-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})/g, (head) =>
      ((parseInt(head, 16) ^ i) >>> 0).toString(16).padStart(8, '0'),
    );
  const made = Object.fromEntries(
    Object.entries(files).map(([path, bytes]) => [path, strToU8(other(strFromU8(bytes)))]),
  );
  const manifest = JSON.parse(strFromU8(made['manifest.json']!)) as { files: Record<string, string> };
  manifest.files = Object.fromEntries(
    Object.keys(manifest.files).map((path) => [path, createHash('sha256').update(made[path]!).digest('hex')]),
  );
  return { ...made, 'manifest.json': strToU8(JSON.stringify(manifest)) };
}

export async function fuzzRoutes({ port, mutants, first, until, slowest, seeds, fail }: Fuzzing): Promise<number> {
  const { sites } = JSON.parse(strFromU8(await get(port, '/api/v1/sites'))) as { sites: { id: string }[] };
  const all = await Promise.all(
    sites.map(async ({ id }) => ({
      id,
      facts: (
        JSON.parse(strFromU8(await get(port, `/api/v1/sites/${id}/facts`))) as { facts: Record<string, unknown>[] }
      ).facts,
    })),
  );
  const { id: site, facts } = all.sort((a, b) => a.facts.length - b.facts.length)[0]!;
  await issueOne(port, site, facts);
  const archive = lean(await get(port, `/api/v1/sites/${site}/archive`));
  const member = facts.find(({ type }) => type === 'member')!['id'];
  const options = {
    at: '2031-05-06T08:00:00.000Z',
    by: member,
    fileName: 'x',
    unit: 'metre',
    xIsNorth: false,
    sdHMm: 2,
    sdZMm: 2,
    skipRows: [],
    swapRows: [],
  };
  const elsewhere = JSON.stringify(options);
  const routes: Readonly<
    Record<
      string,
      (random: () => number, i: number) => { readonly mutant: string | Uint8Array; ask(): Promise<Answer> }
    >
  > = {
    archive: (random, i) => {
      const mutant = mutatedArchive(ofAnotherSite(archive, i), random);
      return { mutant, ask: () => send(port, 'POST', '/api/v1/archives', 'application/zip', mutant) };
    },
    fact: (random, i) => {
      const { receivedAt: _receivedAt, ...fact } = facts[i % facts.length]!;
      const mutant = JSON.stringify(mutatedDocument({ ...fact, id: randomUUID() }, random)) ?? 'null';
      const id = /"id":"([^"]*)"/.exec(mutant)?.[1] ?? randomUUID();
      return {
        mutant,
        ask: () =>
          send(port, 'PUT', `/api/v1/sites/${site}/facts/${encodeURIComponent(id)}`, 'application/json', mutant),
      };
    },
    control: (random, i) => {
      const mutant = mutatedText(seeds.control[i % seeds.control.length]!, random, seeds.control[0]!);
      const asked = random() < 0.7 ? elsewhere : JSON.stringify(mutatedDocument(options, random));
      const path = `/api/v1/sites/${randomUUID()}/control-lists/${randomUUID()}?options=${encodeURIComponent(asked)}`;
      return { mutant, ask: () => send(port, 'PUT', path, 'text/csv', mutant) };
    },
    rawSights: (random, i) => {
      const mutant = mutatedLines(seeds.rawSights[i % seeds.rawSights.length]!, random);
      return { mutant, ask: () => send(port, 'POST', '/api/v1/raw-sights', 'application/x-ndjson', mutant) };
    },
    sheet: (random) => {
      const order = {
        package: site,
        fact: randomUUID(),
        at: '2031-05-06T08:00:00.000Z',
        device: 'x',
        seq: 1,
        by: member,
        timeZone: 'UTC',
      };
      const mutant = JSON.stringify(mutatedDocument(order, random)) ?? 'null';
      return {
        mutant,
        ask: () => send(port, 'PUT', `/api/v1/sites/${site}/sheets/${randomUUID()}`, 'application/json', mutant),
      };
    },
  };
  let done = 0;
  let left = Object.keys(routes).length;
  for (const [name, make] of Object.entries(routes)) {
    const began = Date.now();
    // What is left of the time is shared by the routes that are left.
    const end = began + (until - began) / left--;
    let count = 0;
    for (let i = first; i < first + mutants && Date.now() < end; i++, count++) {
      const { mutant, ask } = make(randomFrom(i * 104_729 + name.length), i);
      try {
        const answer = await ask();
        if (answer.status >= 500) fail(name, i, `answered ${answer.status}: ${answer.body.slice(0, 200)}`, mutant);
        else if (answer.status >= 400 && !answer.body.includes('"code"'))
          fail(name, i, `refused without a code: ${answer.status}`, mutant);
        if (answer.ms > slowest) fail(name, i, `took ${answer.ms} ms`, mutant);
        if (name === 'archive' && answer.status === 201)
          await readable(port, answer.body, (what) => fail(name, i, what, mutant));
      } catch (error) {
        fail(name, i, `no answer: ${String(error)}`, mutant);
      }
    }
    console.log(`route ${name}: ${count} mutants in ${((Date.now() - began) / 1000).toFixed(1)} s`);
    done += count;
  }
  return done;
}

/** What was taken in can be read: its sheets as papers, its facts. */
async function readable(port: number, taken: string, fail: (what: string) => void): Promise<void> {
  const { site } = JSON.parse(taken) as { site: string };
  const { sheets } = JSON.parse(strFromU8(await get(port, `/api/v1/sites/${site}/sheets`))) as {
    sheets: { id: string }[];
  };
  for (const path of [
    `facts`,
    `quarantine`,
    ...sheets.slice(0, 1).flatMap(({ id }) => [`sheets/${id}/pdf`, `sheets/${id}/csv`]),
  ]) {
    const { status } = await fetch(`http://127.0.0.1:${port}/api/v1/sites/${site}/${path}`);
    if (status >= 500) fail(`taken in, and ${path.replace(/[0-9a-f-]{36}/, 'SHEET')} answers ${status}`);
  }
}

async function issueOne(port: number, site: string, facts: readonly Record<string, unknown>[]): Promise<void> {
  const member = facts.find(({ type }) => type === 'member')!['id'];
  for (const { id } of facts.filter(({ type }) => type === 'package')) {
    const order = {
      package: id,
      fact: randomUUID(),
      at: '2031-05-06T08:00:00.000Z',
      device: 'fuzz',
      seq: 0,
      by: member,
      timeZone: 'UTC',
    };
    const { status } = await send(
      port,
      'PUT',
      `/api/v1/sites/${site}/sheets/${randomUUID()}`,
      'application/json',
      JSON.stringify(order),
    );
    if (status === 201) return;
  }
  throw new Error('no sheet could be issued');
}
