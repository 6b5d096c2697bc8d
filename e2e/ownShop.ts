/**
 * A shop of a journey's own, beside that of its worker: empty, or open to a network, started by the
 * same script with its own words.
 */
import { rmSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import pg from 'pg';
import { v7 as newId } from 'uuid';
import { freePort } from '../scripts/postgres.mjs';
import { fill } from './shop.ts';
import { databaseUrl } from './shopServer.ts';
import { throwAwayFolder } from '../scripts/throwAway.mjs';
import { startShop } from './startShop.ts';

/** Of this machine, and yet not the loopback address that needs no PIN. */
export const NETWORK_HOST = '127.0.0.2';

export type OwnShop = {
  address: string;
  /** For the first lead, where the shop is open to a network. */
  code?: string;
  query: (sql: string) => Promise<unknown>;
  close: () => Promise<void>;
};

export async function openOwnShop(...words: string[]): Promise<OwnShop> {
  const name = `own_${newId().replaceAll('-', '')}`;
  const query = async (sql: string, url = databaseUrl()) => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    const { rows } = await client.query<Record<string, unknown>>(sql);
    await client.end();
    return rows;
  };
  await query(`create database ${name}`);
  const url = databaseUrl().replace(/\/journey_\d+\?/, `/${name}?`);
  const folder = throwAwayFolder('own');
  const port = await freePort();
  const { said, close } = await startShop({ port, folder, url }, ...words);
  const code = /which holds for a day: {2}(\S+)/.exec(said)?.[1];
  const host = words.includes('--host') ? NETWORK_HOST : '127.0.0.1';
  return {
    address: `http://${host}:${port}`,
    ...(code ? { code } : {}),
    query: (sql) => query(sql, url),
    close: async () => {
      await close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** What an empty shop asks first. */
export async function tellShop(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'A shop of your own' })).toBeVisible();
  await fill(page, 'Its name', 'Lee Shore Paint');
  await fill(page, 'Your name', 'Ines');
  await fill(page, 'The room', 'Bay one');
}
