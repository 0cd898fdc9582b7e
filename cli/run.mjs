// Starts the command line from its TypeScript sources. Bundling in memory takes a tenth of a second, loading the
// sources file by file over a second; nothing is written, so there is nothing that could be out of date.
import { buildSync } from 'esbuild';
import { fileURLToPath } from 'node:url';

const { outputFiles } = buildSync({
  entryPoints: [fileURLToPath(new URL('./src/main.ts', import.meta.url))],
  bundle: true,
  write: false,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'error',
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(process.cwd() + '/');" },
});
await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`);
