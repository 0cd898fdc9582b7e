// Readers and routes under fuzz: node scripts/fuzz.mjs [--mutants N] [--seconds S] [--seed N] [--only NAME] [--port P]
// Every mutant ends in a result or in a refusal with its code: none throws, none takes over 5 s, none comes to over 1
// GB, and the server answers none with 500. What fails is written to fuzz-failures, with the number that makes it
// again. With --port the running server there is given archives and facts, too.
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';

const ROOT = resolve(import.meta.dirname, '..');
const SLOWEST_MS = 5000;
const MOST_MEMORY_MB = 1024;
const LOOK_MS = 200;

const { values } = parseArgs({
  options: {
    mutants: { type: 'string', default: '2000' },
    seconds: { type: 'string', default: '0' },
    seed: { type: 'string', default: '1' },
    only: { type: 'string' },
    port: { type: 'string' },
  },
});
const mutants = Number(values.mutants);
const first = Number(values.seed) * 1_000_003;
const until = Number(values.seconds) > 0 ? Date.now() + Number(values.seconds) * 1000 : Infinity;

const text = (file) => readFileSync(join(ROOT, file), 'utf8');
const all = (folder, ending) =>
  readdirSync(join(ROOT, folder))
    .filter((name) => name.endsWith(ending))
    .map((name) => text(join(folder, name)));
const feature = (geometry, properties) => ({ type: 'Feature', properties, geometry });
const square = [
  [0, 0],
  [4, 0],
  [4, 4],
  [0, 0],
];
const GEOJSON = JSON.stringify({
  type: 'FeatureCollection',
  features: [
    feature({ type: 'Point', coordinates: [10, 20, 1.5] }, { name: 'B7', layer: 'piles' }),
    feature({ type: 'Polygon', coordinates: [square] }, { layer: 'slab' }),
    feature({ type: 'MultiLineString', coordinates: [square, square] }, {}),
    feature({ type: 'GeometryCollection', geometries: [{ type: 'MultiPoint', coordinates: square }] }, { name: 7 }),
  ],
});
const SURVEY = text('scripts/fuzz/survey.xml');
const RAW_SIGHTS = text('scripts/fuzz/raw-sights.jsonl');

const SEEDS = {
  dxf: [text('demo/cobbleford/canopy.dxf'), text('demo/ternhaven/ticket-hall.dxf'), text('scripts/fuzz/kinds.dxf')],
  landxml: [
    ...all('cli/test/reference/geometry', '.xml'),
    text('demo/ternhaven/forecourt.xml'),
    text('demo/ternhaven/landing-road.xml'),
  ],
  geojson: [GEOJSON],
  points: [text('demo/ternhaven/gangway-piles.csv')],
  control: [text('demo/ternhaven/control.csv'), text('demo/cobbleford/control.csv'), SURVEY],
  survey: [SURVEY],
  rawSights: [RAW_SIGHTS],
};

const failures = join(ROOT, 'fuzz-failures');
let failed = 0;
function fail(name, i, what, mutant) {
  failed++;
  mkdirSync(failures, { recursive: true });
  const file = join(failures, `${name}-${i}.txt`);
  if (mutant !== undefined) writeFileSync(file, mutant);
  console.log(`${name} ${i}: ${what}${mutant === undefined ? '' : ` (${file})`}`);
}

async function bundled(entry) {
  const folder = mkdtempSync(join(tmpdir(), 'idle-marker-fuzz-'));
  const outfile = join(folder, 'program.mjs');
  await build({
    entryPoints: [join(ROOT, entry)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile,
    logLevel: 'error',
    banner: {
      js: `import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(${JSON.stringify(join(ROOT, 'x.js'))});`,
    },
  });
  return { file: outfile, remove: () => rmSync(folder, { recursive: true, force: true }) };
}

/**
 * Mutants of one reader; a thread that is stuck is ended, and another one goes on behind the mutant it was stuck on.
 */
async function fuzzReader(program, reader) {
  const at = new SharedArrayBuffer(16);
  const state = new Float64Array(at);
  const end = first + mutants;
  let from = first;
  const began = Date.now();
  while (from < end && Date.now() < until) {
    state[0] = from;
    state[1] = Date.now();
    const thread = new Worker(pathToFileURL(program), {
      workerData: { reader, seeds: SEEDS[reader], from, until: end, at },
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      // Libraries talk to the console.
      stdout: true,
      stderr: true,
    });
    thread.on('message', ({ i, thrown, slow, mutant }) => {
      if (thrown) fail(reader, i, thrown, mutant);
      else if (slow > SLOWEST_MS) fail(reader, i, `took ${slow} ms`, mutant);
    });
    from = await new Promise((done) => {
      const look = setInterval(() => {
        if (Date.now() > until) void thread.terminate();
        else if (Date.now() - state[1] > SLOWEST_MS * 2) {
          fail(reader, state[0], 'does not end', mutantOf(reader, SEEDS[reader], state[0]));
          void thread.terminate();
        }
      }, LOOK_MS);
      thread.once('error', (error) => {
        fail(
          reader,
          state[0],
          error.code === 'ERR_WORKER_OUT_OF_MEMORY'
            ? `comes to over ${MOST_MEMORY_MB} MB`
            : String(error.stack ?? error),
          mutantOf(reader, SEEDS[reader], state[0]),
        );
      });
      thread.once('exit', () => {
        clearInterval(look);
        done(state[0] + 1);
      });
    });
  }
  const count = Math.min(from, end) - first;
  console.log(`${reader}: ${count} mutants in ${((Date.now() - began) / 1000).toFixed(1)} s`);
  return count;
}

rmSync(failures, { recursive: true, force: true });
const program = await bundled('scripts/fuzzThread.ts');
const mutations = await bundled('scripts/fuzzMutants.ts');
const { mutantOf } = await import(pathToFileURL(mutations.file).href);
mutations.remove();
const readers = Object.keys(SEEDS).filter((name) => values.only === undefined || name === values.only);
const counts = [];
const next = [...readers];
await Promise.all(
  Array.from({ length: Math.min(availableParallelism(), readers.length) }, async () => {
    for (let reader = next.shift(); reader !== undefined; reader = next.shift())
      counts.push(await fuzzReader(program.file, reader));
  }),
);
program.remove();
if (
  values.port !== undefined &&
  (values.only === undefined || values.only === 'routes') &&
  existsSync(join(ROOT, 'server/dist/main.mjs'))
) {
  const routes = await bundled('scripts/fuzzRoutes.ts');
  const { fuzzRoutes } = await import(pathToFileURL(routes.file).href);
  counts.push(
    await fuzzRoutes({ port: Number(values.port), mutants, first, until, fail, slowest: SLOWEST_MS, seeds: SEEDS }),
  );
  routes.remove();
}
console.log(`${counts.reduce((sum, count) => sum + count, 0)} mutants, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
