/** Two processes of the built-in server on one database, behind a plain reverse proxy. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import PgBoss from 'pg-boss';
import type { DataSource } from 'typeorm';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { freePort } from '../../../scripts/postgres.mjs';
import { newDataSource } from '../src/database/dataSource.ts';
import { NIGHTLY } from '../src/nightly/jobs.ts';
import { copyOf, DEMO } from './templates.ts';

const processes: ChildProcess[] = [];
const ports: number[] = [];
const copies = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-copies-'));
let database: DataSource;
let databaseUrl: string;
let proxy: Server;
let proxied: string;

beforeAll(async () => {
  databaseUrl = await copyOf(DEMO);
  database = newDataSource(databaseUrl);
  await database.initialize();
  for (const _ of [1, 2]) {
    const port = await freePort();
    ports.push(port);
    processes.push(await serve(port));
  }
  // One after the other, as a proxy spreads what comes.
  let turn = 0;
  proxy = createServer((req, res) => {
    const port = ports[turn++ % ports.length]!;
    const on = request(
      { port, method: req.method, path: req.url, headers: req.headers },
      (reply) => {
        res.writeHead(reply.statusCode!, reply.headers);
        reply.pipe(res);
      },
    );
    on.on('error', () => res.destroy());
    req.pipe(on);
  });
  await new Promise<void>((resolve) => proxy.listen(0, '127.0.0.1', resolve));
  proxied = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
});
afterAll(async () => {
  proxy.closeAllConnections();
  proxy.close();
  for (const one of processes) one.kill('SIGKILL');
  await database.destroy();
  rmSync(copies, { recursive: true, force: true });
});

function serve(port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, [path.join(import.meta.dirname, '../dist/app/main.js')], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), COPIES_FOLDER: copies },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    server.stdout.on('data', (said: Buffer) => {
      if (String(said).includes('listening on')) resolve(server);
    });
    server.once('exit', (code) => reject(new Error(`the server ended: ${code}`)));
  });
}

const json = async <T>(at: string, init?: RequestInit): Promise<T> =>
  (await (await fetch(at, init)).json()) as T;
const post = <T>(at: string, body: object): Promise<T> =>
  json<T>(at, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** What the stream of this process says until it holds these words. */
function heard(port: number, words: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const ask = request(`http://127.0.0.1:${port}/api/stream`, (reply) => {
      let text = '';
      reply.on('data', (chunk: Buffer) => {
        text += String(chunk);
        if (!text.includes(words)) return;
        ask.destroy();
        resolve();
      });
    });
    ask.on('error', reject).end();
  });
}

it('what is written through one is heard on the streams of both', async () => {
  const { rooms, painters } = await json<ShopSetup>(`${proxied}/api/setup`);
  const reading = {
    id: newId(),
    roomId: rooms[0]!.id,
    quantity: 'airC',
    valueCanonical: 22,
    enteredValue: 22,
    enteredUnit: 'C',
    painterId: painters[0]!.id,
  };
  const both = ports.map((port) => heard(port, reading.id));
  await post(`${proxied}/api/readings`, reading);
  await Promise.all(both);
});

it('the same request to both at once is done once', async () => {
  const { painters, rooms } = await json<ShopSetup>(`${proxied}/api/setup`);
  const id = newId();
  const { id: _, version: _v, ...room } = rooms[0]!;
  await Promise.all(
    ports.map((port) => post(`http://127.0.0.1:${port}/api/rooms`, { id, ...room, name: 'Once' })),
  );
  expect(painters.length).toBeGreaterThan(0);
  const [{ n }]: [{ n: number }] = await database.query(
    'select count(*)::int as n from room where id = $1',
    [id],
  );
  expect(n).toBe(1);
  const events: [{ n: number }] = await database.query(
    'select count(*)::int as n from event where aggregate_id = $1',
    [id],
  );
  expect(events[0].n).toBe(1);
});

it('an instrument steered through one shows the same in both', async () => {
  const roomAir = async (port: number) =>
    (
      await json<{ rooms: { standIn: { minute: number; shiftC: number } }[] }>(
        `http://127.0.0.1:${port}/api/air`,
      )
    ).rooms[0]!.standIn;
  await post(`http://127.0.0.1:${ports[0]}/api/probe`, { minute: 900, minutesPerSecond: 0 });
  await post(`http://127.0.0.1:${ports[0]}/api/probe`, { shiftC: 7 });
  const shown = await roomAir(ports[0]!);
  expect(shown).toMatchObject({ minute: 900, shiftC: 7 });
  await expect.poll(() => roomAir(ports[1]!)).toEqual(shown);
});

it('the night’s work is done once for both, and leaves a copy', async () => {
  const boss = new PgBoss({ connectionString: databaseUrl, schedule: false, supervise: false });
  await boss.start();
  const jobId = await boss.send(NIGHTLY, {});
  const state = async () => (await boss.getJobById(NIGHTLY, jobId!))?.state;
  await expect.poll(state, { timeout: 30_000 }).toBe('completed');
  await boss.stop({ graceful: false });
  expect(readdirSync(copies)).toHaveLength(1);
  expect(readdirSync(copies)[0]).toMatch(/^orthochrom-shop-.*\.zip$/);
});

it('when one falls, the other goes on with all there was', async () => {
  const [first, second] = ports as [number, number];
  const before = await json<ShopSetup>(`http://127.0.0.1:${first}/api/setup`);
  processes[0]!.kill('SIGKILL');
  expect(await json<ShopSetup>(`http://127.0.0.1:${second}/api/setup`)).toEqual(before);
});
