// Rooms as one module each, for the tests of other rooms: made anew whenever the tests begin, in a few tenths of a
// second.
import { join, resolve } from 'node:path';
import { buildSync } from 'esbuild';

const ROOT = resolve(import.meta.dirname, '..');
const ROOMS = ['core', 'words', 'contract', 'records', 'paper', 'formats'];

/** The file of each room, by its name. */
export function bundledRooms() {
  return Object.fromEntries(
    ROOMS.map((room) => {
      // In the room, so that its packages are found from there.
      const outfile = join(ROOT, room, 'dist/room.mjs');
      buildSync({
        entryPoints: [join(ROOT, room, 'src/index.ts')],
        outfile,
        bundle: true,
        format: 'esm',
        platform: 'node',
        target: 'es2022',
        // Other rooms stay imports; packages of many files are put together, too.
        external: ['@idle-marker/*'],
        banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
        sourcemap: 'inline',
        logLevel: 'error',
      });
      return [room, outfile];
    }),
  );
}
