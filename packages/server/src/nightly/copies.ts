/** A copy of the whole shop every night, kept for two weeks beside the database. */
import { createWriteStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { finished } from 'node:stream/promises';
import type { DataSource } from 'typeorm';
import { writeShopFile } from '../shopFile/writeShopFile.ts';

export const KEPT_COPIES = 14;
const COPY = /^orthochrom-shop-\d{4}-\d\d-\d\d\.zip$/;
const copyOf = (day: string): string => `orthochrom-shop-${day}.zip`;

/**
 * Written aside and renamed once it is whole and on the disk: no half copy bears a day's name.
 * @param day as YYYY-MM-DD: once more on the same day takes the place of the first
 * @returns where it lies
 */
export async function keepCopy(database: DataSource, folder: string, day: string): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const draft = path.join(folder, `draft-${process.pid}-${Date.now()}`);
  const whole = path.join(folder, copyOf(day));
  const stream = createWriteStream(draft, { mode: 0o600 });
  const isClosed = new Promise<void>((resolve) => stream.once('close', () => resolve()));
  try {
    await Promise.all([writeShopFile(database, stream), finished(stream)]);
    const file = await open(draft, 'r');
    await file.sync();
    await file.close();
    await rename(draft, whole);
  } catch (fault) {
    // What is still being opened would be there again after it was taken away.
    stream.destroy();
    await isClosed;
    await rm(draft, { force: true });
    throw fault;
  }
  await dropOld(folder);
  return whole;
}

/** Only what is a copy by its name: nothing else that lies there is touched. */
async function dropOld(folder: string): Promise<void> {
  const copies = (await readdir(folder)).filter((name) => COPY.test(name)).sort();
  for (const name of copies.slice(0, Math.max(0, copies.length - KEPT_COPIES)))
    await rm(path.join(folder, name));
}
