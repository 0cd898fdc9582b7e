// Runs the checks and counts them. The closing line is plain: "N passed, N failed". Where browser tests are run, too,
// what only computes goes beside them, last in the queue for the processor: a page that waits for one costs more than
// all of it. Tests that wait themselves, for pages without a browser and for servers, come after them.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, openSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const [only, ...rest] = process.argv.slice(2);
const folder = process.env.IDLE_TEST_FOLDER;
let passed = 0;
let failed = 0;

function run(name, command, args, options = {}) {
  console.log(`\n== ${name}`);
  const began = Date.now();
  const { status } = spawnSync(command, args, { stdio: 'inherit', ...options });
  console.log(`== ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - began) / 1000).toFixed(1)} s`);
  return status === 0;
}

/** The same, while others go on beside it. */
async function runOn(name, command, args, options) {
  console.log(`\n== ${name}`);
  const began = Date.now();
  const child = spawn(command, args, { stdio: 'inherit', ...options });
  const status = await new Promise((resolve) => child.on('close', resolve));
  console.log(`== ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - began) / 1000).toFixed(1)} s`);
  return status === 0;
}

/** Begins a check that goes on beside the others, last in the queue; what it says is kept until it is asked for. */
function beside(name, command, args) {
  const file = join(folder, `${name}.txt`);
  const out = openSync(file, 'w');
  const child = spawn('nice', ['-n', '19', command, ...args], { stdio: ['ignore', out, out] });
  const ended = new Promise((resolve) => child.on('close', (status) => resolve({ status })));
  return async () => {
    const { status } = await ended;
    console.log(
      `\n== ${name}\n${readFileSync(file, 'utf8')}== ${name}: ${status === 0 ? 'good' : 'FAILED'}, beside the others`,
    );
    return status === 0;
  };
}

const LINT = ['npm', ['run', '-s', 'lint']];
const FORMAT = ['node_modules/.bin/prettier', ['--check', '--log-level', 'warn', '.']];

function count(good) {
  if (good) passed++;
  else failed++;
}

function countJest(good, file) {
  if (!existsSync(file)) return count(good);
  const result = JSON.parse(readFileSync(file, 'utf8'));
  passed += result.numPassedTests;
  failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  if (!good && result.success) failed++;
}

function countPlaywright(good, file) {
  if (!existsSync(file)) return count(good);
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
  if (!good && stats.unexpected === 0) failed++;
}

const jestFile = (name) => join(folder, `jest-${name}.json`);
const jest = (name, ...more) => [
  'node',
  [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${jestFile(name)}`,
    ...more,
  ],
];
/** Rooms whose tests only compute. */
const COMPUTE = ['core', 'words', 'contract', 'records', 'paper', 'formats'];
const TYPES = ['node', ['scripts/typecheck.mjs']];
const FUZZ_SECONDS = 20;
const FUZZ = ['scripts/fuzz.sh', ['--seconds', String(FUZZ_SECONDS)]];

/** One after the other, beside the browser tests. */
async function besideBrowser() {
  countJest(
    await beside('tests that compute', ...jest('compute', '--selectProjects', ...COMPUTE))(),
    jestFile('compute'),
  );
  for (const [name, program] of [
    ['types', TYPES],
    ['lint', LINT],
    ['format', FORMAT],
    ['fuzz', FUZZ],
  ])
    count(await beside(name, ...program)());
}

if (only === 'unit') {
  count(run('types', ...TYPES));
  count(run('lint', ...LINT));
  count(run('format', ...FORMAT));
  const program = jest('all', ...rest);
  countJest(run('unit and server tests', ...program, { stdio: ['ignore', 'ignore', 'inherit'] }), jestFile('all'));
} else {
  const others = only === undefined ? besideBrowser() : Promise.resolve();
  const file = join(folder, 'e2e.json');
  const good = await runOn(
    'browser tests',
    '../node_modules/.bin/playwright',
    ['test', ...(only === 'e2e' ? rest : [])],
    {
      cwd: 'e2e',
      env: { ...process.env, PLAYWRIGHT_JSON: file },
    },
  );
  countPlaywright(good, file);
  if (only === undefined) {
    const program = jest('waiting', '--ignoreProjects', ...COMPUTE);
    const name = 'pages without a browser, servers and commands';
    countJest(await runOn(name, ...program, { stdio: ['ignore', 'ignore', 'inherit'] }), jestFile('waiting'));
  }
  await others;
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
