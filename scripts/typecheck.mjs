// Type-checks every room, each with its own tsconfig, one after the other: the compiler uses both cores by itself. Prints what
// it says; fails when any room fails. TypeScript 7 checks several times as fast; the linter needs the library of 6, so both
// are installed.
import { spawnSync } from 'node:child_process';

const ROOMS = [
  'web/tsconfig.test.json',
  'server',
  'e2e',
  'contract',
  'records',
  'paper',
  'cli',
  'scripts',
  'formats',
  'words',
  'core/tsconfig.src.json',
  'core/tsconfig.test.json',
  'web/tsconfig.worker.json',
  'web/tsconfig.node.json',
];
const failing = ROOMS.filter((room) => spawnSync('node', ['node_modules/typescript-7/bin/tsc', '-p', room], { stdio: 'inherit' }).status !== 0);
for (const room of failing) console.log(`type check failed: ${room}`);
process.exit(failing.length === 0 ? 0 : 1);
