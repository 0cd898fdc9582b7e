// Runs a TypeScript program of this project: node scripts/run.mjs FILE ARGUMENT... Bundling takes a few tenths of a
// second, loading the sources file by file over a second. The bundle is kept beside the installed packages and taken
// again while every file that went into it is as it was. What only some commands need is a part of its own.
import {
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = resolve(import.meta.dirname, '..');
const KEPT = join(ROOT, 'node_modules/.cache/idle-marker');
/** Packages that read files of their own: they stay where they are. */
const WITH_FILES = ['pdfkit', 'fontkit', 'qrcode', 'write-excel-file'];

const [entry] = process.argv.splice(2, 1);
const name = resolve(entry).replaceAll(/[^A-Za-z0-9]+/g, '-');
const [folder, list] = [join(KEPT, `run${name}`), join(KEPT, `run${name}.json`)];

const stateOf = (file) => {
  const { mtimeMs, size } = statSync(file);
  return `${mtimeMs} ${size}`;
};

/** The bundle where there is one and nothing that it was made from has changed since. */
function fresh() {
  try {
    const { node, made, files } = JSON.parse(readFileSync(list, 'utf8'));
    return node === process.version &&
      made.every(([file, state]) => stateOf(join(folder, file)) === state) &&
      files.every(([file, state]) => stateOf(file) === state)
      ? join(folder, made[0][0])
      : null;
  } catch {
    return null;
  }
}

async function bundled() {
  const { buildSync } = await import('esbuild');
  const { outputFiles, metafile } = buildSync({
    entryPoints: [resolve(entry)],
    bundle: true,
    write: false,
    metafile: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    outdir: 'out',
    outExtension: { '.js': '.mjs' },
    splitting: true,
    external: WITH_FILES.flatMap((each) => [each, `${each}/*`]),
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(process.cwd() + '/');",
    },
  });
  const main = basename(entry).replace(/\.\w+$/, '.mjs');
  const parts = outputFiles
    .map(({ path, contents }) => ({ file: basename(path), contents }))
    .sort((a, b) => Number(b.file === main) - Number(a.file === main));
  return { parts, files: [import.meta.filename, ...Object.keys(metafile.inputs).map((file) => resolve(file))] };
}

/** Two programs may start at once: each file is written apart and put in its place whole. */
function put(file, content) {
  const apart = `${file}.${process.pid}`;
  writeFileSync(apart, content);
  renameSync(apart, file);
}

async function kept() {
  const { parts, files } = await bundled();
  const putAll = (where) => {
    mkdirSync(where, { recursive: true });
    for (const { file, contents } of parts) put(join(where, file), contents);
    return join(where, parts[0].file);
  };
  try {
    const main = putAll(folder);
    put(
      list,
      JSON.stringify({
        node: process.version,
        made: parts.map(({ file }) => [file, stateOf(join(folder, file))]),
        files: files.map((file) => [file, stateOf(file)]),
      }),
    );
    return main;
  } catch {
    // A folder that can't be written to costs time, nothing else.
    const apart = mkdtempSync(join(tmpdir(), 'idle-marker-run-'));
    process.on('exit', () => rmSync(apart, { recursive: true, force: true }));
    symlinkSync(join(ROOT, 'node_modules'), join(apart, 'node_modules'));
    return putAll(apart);
  }
}

await import(pathToFileURL(fresh() ?? (await kept())).href);
