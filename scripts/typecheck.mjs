// Type-checks everything in a few programs, one after the other: the compiler uses both cores by itself, and what most
// rooms share is read once. Prints what it says; fails when any program fails.
import { spawnSync } from 'node:child_process';

const PROGRAMS = [
  'core',
  'tsconfig.rooms.json',
  'tsconfig.browser.json',
  'web/tsconfig.test.json',
  'web/tsconfig.worker.json',
  'web/tsconfig.node.json',
];
const failing = PROGRAMS.filter(
  (program) => spawnSync('node', ['node_modules/typescript/bin/tsc', '-p', program], { stdio: 'inherit' }).status !== 0,
);
for (const program of failing) console.log(`type check failed: ${program}`);
process.exit(failing.length === 0 ? 0 : 1);
