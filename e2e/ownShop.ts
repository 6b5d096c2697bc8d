/**
 * A shop of a journey's own, beside that of its worker: empty, or open to a network, started by the
 * same script with its own words.
 */
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { v7 as newId } from 'uuid';
import { freePort } from '../scripts/postgres.mjs';
import { databaseUrl } from './shopServer.ts';
import { throwAwayFolder } from '../scripts/throwAway.mjs';

const root = path.dirname(import.meta.dirname);
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
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(port), '--data', folder, ...words],
    { cwd: root, stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, DATABASE_URL: url } },
  );
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const said = await new Promise<string>((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (chunk: Buffer) => {
      text += String(chunk);
      if (text.includes('Ctrl-C closes it')) resolve(text);
    });
    child.once('exit', (exit) => reject(new Error(`the shop did not open (${exit})`)));
  });
  const code = /which holds for a day: {2}(\S+)/.exec(said)?.[1];
  const host = words.includes('--host') ? NETWORK_HOST : '127.0.0.1';
  return {
    address: `http://${host}:${port}`,
    ...(code ? { code } : {}),
    query: (sql) => query(sql, url),
    close: async () => {
      child.kill('SIGINT');
      await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
