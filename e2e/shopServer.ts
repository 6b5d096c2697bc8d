/**
 * Shops for the journeys: one for each worker, with a throw-away database of its own, opened by the
 * very start script a newcomer runs. A worker has its shop to itself, so no journey sees what
 * another one does at the same time.
 */
import { rmSync } from 'node:fs';
import path from 'node:path';
import type { FullConfig } from '@playwright/test';
import { build } from '../scripts/build.mjs';
import { startCluster } from '../scripts/postgres.mjs';
import { throwAwayFolder } from '../scripts/throwAway.mjs';
import { startShop } from './startShop.ts';

const FIRST_PORT = 4390;
const root = path.dirname(import.meta.dirname);
const addressOf = (shop: number): string => `http://127.0.0.1:${FIRST_PORT + shop}`;
const databaseVariable = (shop: number): string => `SHOP_${shop}_DATABASE_URL`;

/** The shop of the worker that asks; Playwright numbers them. A bench names its own. */
const ownShop = Number(process.env['TEST_PARALLEL_INDEX'] ?? 0);
export const ADDRESS = process.env['SHOP_ADDRESS'] ?? addressOf(ownShop);
export const databaseUrl = (): string => process.env[databaseVariable(ownShop)]!;

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
  const opened = await Promise.all(
    shops.map((shop) => {
      cluster.ensureDatabase(`journey_${shop}`);
      const url = cluster.url(`journey_${shop}`);
      process.env[databaseVariable(shop)] = url;
      return startShop({
        port: FIRST_PORT + shop,
        folder: path.join(folder, `shop-${shop}`),
        url,
      });
    }),
  );
  return async () => {
    await Promise.all(opened.map((shop) => shop.close()));
    cluster.stop('immediate');
    rmSync(folder, { recursive: true, force: true });
  };
}
