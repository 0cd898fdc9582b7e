/** A site out of its archive, by the command line: checked, written for other programs, and printed. */
import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import { ARCHIVE_FORMAT, FACTS, MANIFEST, SHEETS } from '@idle-marker/archive';
import { canonicalJson, compute, digestOfBytes, readRawSights } from '@idle-marker/contract';
import { Story } from '../../records/test/story.ts';
import { CommandFault } from '../src/caller.ts';
import { runCheck } from '../src/check.ts';
import { runExport } from '../src/export.ts';
import { HELP } from '../src/help.ts';
import { runRead } from '../src/read.ts';
import { runReport } from '../src/report.ts';
import { runSchema } from '../src/schema.ts';

const ROOT = join(import.meta.dirname, '../..');
let folder: string;
let story: Story;
let archive: string;

/** The site of the story as an archive, as a server would write it. */
function archiveOf({ facts }: Story, change: (text: string) => string = (text) => text): Buffer {
  const texts = {
    [FACTS]: facts.map((fact) => `${canonicalJson(fact)}\n`).join(''),
    [SHEETS]: '',
  };
  const manifest = {
    format: ARCHIVE_FORMAT,
    version: 1,
    site: '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01',
    name: 'Quay extension',
    files: Object.fromEntries(Object.entries(texts).map(([name, text]) => [name, digestOfBytes(Buffer.from(text))])),
  };
  const bytes = (text: string) => new TextEncoder().encode(text);
  return Buffer.from(
    zipSync({
      [MANIFEST]: bytes(canonicalJson(manifest)),
      [FACTS]: bytes(change(texts[FACTS])),
      [SHEETS]: bytes(''),
    }),
  );
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'idle-marker-site-'));
  story = new Story().control();
  const work = story.work({ name: 'Hall hubs' });
  const station = story.station('S1');
  for (const i of [0, 1]) story.set(station, work, i);
  archive = join(folder, 'site.zip');
  writeFileSync(archive, archiveOf(story));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** As a person starts it: a process of its own. */
function start(args: readonly string[], input?: Buffer) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'scripts/run.mjs'), join(ROOT, 'cli/src/main.ts'), ...args],
    { cwd: ROOT, ...(input ? { input } : {}), env: { ...process.env, INIT_CWD: folder, NODE_OPTIONS: '' } },
  );
  return { status, out: stdout.toString(), err: stderr.toString() };
}

const COMMANDS = { check: runCheck, export: runExport, read: runRead, report: runReport, schema: runSchema } as const;

/** The same without a process of its own: what it writes, and what it ends with. */
async function run([command, ...args]: readonly [keyof typeof COMMANDS, ...string[]]) {
  const written: Buffer[] = [];
  const write = jest.spyOn(process.stdout, 'write').mockImplementation((chunk) => {
    written.push(Buffer.from(chunk as string));
    return true;
  });
  try {
    const status = await COMMANDS[command](args.map((each) => (each.endsWith('.zip') ? join(folder, each) : each)));
    return { status, bytes: Buffer.concat(written), err: '' };
  } catch (error) {
    if (!(error instanceof CommandFault)) throw error;
    return { status: error.status, bytes: Buffer.concat(written), err: error.message };
  } finally {
    write.mockRestore();
  }
}

describe('check', () => {
  it('says what is in an archive that is whole, in words or as JSON, from a file or from standard input', async () => {
    const { status, bytes } = await run(['check', 'site.zip']);
    expect(status).toBe(0);
    expect(bytes.toString()).toMatch(/site\.zip: whole, Quay extension\n/);
    expect(bytes.toString()).toMatch(/\n {4}mark 2\n/);
    const piped = start(['check', '--json', '-'], readFileSync(archive));
    expect(JSON.parse(piped.out)).toMatchObject({ ok: true, site: 'Quay extension', loose: [], quarantined: 0 });
  });

  it('says what is wrong with one that was changed, with what is no archive, and with what is not there', async () => {
    writeFileSync(
      join(folder, 'changed.zip'),
      archiveOf(story, (text) => text.replace('"K1"', '"K9"')),
    );
    writeFileSync(join(folder, 'text.zip'), 'no archive');
    const { status, bytes } = await run(['check', 'changed.zip', 'text.zip', 'gone.zip']);
    expect(status).toBe(1);
    const lines = bytes.toString().trim().split('\n');
    expect(lines).toHaveLength(3);
    expect(lines[0]).toMatch(/changed\.zip: .*facts\.jsonl/);
    expect(lines[2]).toContain('gone.zip doesn’t exist');
  });
});

describe('export', () => {
  it('writes points with what they are, and a bare table of the columns that were asked for', async () => {
    const { status, bytes } = await run(['export', '--as', 'points-csv', 'site.zip']);
    expect(status).toBe(0);
    expect(bytes.toString()).toMatch(/^\uFEFF# Site: Quay extension\r\n# Coordinates: /);
    expect(bytes.toString()).toContain('# Station S1: accepted, K1, K2');
    const asked = ['--no-head', '--columns', 'n,e,name', '--groups', 'control', 'site.zip'] as const;
    const bare = (await run(['export', '--as', 'points-csv', ...asked])).bytes.toString();
    expect(bare.split('\r\n')[0]).toBe('Northing (m),Easting (m),Point');
    expect(bare.trim().split('\r\n')).toHaveLength(1 + story.state.control.length);
  });

  it.each([['dxf'], ['landxml'], ['geojson'], ['control-csv'], ['control-landxml']])(
    'writes %s that read takes again',
    async (form) => {
      const file = join(folder, `again-${form}`);
      writeFileSync(file, (await run(['export', '--as', form, 'site.zip'])).bytes);
      const { bytes } = await run(['read', '--json', file]);
      const { ok, result } = JSON.parse(bytes.toString()) as { ok: boolean; result: { points: { name: string }[] } };
      expect([ok, result.points.some(({ name }) => name === 'K1')]).toEqual([true, true]);
    },
  );

  it('writes sights that are raw sights again', async () => {
    const { bytes } = await run(['export', '--as', 'raw-sights', '--setup', 'S1', 'site.zip']);
    expect(readRawSights(bytes.toString())).toMatchObject({ ok: true });
  });

  it('says everything that is missing at once, and what there is instead', async () => {
    const { status, err } = await run(['export', '--groups', 'walls']);
    expect(status).toBe(2);
    expect(err.split('\n')).toEqual([
      expect.stringMatching(/^ARCHIVE is missing/),
      expect.stringMatching(/^--as is missing, such as: points-csv/),
      expect.stringMatching(/^--groups: “walls” isn’t there\. There are: control, /),
    ]);
    expect((await run(['export', '--as', 'raw-sights', '--setup', 'S9', 'site.zip'])).err).toMatch(/There are: S1/);
    expect((await run(['export', '--colour'])).status).toBe(2);
  });
});

describe('report', () => {
  it.each([
    ['control-report'],
    ['as-built'],
    ['field-book', '--day', '2031-05-06'],
    ['setup', '--setup', 'S1'],
    ['shift'],
    ['labels', '--package', 'Hall hubs', '--format', 'a4of24'],
    ['control-labels', '--format', 'letterOf30'],
    ['cards', '--package', 'Hall hubs', '--languages', 'en,es'],
    ['sketch', '--package', 'Hall hubs'],
    ['control-card', '--mark', 'K1'],
  ])('makes the paper: %s', async (...args) => {
    const { status, bytes, err } = await run(['report', '--paper', ...args, 'site.zip']);
    expect([status, err]).toEqual([0, '']);
    expect(bytes.subarray(0, 8).toString()).toBe('%PDF-1.7');
  });

  it('gives a table alone where lines that say what it is would be in the way', async () => {
    const rows = async (...args: string[]) =>
      (await run(['report', '--paper', 'as-built', '--form', 'csv', ...args, 'site.zip'])).bytes
        .toString()
        .replace('\uFEFF', '')
        .split('\r\n');
    const whole = await rows();
    expect(whole[0]).toBe('# Site: Quay extension');
    expect(await rows('--no-head')).toEqual(whole.filter((line) => !line.startsWith('# ')));
  });

  it('says what has to be said for a paper, and which names there are', async () => {
    expect(await run(['report', '--paper', 'labels', 'site.zip'])).toMatchObject({
      status: 2,
      err: expect.stringMatching(/--package is missing[\s\S]*--format is missing/),
    });
    expect(await run(['report', '--paper', 'sketch', '--package', 'Shed', 'site.zip'])).toMatchObject({
      status: 2,
      err: expect.stringContaining('There are: Hall hubs'),
    });
    expect((await run(['report', '--paper', 'sheet', 'site.zip'])).status).toBe(2);
    const { err } = await run(['report', '--paper', 'shift', '--by', 'Nobody', '--at', 'noon', 'site.zip']);
    expect(err.split('\n')).toHaveLength(2);
  });
});

describe('every command', () => {
  it.each(['read', 'compute', 'export', 'report', 'check', 'schema'] as const)(
    '%s tells itself, with examples',
    (name) => {
      expect(HELP[name]).toContain(`npm run -s cli -- ${name}`);
      expect(HELP[name]).toContain('Exit status');
    },
  );

  it('is found by its name, with its help and its faults where they belong', () => {
    expect(start(['report', '--help'])).toMatchObject({ status: 0, out: HELP.report });
    expect(start(['report', '--paper', 'poster'])).toMatchObject({
      status: 2,
      out: '',
      err: expect.stringContaining('--paper: “poster” isn’t there'),
    });
  });

  it('has the schema of what it takes', async () => {
    const kinds = (await run(['schema'])).bytes.toString().trim().split('\n');
    expect(kinds).toEqual(expect.arrayContaining(['resection', 'drawing', 'control', 'paper.labels', 'fact.mark']));
    const schema = JSON.parse((await run(['schema', 'resection'])).bytes.toString()) as {
      title: string;
      required: string[];
    };
    expect(schema.title).toBe('resection');
    expect(schema.required).toContain('observations');
    expect((await run(['schema', 'nothing'])).status).toBe(2);
  });

  it('says all that is wrong with a case, the first as before', () => {
    const outcome = compute({ id: 'x', kind: 'stake', input: {} });
    const error = outcome.ok ? null : outcome.error;
    expect(error!.all!.map(({ path }) => path)).toEqual(expect.arrayContaining(['/input/instrument', '/input/target']));
    expect(error!.all![0]!.path).toBe(error!.path);
  });
});
