// Runs the checks one after the other and counts them. The closing line is plain: "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
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

if (only !== 'e2e') {
  count(run('types', 'node', ['scripts/typecheck.mjs']));
  count(run('lint', 'node_modules/.bin/eslint', ['.', '--concurrency', '2', '--cache', '--cache-location', 'node_modules/.cache/eslint']));
  count(run('format', 'node_modules/.bin/prettier', ['--check', '--log-level', 'warn', '.']));
  const file = join(folder, 'jest.json');
  const args = [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${file}`,
    ...(only === 'unit' ? rest : []),
  ];
  countJest(run('unit and server tests', 'node', args, { stdio: ['ignore', 'ignore', 'inherit'] }), file);
}
if (only !== 'unit') {
  const file = join(folder, 'e2e.json');
  const good = run('browser tests', '../node_modules/.bin/playwright', ['test', ...(only === 'e2e' ? rest : [])], {
    cwd: 'e2e',
    env: { ...process.env, PLAYWRIGHT_JSON: file },
  });
  countPlaywright(good, file);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
