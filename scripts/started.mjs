// Starts the application for a bench: on a new data folder and ports of its own, and stops it when the bench has ended.
import { spawn } from 'node:child_process';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer().on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(String(port)));
    });
  });

const PATIENCE = 300;

/** Its address, and how it is stopped. */
export async function started() {
  const folder = await mkdtemp(join(tmpdir(), 'idle-marker-bench-'));
  // The database is run by a user of its own, who has to pass through.
  await chmod(folder, 0o711);
  const [port, database] = [await freePort(), await freePort()];
  const child = spawn(new URL('../start', import.meta.url).pathname, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, IDLE_PORT: port, IDLE_PG_PORT: database, IDLE_DATA: join(folder, 'data') },
  });
  // A bench that fails leaves nothing running.
  process.once('exit', () => child.kill('SIGTERM'));
  const stop = async () => {
    const ended = new Promise((resolve) => child.once('exit', resolve));
    if (child.exitCode === null && child.kill('SIGTERM')) await ended;
    await rm(folder, { recursive: true, force: true });
  };
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < PATIENCE && child.exitCode === null; tries++) {
    const healthy = await fetch(`${url}/healthz`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (healthy) return { url, stop };
    await new Promise((resolve) => setTimeout(resolve, 1000));
  }
  await stop();
  throw new Error('The application did not start: see ./start');
}
