/** The bundle that is kept between starts is never older than what it was made from. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');
const KEPT = join(ROOT, 'node_modules/.cache/idle-marker');
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'idle-marker-run-'));
  writeFileSync(
    join(folder, 'main.ts'),
    "import { word } from './word.ts';\nconst said: string = word;\nconsole.log(said, ...process.argv.slice(2));\n",
  );
});
const kept = () => readdirSync(KEPT).filter((file) => file.includes(basename(folder)));
afterAll(() => {
  for (const file of kept()) rmSync(join(KEPT, file), { recursive: true });
  rmSync(folder, { recursive: true });
});

const start = (...args: string[]) => {
  const { stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'scripts/run.mjs'), join(folder, 'main.ts'), ...args],
    {
      encoding: 'utf8',
      env: { ...process.env, NODE_OPTIONS: '' },
    },
  );
  return stdout + stderr;
};

describe('a program', () => {
  it('runs from its sources, from what was kept of them, and anew when one of them changed', () => {
    writeFileSync(join(folder, 'word.ts'), "export const word = 'first';\n");
    expect(start('a')).toBe('first a\n');
    expect(kept()).toHaveLength(2);
    expect(start('b')).toBe('first b\n');
    writeFileSync(join(folder, 'word.ts'), "export const word = 'second one';\n");
    expect(start('c')).toBe('second one c\n');
  });

  it('runs from its sources when what was kept is broken', () => {
    const files = readdirSync(KEPT, { recursive: true, withFileTypes: true }).filter(
      (each) => each.isFile() && join(each.parentPath, each.name).includes(basename(folder)),
    );
    expect(files.length).toBeGreaterThan(1);
    for (const { parentPath, name } of files) writeFileSync(join(parentPath, name), 'broken');
    expect(start('d')).toBe('second one d\n');
    expect(start('e')).toBe('second one e\n');
  });
});
