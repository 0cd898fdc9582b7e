// Bundles the server; everything from npm stays outside, this project's rooms go in.
import { build } from 'esbuild';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const SERVER = resolve('server');

/** Name and version of the package that a file belongs to. */
function packageOf(file) {
  for (let folder = dirname(file); folder !== dirname(folder); folder = dirname(folder)) {
    const about = join(folder, 'package.json');
    const { name, version } = existsSync(about) ? JSON.parse(readFileSync(about, 'utf8')) : {};
    if (version) return `${name} ${version}`;
  }
  return 'no package';
}

/**
 * What a room imports from npm is looked up from the server once it is bundled. Where that would be another version
 * than the room's own, the build fails: the server has to name the package too.
 */
const externalPackages = {
  name: 'external-packages',
  setup(b) {
    b.onResolve({ filter: /^[^./]/ }, async ({ path, kind, resolveDir, pluginData }) => {
      if (pluginData === 'asked here' || path.startsWith('@idle-marker/') || path.startsWith('node:')) return undefined;
      const ask = (from) => b.resolve(path, { kind, resolveDir: from, pluginData: 'asked here' });
      const [own, served] = [await ask(resolveDir), await ask(SERVER)];
      const [wanted, given] = [packageOf(own.path), packageOf(served.path)];
      if (wanted !== given)
        return {
          errors: [
            { text: `“${path}” is ${wanted} here, but ${given} from the server: name it in server/package.json.` },
          ],
        };
      return { path, external: true };
    });
  },
};

rmSync(join(SERVER, 'dist'), { recursive: true, force: true });
await build({
  entryPoints: ['server/src/main.ts', 'server/src/archive/archiveThread.ts', 'server/src/crew/crewThread.ts'],
  entryNames: '[name]',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  outdir: 'server/dist',
  outExtension: { '.js': '.mjs' },
  splitting: true,
  chunkNames: 'part-[hash]',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [externalPackages],
});
