// Type-checks every room, each with its own tsconfig, two at a time. Prints what tsc says; fails when any room fails.
import { spawn } from 'node:child_process';

const ROOMS = [
  'web/tsconfig.test.json',
  'server',
  'e2e',
  'contract',
  'records',
  'cli',
  'scripts',
  'formats',
  'words',
  'core/tsconfig.src.json',
  'core/tsconfig.test.json',
  'web/tsconfig.worker.json',
  'web/tsconfig.node.json',
];
const AT_A_TIME = 2;
const left = [...ROOMS];
let failed = false;

const check = (room) =>
  new Promise((resolve) => {
    spawn('node_modules/.bin/tsc', ['-p', room], { stdio: 'inherit' }).on('close', (status) => {
      if (status !== 0) {
        failed = true;
        console.log(`type check failed: ${room}`);
      }
      resolve();
    });
  });

async function worker() {
  for (let room = left.shift(); room !== undefined; room = left.shift()) await check(room);
}
await Promise.all(Array.from({ length: AT_A_TIME }, worker));
process.exit(failed ? 1 : 0);
