/** Opens the database, or says in one sentence why it cannot. */
import { setTimeout as wait } from 'node:timers/promises';
import type { DataSource } from 'typeorm';
import { newDataSource } from './dataSource.ts';

const TRIES = 10;
const BETWEEN_MS = 1000;
/** Not there yet, or still recovering: worth waiting for. */
const COMES_UP = ['ECONNREFUSED', 'ENOENT', 'ECONNRESET', '57P03'];

/** Ends the process where it never comes up, or lets nobody in. */
export async function openDatabase(url: string): Promise<DataSource> {
  for (let attempt = 1; ; attempt++)
    try {
      return await newDataSource(url).initialize();
    } catch (fault) {
      const { code = '', message = String(fault) } = fault as { code?: string; message?: string };
      if (COMES_UP.includes(code) && attempt < TRIES) {
        await wait(BETWEEN_MS);
        continue;
      }
      console.error(
        `The database of DATABASE_URL does not let the shop in: ${message || code}. Nothing was changed.`,
      );
      process.exit(1);
    }
}
