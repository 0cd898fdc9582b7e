/** The command line as a person or a script runs it: a process of its own. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');
const CASES = join(ROOT, 'cli/test/reference/station');
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'idle-marker-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

interface Line {
  readonly id: string | null;
  readonly ok: boolean;
  readonly result?: Record<string, unknown>;
  readonly error?: { readonly code: string; readonly message: string; readonly path: string };
}

function run(args: readonly string[], options: { input?: string; cwd?: string } = {}) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'scripts/run.mjs'), join(ROOT, 'cli/src/main.ts'), ...args],
    {
      cwd: options.cwd ?? ROOT,
      ...(options.input === undefined ? {} : { input: options.input }),
      encoding: 'utf8',
      env: { ...process.env, INIT_CWD: options.cwd ?? ROOT, NODE_OPTIONS: '' },
    },
  );
  const lines = stdout
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map((line) => JSON.parse(line) as Line);
  return { status, stdout, stderr, lines };
}

describe('compute', () => {
  it('prints one line a file, in order, and exits with 0 when all computed', () => {
    const { status, lines } = run([
      'compute',
      join(CASES, 'check-01-within.json'),
      join(CASES, 'resection-02-two-points.json'),
    ]);
    expect(status).toBe(0);
    expect(lines.map((line) => [line.id, line.ok])).toEqual([
      ['check-01-within', true],
      ['resection-02-two-points', true],
    ]);
    expect(lines[0]!.result).toMatchObject({ verdict: 'within' });
  });

  it('takes paths from where the caller stands', () => {
    const { status, lines } = run(['compute', 'stake-01-right-and-out.json'], { cwd: CASES });
    expect(status).toBe(0);
    expect(lines[0]).toMatchObject({ id: 'stake-01-right-and-out', ok: true });
  });

  it('reads standard input, and ignores other fields', () => {
    const document = JSON.parse(readFileSync(join(CASES, 'stake-01-right-and-out.json'), 'utf8')) as object;
    const { status, lines } = run(['compute', '-'], { input: JSON.stringify({ ...document, comment: 'hello' }) });
    expect(status).toBe(0);
    expect(lines[0]).toMatchObject({ ok: true });
  });

  it('goes on after a bad file, says where it is wrong, and exits with 1', () => {
    const bad = join(folder, 'bad.json');
    const strange = join(folder, 'strange.json');
    writeFileSync(bad, '{ "id": "x", ');
    writeFileSync(strange, JSON.stringify({ id: 'strange', kind: 'divination', input: {} }));
    const { status, lines } = run([
      'compute',
      bad,
      join(folder, 'none.json'),
      strange,
      join(CASES, 'error-06-negative-slope.json'),
      join(CASES, 'check-01-within.json'),
    ]);
    expect(status).toBe(1);
    expect(lines.map((line) => [line.id, line.ok, line.error?.code])).toEqual([
      [null, false, 'UNREADABLE'],
      [null, false, 'UNREADABLE'],
      ['strange', false, 'UNKNOWN_KIND'],
      ['error-06-negative-slope', false, 'INVALID_SLOPE'],
      ['check-01-within', true, undefined],
    ]);
    expect(lines[3]!.error!.path).toMatch(/^\/input\/observations\/\d+\/slope$/);
  });

  it('refuses words that stand for numbers that are none', () => {
    const document = JSON.parse(readFileSync(join(CASES, 'stake-01-right-and-out.json'), 'utf8')) as {
      input: { target: object };
    };
    for (const word of ['NaN', 'Infinity', '-Infinity']) {
      const { lines } = run(['compute', '-'], {
        input: JSON.stringify({
          ...document,
          input: { ...document.input, target: { ...document.input.target, e: word } },
        }),
      });
      expect(lines[0]).toMatchObject({ ok: false, error: { code: 'INVALID_NUMBER', path: '/input/target/e' } });
    }
  });
});

describe('usage', () => {
  it('is told on wrong use, with 2, and on request, with 0', () => {
    for (const args of [[], ['compute'], ['conjure', 'x']]) {
      const { status, stderr, stdout } = run(args);
      expect(status).toBe(2);
      expect(stderr).toContain('Usage: npm run -s cli -- ');
      expect(stdout).toBe('');
    }
    expect(run(['--help'])).toMatchObject({ status: 0, stdout: expect.stringContaining('Usage') });
  });

  it('works through npm with nothing else on the output', () => {
    const out = execFileSync('npm', ['run', '-s', 'cli', '--', 'compute', join(CASES, 'check-01-within.json')], {
      cwd: ROOT,
      encoding: 'utf8',
    });
    expect(out.trim().split('\n')).toHaveLength(1);
  });
});
