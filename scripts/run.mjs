// Runs a TypeScript program of this project: node scripts/run.mjs FILE ARGUMENT... Bundling takes a few tenths of a
// second, loading the sources file by file over a second. The bundle is kept beside the installed packages and taken
// again while every file that went into it is as it was.
import { mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = resolve(import.meta.dirname, '..');
const KEPT = join(ROOT, 'node_modules/.cache/idle-marker');

const [entry] = process.argv.splice(2, 1);
const name = resolve(entry).replaceAll(/[^A-Za-z0-9]+/g, '-');
const [bundle, list] = [join(KEPT, `run${name}.mjs`), join(KEPT, `run${name}.json`)];

const stateOf = (file) => {
  const { mtimeMs, size } = statSync(file);
  return `${mtimeMs} ${size}`;
};

/** Whether there is a bundle and nothing that it was made from has changed since. */
function isFresh() {
  try {
    const { node, made, files } = JSON.parse(readFileSync(list, 'utf8'));
    return (
      node === process.version && made === stateOf(bundle) && files.every(([file, state]) => stateOf(file) === state)
    );
  } catch {
    return false;
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
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(process.cwd() + '/');" },
  });
  return { code: outputFiles[0].contents, files: Object.keys(metafile.inputs).map((file) => resolve(file)) };
}

/** Two programs may start at once: each file is written apart and put in its place whole. */
function put(file, content) {
  const apart = `${file}.${process.pid}`;
  writeFileSync(apart, content);
  renameSync(apart, file);
}

if (isFresh()) await import(pathToFileURL(bundle).href);
else {
  const { code, files } = await bundled();
  try {
    mkdirSync(KEPT, { recursive: true });
    put(bundle, code);
    put(
      list,
      JSON.stringify({
        node: process.version,
        made: stateOf(bundle),
        files: files.map((file) => [file, stateOf(file)]),
      }),
    );
  } catch {
    // A folder that can't be written to costs time, nothing else.
  }
  await import(`data:text/javascript;base64,${Buffer.from(code).toString('base64')}`);
}
