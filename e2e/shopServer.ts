/**
 * Shops for the journeys: one for each worker, with a throw-away database of its own, opened by the
 * very start script a newcomer runs. A worker has its shop to itself, so no journey sees what
 * another one does at the same time.
 */
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import path from 'node:path';
import type { FullConfig } from '@playwright/test';
import { build } from '../scripts/build.mjs';
import { startCluster } from '../scripts/postgres.mjs';
import { throwAwayFolder } from '../scripts/throwAway.mjs';

const FIRST_PORT = 4390;
const root = path.dirname(import.meta.dirname);
const addressOf = (shop: number): string => `http://127.0.0.1:${FIRST_PORT + shop}`;
const databaseVariable = (shop: number): string => `SHOP_${shop}_DATABASE_URL`;

/** The shop of the worker that asks; Playwright numbers them. A bench names its own. */
const ownShop = Number(process.env['TEST_PARALLEL_INDEX'] ?? 0);
export const ADDRESS = process.env['SHOP_ADDRESS'] ?? addressOf(ownShop);
export const databaseUrl = (): string => process.env[databaseVariable(ownShop)]!;

/** Resolves when the shop serves; gives the way to close it. */
async function open(shop: number, folder: string, url: string): Promise<() => Promise<void>> {
  const port = String(FIRST_PORT + shop);
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', port, '--data', path.join(folder, `shop-${shop}`)],
    { cwd: root, stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, DATABASE_URL: url } },
  );
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  await new Promise<void>((resolve, reject) => {
    child.stdout.on(
      'data',
      (chunk: Buffer) => String(chunk).includes('Orthochrom is open') && resolve(),
    );
    child.once('exit', (code) => reject(new Error(`the shop did not open (${code})`)));
  });
  return async () => {
    child.kill('SIGINT');
    await ended;
  };
}

export default async function openShops({ workers }: FullConfig): Promise<() => Promise<void>> {
  const folder = throwAwayFolder('journey');
  const cluster = await startCluster({
    folder: path.join(folder, 'database'),
    say: () => undefined,
    durable: false,
  });
  // Built before they start: none of them does it while another reads what is built.
  build(root, () => undefined);
  const shops = Array.from({ length: workers }, (_, shop) => shop);
  const closing = await Promise.all(
    shops.map((shop) => {
      cluster.ensureDatabase(`journey_${shop}`);
      const url = cluster.url(`journey_${shop}`);
      process.env[databaseVariable(shop)] = url;
      return open(shop, folder, url);
    }),
  );
  return async () => {
    await Promise.all(closing.map((close) => close()));
    cluster.stop('immediate');
    rmSync(folder, { recursive: true, force: true });
  };
}
