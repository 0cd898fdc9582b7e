// Runs the checks and counts them. The closing line is plain: "N passed, N failed". The browser tests have the machine
// to themselves: a page that waits for a processor goes on painting, and what is asked of it comes late. What only
// computes goes beside the tests in jsdom and against servers.
import { spawn } from 'node:child_process';
import { existsSync, openSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const [only, ...rest] = process.argv.slice(2);
const folder = process.env.IDLE_TEST_FOLDER;
let passed = 0;
let failed = 0;

/** Runs a check, and says how long it took. */
async function runOn(name, command, args, options = {}) {
  console.log(`\n== ${name}`);
  const began = Date.now();
  const child = spawn(command, args, { stdio: 'inherit', ...options });
  const status = await new Promise((resolve) => child.on('close', resolve));
  console.log(`== ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - began) / 1000).toFixed(1)} s`);
  return status === 0;
}

/** Begins a check that goes on beside the others, behind them in the queue; what it says is kept until it is asked for. */
function beside(name, command, args) {
  const file = join(folder, `${name}.txt`);
  const out = openSync(file, 'w');
  const child = spawn('nice', ['-n', '5', command, ...args], { stdio: ['ignore', out, out] });
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

const jestFile = join(folder, 'jest.json');
const jest = (args) => [
  'node',
  [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${jestFile}`,
    ...args,
  ],
];
const TYPES = ['node', ['scripts/typecheck.mjs']];
const FUZZ_SECONDS = 20;
const FUZZ = ['scripts/fuzz.sh', ['--seconds', String(FUZZ_SECONDS)]];

/** One after the other, beside Jest. */
async function besideJest() {
  for (const [name, program] of [
    ['types', TYPES],
    ['lint', LINT],
    ['format', FORMAT],
    ['fuzz', FUZZ],
  ])
    count(await beside(name, ...program)());
}

async function browserTests(args) {
  const file = join(folder, 'e2e.json');
  const options = { cwd: 'e2e', env: { ...process.env, PLAYWRIGHT_JSON: file } };
  const good = await runOn('browser tests', '../node_modules/.bin/playwright', ['test', ...args], options);
  countPlaywright(good, file);
}

async function jestTests(args) {
  const options = { stdio: ['ignore', 'ignore', 'inherit'] };
  const good = await runOn('unit and server tests', ...jest(args), options);
  countJest(good, jestFile);
}

if (only === 'e2e') await browserTests(rest);
else if (only === 'unit') {
  count(await runOn('types', ...TYPES));
  count(await runOn('lint', ...LINT));
  count(await runOn('format', ...FORMAT));
  await jestTests(rest);
} else {
  await browserTests([]);
  const others = besideJest();
  await jestTests([]);
  await others;
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
