/** The shop for the journeys: a throw-away database, and the very start script a newcomer runs. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { startCluster } from '../scripts/postgres.mjs';

const PORT = 4390;
export const ADDRESS = `http://127.0.0.1:${PORT}`;
const root = path.dirname(import.meta.dirname);

export default async function openShop(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-journey-'));
  const cluster = await startCluster({
    folder: path.join(folder, 'database'),
    say: () => undefined,
    durable: false,
  });
  cluster.ensureDatabase('journey');
  process.env['DATABASE_URL'] = cluster.url('journey');
  const shop = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(PORT), '--data', path.join(folder, 'shop')],
    {
      cwd: root,
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const ended = new Promise<void>((resolve) => shop.once('exit', () => resolve()));
  await new Promise<void>((resolve, reject) => {
    shop.stdout.on(
      'data',
      (chunk: Buffer) => String(chunk).includes('Orthochrom is open') && resolve(),
    );
    shop.once('exit', (code) => reject(new Error(`the shop did not open (${code})`)));
  });
  return async () => {
    shop.kill('SIGINT');
    await ended;
    cluster.stop('immediate');
    rmSync(folder, { recursive: true, force: true });
  };
}
