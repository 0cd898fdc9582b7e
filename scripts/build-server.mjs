// Bundles the server; everything from npm stays outside, this project's rooms go in.
import { build } from 'esbuild';

await build({
  entryPoints: ['server/src/main.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  outfile: 'server/dist/main.mjs',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'external-packages',
      setup(b) {
        b.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@idle-marker/') ? null : { path, external: true }));
      },
    },
  ],
});
