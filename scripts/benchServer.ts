/**
 * npm run bench:server [-- COATS [WORDS]]: the shop's server with a thousand coats and with a hundred
 * thousand, by one client and by twenty, beside a bare Express and pg route that moves the same
 * bytes. Ratios of medians in one run; the machine hardly matters to them.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { RecordPage } from '@orthochrom/contract/shop/record.ts';
import type { DataSource } from 'typeorm';
import { newDataSource } from '../packages/server/src/database/dataSource.ts';
import { loadDemoIfEmpty } from '../packages/server/src/demo/loadDemo.ts';
import { makeManyCoats } from './manyCoats.ts';
import { freePort, startCluster } from './postgres.mjs';

const FEW = 1000;
const MANY = Number(process.argv[2] ?? 100_000);
/** Only what is called so. */
const ONLY = process.argv[3] ?? '';
const CLIENTS = [1, 20];
const ROUNDS = 5;
const root = path.dirname(import.meta.dirname);
const running: ChildProcess[] = [];

async function serve(script: string[], databaseUrl: string): Promise<string> {
  const port = await freePort();
  const child = spawn(process.execPath, script, {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: databaseUrl, PORT: String(port) },
  });
  running.push(child);
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (said: Buffer) => String(said).includes('listening on') && resolve());
    child.once('exit', (code) => reject(new Error(`the server ended: ${code}`)));
  });
  return `http://127.0.0.1:${port}`;
}

type Ask = (client: number) => Promise<Response>;
const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Milliseconds a request, at the median, with so many clients at once. */
async function timed(ask: Ask, clients: number): Promise<number> {
  const times: number[] = [];
  const until = performance.now() + 1200;
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      while (performance.now() < until) {
        const start = performance.now();
        const reply = await ask(client);
        await reply.arrayBuffer();
        if (!reply.ok) throw new Error(`${reply.url} answered ${reply.status}`);
        times.push(performance.now() - start);
      }
    }),
  );
  return median(times);
}

/** Turn about, so that what disturbs the one disturbs the other; the least disturbed round counts. */
async function beside(what: string, ours: Ask, theirs: Ask): Promise<void> {
  if (!what.includes(ONLY)) return;
  for (const clients of CLIENTS) {
    const rounds: [number, number][] = [];
    for (let i = 0; i < ROUNDS; i++)
      rounds.push([await timed(ours, clients), await timed(theirs, clients)]);
    const [own, other] = [
      Math.min(...rounds.map(([a]) => a)),
      Math.min(...rounds.map(([, b]) => b)),
    ];
    console.log(
      `${what.padEnd(46)} ${String(clients).padStart(2)} clients  ${(own / other).toFixed(2)}   (${own.toFixed(1)} ms, ${other.toFixed(1)} ms)`,
    );
  }
}

const post = (at: string, body: object) =>
  fetch(at, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

async function shopOf(
  cluster: Awaited<ReturnType<typeof startCluster>>,
  name: string,
  coats: number,
): Promise<{ database: DataSource; address: string; url: string }> {
  cluster.ensureDatabase(name);
  const url = cluster.url(name);
  const database = newDataSource(url);
  await database.initialize();
  await database.runMigrations();
  await loadDemoIfEmpty(database, path.join(root, 'packages/server/demo'));
  console.log(`${name}: ${await makeManyCoats(database, coats)} coats`);
  const address = await serve(['packages/server/dist/app/main.js'], url);
  return { database, address, url };
}

const folder = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-bench-'));
const cluster = await startCluster({ folder, say: () => undefined });
try {
  const few = await shopOf(cluster, 'few', FEW);
  const many = await shopOf(cluster, 'many', MANY);
  await many.database.query('create table bench_bytes (name text primary key, body jsonb)');
  await many.database.query('create table bench_writes (id bigserial primary key, body jsonb)');
  const bare = await serve(['--import', 'tsx', 'scripts/bareServer.ts'], many.url);
  const json = async <T>(address: string, at: string) =>
    (await (await fetch(`${address}/api${at}`)).json()) as T;

  console.log('\n100 000 coats beside 1 000 (aim 1.5)');
  for (const [what, at] of [
    ['records, the newest page', '/records'],
    ['records, words', '/records?text=tank'],
    ['records, words that few have', '/records?text=linnet'],
    ['records, poor ones in cold air', '/records?maxAirC=19&rating=poor'],
    ['how many coats', '/records/count?'],
    ['how many with a word', '/records/count?text=tank'],
    ['the set-up of the shop', '/setup'],
    ['tickets', '/tickets'],
  ] as const)
    await beside(
      what,
      () => fetch(`${many.address}/api${at}`),
      () => fetch(`${few.address}/api${at}`),
    );
  const openIn = async (address: string) =>
    (
      await json<{ tickets: { id: string; state: string; vehicle: string }[] }>(address, '/tickets')
    ).tickets.find(({ state, vehicle }) => state === 'open' && vehicle.startsWith('Linnet'))!;
  const [fewTicket, manyTicket] = [await openIn(few.address), await openIn(many.address)];
  await beside(
    'a ticket, whole',
    () => fetch(`${many.address}/api/tickets/${manyTicket.id}`),
    () => fetch(`${few.address}/api/tickets/${fewTicket.id}`),
  );

  console.log('\nbeside Express and pg alone, the same bytes (aim 1.5)');
  const whole = await json<TicketWhole>(many.address, `/tickets/${manyTicket.id}`);
  const keep = (name: string, body: unknown) =>
    many.database.query('insert into bench_bytes values ($1, $2)', [name, JSON.stringify(body)]);
  await keep('ticket', whole);
  await beside(
    `a ticket, whole (${(JSON.stringify(whole).length / 1000).toFixed(0)} kB)`,
    () => fetch(`${many.address}/api/tickets/${manyTicket.id}`),
    () => fetch(`${bare}/bytes/ticket`),
  );
  const page = await json<RecordPage>(many.address, '/records');
  await keep('records', page);
  await beside(
    `records, a page (${(JSON.stringify(page).length / 1000).toFixed(0)} kB)`,
    () => fetch(`${many.address}/api/records`),
    () => fetch(`${bare}/bytes/records`),
  );
  // Each client writes on a coat of its own, over the version that its last write left.
  const versions = new Map<number, number>();
  // Copies bear ids that no device makes: what is written on is an original.
  const rows: { id: string; version: number; painterId: string }[] = await many.database.query(
    `select id, version, painter_id as "painterId" from coat
     where state = 'looked' and substr(id::text, 15, 1) = '7' limit ${Math.max(...CLIENTS)}`,
  );
  const look: Ask = async (client) => {
    const coat = rows[client]!;
    const version = versions.get(client) ?? coat.version;
    versions.set(client, version + 1);
    return post(`${many.address}/api/coats/${coat.id}/look`, {
      version,
      painterId: coat.painterId,
      rating: 'good',
      seen: ['nothing'],
      note: '',
      done: {},
    });
  };
  const looked = await look(0);
  const written = (await looked.json()) as object;
  if (!looked.ok) throw new Error(`a look was refused: ${JSON.stringify(written)}`);
  await keep('look', written);
  await beside(
    `a look is written (${(JSON.stringify(written).length / 1000).toFixed(0)} kB back)`,
    look,
    () => post(`${bare}/bytes/look`, { rating: 'good', seen: ['nothing'], note: '' }),
  );
  for (const { database } of [few, many]) await database.destroy();
} finally {
  for (const child of running) child.kill('SIGKILL');
  cluster.stop('immediate');
  rmSync(folder, { recursive: true, force: true });
}
