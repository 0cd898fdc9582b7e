// Type-checks every room, each with its own tsconfig. Prints what tsc says; fails when any room fails.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const ROOMS = [
  'core/tsconfig.src.json',
  'core/tsconfig.test.json',
  'words',
  'contract',
  'records',
  'formats',
  'cli',
  'server',
  'web/tsconfig.app.json',
  'web/tsconfig.worker.json',
  'web/tsconfig.node.json',
  'e2e',
  'scripts',
];
let failed = false;
for (const room of ROOMS) {
  if (!existsSync(room.endsWith('.json') ? room : `${room}/tsconfig.json`)) continue;
  const run = spawnSync('node_modules/.bin/tsc', ['-p', room], { stdio: 'inherit' });
  if (run.status !== 0) {
    failed = true;
    console.log(`type check failed: ${room}`);
  }
}
process.exit(failed ? 1 : 0);
