/** Servers of the tests, each on a database of its own. */
import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { promisify } from 'node:util';

const run = promisify(execFile);
/** See scripts/test-database.sh. */
export const database = async (...args: readonly string[]): Promise<string> =>
  (await run('bash', ['../scripts/test-database.sh', ...args])).stdout;

export const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer().on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

async function untilHealthy(url: string, isRunning: () => boolean): Promise<void> {
  for (let tries = 0; tries < 300 && isRunning(); tries++) {
    const healthy = await fetch(`${url}/healthz`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (healthy) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error(`The server at ${url} does not answer`);
}

/** Serves one database on a free port; call `stop` when done with it. */
export async function serve(environment: NodeJS.ProcessEnv): Promise<{ readonly url: string; stop(): Promise<void> }> {
  const port = String(await freePort());
  const child: ChildProcess = spawn('node', ['--enable-source-maps', '../server/dist/main.mjs'], {
    // What goes wrong in the server belongs to what the tests say.
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, IDLE_PORT: port, IDLE_LOG: 'error', ...environment },
  });
  const ended = new Promise<void>((resolve) => child.on('close', () => resolve()));
  const stop = () => {
    child.kill();
    return ended;
  };
  const url = `http://127.0.0.1:${port}`;
  try {
    await untilHealthy(url, () => child.exitCode === null);
  } catch (error) {
    await stop();
    throw error;
  }
  return { url, stop };
}

/** The database that all others are copied from: the demo's mornings are played once. */
export const DEMO_DATABASE = 'idle_e2e_demo';
export default async function makeDemo(): Promise<void> {
  const { stop } = await serve({ IDLE_PG_DATABASE: DEMO_DATABASE });
  await stop();
}

/** A cluster that a test may stop under its server. */
export interface Cluster {
  readonly folder: string;
  readonly port: string;
}
