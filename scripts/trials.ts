/**
 * npm run trials [-- --kills 200 --inputs 100000 --minutes 60]: long trials of what must never
 * happen, with figures. A shop is killed in the middle of writing, over and over; then its door is
 * asked whatever comes, and watched for faults of our own and for hangs; then a tablet loses it for
 * an hour.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';
import { calculationNames } from '@orthochrom/contract/registry.ts';
import { v7 as newId } from 'uuid';
import { examplesOf } from '../packages/contract/test/examplePairs.ts';
import { freePort, startCluster } from './postgres.mjs';
import { offlineTrial } from './trialOffline.ts';

const root = path.dirname(import.meta.dirname);
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '200' },
    inputs: { type: 'string', default: '100000' },
    minutes: { type: 'string', default: '60' },
  },
});
const data = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-trials-'));
const HANGS_MS = 30_000;

async function open(port: number, databaseUrl?: string): Promise<ChildProcess> {
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(port), '--data', data],
    {
      cwd: root,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, ...(databaseUrl ? { DATABASE_URL: databaseUrl } : {}) },
    },
  );
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (said: Buffer) => String(said).includes('is open') && resolve());
    child.once('exit', (code) => reject(new Error(`the shop did not open (${code})`)));
  });
  return child;
}
const closed = (child: ChildProcess): Promise<unknown> => {
  child.kill('SIGINT');
  return new Promise((resolve) => child.once('exit', resolve));
};
const serverOf = (child: ChildProcess): number =>
  Number(
    spawnSync('pgrep', ['-P', String(child.pid), '-f', 'main.js'], { encoding: 'utf8' })
      .stdout.trim()
      .split('\n')[0],
  );

type Setup = { rooms: { id: string }[]; painters: { id: string }[] };
const read = async <T>(port: number, place: string): Promise<T> =>
  (await (await fetch(`http://127.0.0.1:${port}/api${place}`)).json()) as T;

const reading = (id: string, { rooms, painters }: Setup, airC: number) => ({
  id,
  roomId: rooms[0]!.id,
  painterId: painters[0]!.id,
  quantity: 'airC',
  valueCanonical: airC,
  enteredValue: airC,
  enteredUnit: 'C',
});
const post = (port: number, body: object) =>
  fetch(`http://127.0.0.1:${port}/api/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => undefined);

/** Readings as fast as they are acknowledged, from four tablets, until the server is gone. */
async function writeUntilGone(port: number, setup: Setup): Promise<string[]> {
  const acknowledged: string[] = [];
  const write = async (): Promise<void> => {
    const id = newId();
    const reply = await post(port, reading(id, setup, 21));
    if (!reply) return;
    if (reply.status === 201) acknowledged.push(id);
    await write();
  };
  await Promise.all([write(), write(), write(), write()]);
  return acknowledged;
}

/**
 * What was acknowledged is there: the same id with other words is a clash. What was lost would be
 * taken as new.
 */
async function killTrial(port: number, kills: number) {
  const tally = { kills, acknowledged: 0, lost: 0 };
  let ids: string[] = [];
  for (let round = 0; round <= kills; round++) {
    const child = await open(port);
    const setup = await read<Setup>(port, '/setup');
    for (const id of ids)
      if ((await post(port, reading(id, setup, 22)))?.status !== 409) tally.lost++;
    tally.acknowledged += ids.length;
    if (round === kills) await closed(child);
    else {
      const writing = writeUntilGone(port, setup);
      await new Promise((resolve) => setTimeout(resolve, 100 + Math.random() * 900));
      const server = serverOf(child);
      child.kill('SIGKILL');
      process.kill(server, 'SIGKILL');
      ids = await writing;
    }
  }
  return tally;
}

type Drawn = () => number;
const pick = <T>(all: readonly T[], drawn: Drawn): T => all[Math.floor(drawn() * all.length)]!;
const FACTORS = [0, 1e-9, 0.1, 0.5, 0.9, 1.1, 2, 10, -1];
const ODD = [null, '', '\0', 'x'.repeat(5000), -1, 1e308, 2 ** 53, 0, [], {}, true, '../..', '%'];

/** One place of an input changed for something odd. */
function spoilt(input: unknown, drawn: Drawn): unknown {
  // Mostly a figure that could have been typed, or all but.
  if (typeof input === 'number' && drawn() < 0.8) return input * pick(FACTORS, drawn);
  if (typeof input !== 'object' || input === null || drawn() < 0.03) return pick(ODD, drawn);
  const keys = Object.keys(input);
  if (keys.length === 0) return pick(ODD, drawn);
  const key = pick(keys, drawn);
  const copy = structuredClone(input) as Record<string, unknown>;
  copy[key] = spoilt(copy[key], drawn);
  return copy;
}

const WRITES = [
  'tickets',
  'findings',
  'readings',
  'guns',
  'tests',
  'care',
  'sheets',
  'compressors',
];

async function inputTrial(port: number, inputs: number) {
  const drawn = drawnFrom(20_261_128);
  const examples = calculationNames.flatMap((name) =>
    examplesOf(name).map(({ input }) => ({ name, input })),
  );
  const rows: unknown[] = [];
  for (const place of ['/tickets', '/findings', '/setup', '/sheets', '/tests'])
    rows.push(await read(port, place));
  const tally = { inputs, ours: 0, refused: 0, answered: 0, hangs: 0 };
  const one = async (): Promise<void> => {
    const isCalculation = drawn() < 0.6;
    const { name, input } = pick(examples, drawn);
    const place = isCalculation ? `calculations/${name}` : pick(WRITES, drawn);
    const body = spoilt(isCalculation ? input : pick(rows, drawn), drawn);
    const reply = await fetch(`http://127.0.0.1:${port}/api/${place}`, {
      method: drawn() < 0.9 ? 'POST' : 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(HANGS_MS),
    }).catch(() => undefined);
    if (!reply) tally.hangs++;
    else if (reply.status >= 500) tally.ours++;
    else if (reply.status >= 400) tally.refused++;
    else tally.answered++;
    await reply?.arrayBuffer();
  };
  const lane = async (count: number) => {
    for (let i = 0; i < count; i++) await one();
  };
  await Promise.all(Array.from({ length: 8 }, () => lane(Math.ceil(inputs / 8))));
  return tally;
}

/** What a read takes beside streams that are open: the middle of many, in ms. */
async function crowdTrial(port: number, streams: number) {
  const middleMs = async (): Promise<number> => {
    const times: number[] = [];
    for (let i = 0; i < 200; i++) {
      const began = performance.now();
      await read(port, '/tickets');
      times.push(performance.now() - began);
    }
    return times.sort((a, b) => a - b)[times.length / 2]!;
  };
  await middleMs();
  const aloneMs = await middleMs();
  const leaving = new AbortController();
  const open = await Promise.all(
    Array.from({ length: streams }, () =>
      fetch(`http://127.0.0.1:${port}/api/stream`, { signal: leaving.signal }),
    ),
  );
  const besideMs = await middleMs();
  leaving.abort();
  const answered = open.filter(({ ok }) => ok).length;
  return { streams: answered, readBesideToAlone: Number((besideMs / aloneMs).toFixed(2)) };
}

const port = await freePort();
if (Number(values.kills) > 0) console.log(await killTrial(port, Number(values.kills)));
if (Number(values.inputs) > 0) {
  const child = await open(port);
  console.log(await crowdTrial(port, 500));
  console.log(await inputTrial(port, Number(values.inputs)));
  await closed(child);
}
if (Number(values.minutes) > 0) {
  const cluster = await startCluster({
    folder: path.join(data, 'off'),
    say: () => undefined,
    durable: false,
  });
  cluster.ensureDatabase('off');
  const child = await open(port, cluster.url('off'));
  const shop = `http://127.0.0.1:${port}`;
  console.log(await offlineTrial(shop, cluster.url('off'), Number(values.minutes)));
  await closed(child);
  cluster.stop('immediate');
}
rmSync(data, { recursive: true, force: true });
