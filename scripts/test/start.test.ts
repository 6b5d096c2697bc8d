/**
 * The start script as a newcomer meets it: it opens, is clear about what is in the way, and
 * recovers from being killed.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { freePort } from '../postgres.mjs';
import { throwAwayFolder } from '../throwAway.mjs';

const root = path.join(import.meta.dirname, '../..');
const data = throwAwayFolder('start');
const { DATABASE_URL: _none, ...env } = process.env;
const runs: ChildProcess[] = [];

function run(port: number, folder: string, more: object = {}): ChildProcess {
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(port), '--data', folder],
    { cwd: root, env: { ...env, ...more } },
  );
  runs.push(child);
  return child;
}

/** Kills start script and server as soon as it says so; the database lives on as an orphan. */
async function startAndKill(port: number, folder: string, heard: string): Promise<void> {
  const child = run(port, folder);
  await new Promise<void>((resolve) => {
    child.once('exit', () => resolve());
    child.stdout!.on('data', (chunk: Buffer) => {
      if (String(chunk).includes(heard)) resolve();
    });
  });
  // Half a second on, the demo is being loaded.
  await new Promise((resolve) => setTimeout(resolve, 500));
  const server = serverOf(child);
  child.kill('SIGKILL');
  if (server > 0) process.kill(server, 'SIGKILL');
  await ended(child);
}

/** What the database says of itself, asked as the application. */
function askDatabase(place: string, sql: string): { answer: string; role: string } {
  const lines = readFileSync(path.join(place, 'cluster/postmaster.pid'), 'utf8').split('\n');
  const ask = (question: string) =>
    spawnSync(
      'psql',
      [
        '-h',
        lines[4]!,
        '-p',
        lines[3]!,
        '-U',
        'orthochrom_app',
        '-At',
        '-F',
        ' ',
        '-c',
        question,
        'orthochrom',
      ],
      { encoding: 'utf8' },
    ).stdout.trim();
  return {
    answer: ask(sql),
    role: ask('select rolname, rolsuper from pg_roles where rolname = current_user'),
  };
}

function start(
  port: number,
  folder = data,
  more: object = {},
): Promise<{ child: ChildProcess; said: () => string }> {
  const child = run(port, folder, more);
  let text = '';
  return new Promise((resolve) => {
    const hear = (chunk: Buffer) => {
      text += String(chunk);
      if (text.includes('Orthochrom is open')) resolve({ child, said: () => text });
    };
    child.stdout!.on('data', hear);
    child.stderr!.on('data', hear);
    child.once('exit', () => resolve({ child, said: () => text }));
  });
}
const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) =>
    child.exitCode === null && child.signalCode === null
      ? child.once('exit', resolve)
      : resolve(child.exitCode),
  );
const setupOf = async (port: number) =>
  (await (await fetch(`http://127.0.0.1:${port}/api/setup`)).json()) as {
    painters: { id: string; version: number; name: string }[];
  };

/** The process that serves, below the one that started it. */
const serverOf = (child: ChildProcess): number =>
  Number(
    spawnSync('pgrep', ['-P', String(child.pid), '-f', 'main.js'], { encoding: 'utf8' })
      .stdout.trim()
      .split('\n')[0],
  );
const databaseOf = (place: string): number =>
  Number(readFileSync(path.join(place, 'cluster/postmaster.pid'), 'utf8').split('\n')[0]);
/** Asks until the shop answers again. */
async function answersAgain(port: number): Promise<void> {
  for (;;) {
    const reply = await fetch(`http://127.0.0.1:${port}/api/setup`).catch(() => undefined);
    if (reply?.status === 200) return;
    // What it says meanwhile is that the database is away.
    if (reply) expect(reply.status).toBe(503);
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

type Stage = { id: string; coats: number; panelIds: string[] };
type Ticket = { id: string; state: string; panels: { id: string }[]; stages: Stage[] };
const ticketsOf = async (port: number) =>
  (await (await fetch(`http://127.0.0.1:${port}/api/tickets`)).json()) as {
    tickets: Ticket[];
    coats: { ticketId: string }[];
  };

/**
 * Opens tickets as fast as they are acknowledged, kills server and start script in the middle of
 * it, and says which were acknowledged.
 */
async function writeUntilKilled(port: number, child: ChildProcess): Promise<string[]> {
  const sample = (await ticketsOf(port)).tickets.find(({ state }) => state === 'open')!;
  const acknowledged: string[] = [];
  const write = async (): Promise<void> => {
    const {
      number: _n,
      version: _v,
      createdAt: _c,
      state: _s,
      ...ticket
    } = sample as Ticket & Record<string, unknown>;
    const newIds = new Map(ticket.panels.map(({ id }) => [id, randomUUID()]));
    const panels = ticket.panels.map((panel) => ({ ...panel, id: newIds.get(panel.id)! }));
    const body = {
      ...ticket,
      id: randomUUID(),
      panels,
      stages: ticket.stages.map((stage) => ({
        ...stage,
        id: randomUUID(),
        panelIds: stage.panelIds.map((id) => newIds.get(id)!),
      })),
    };
    const reply = await fetch(`http://127.0.0.1:${port}/api/tickets`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }).catch(() => undefined);
    if (!reply) return;
    if (reply.status === 201) acknowledged.push(body.id);
    else if (reply.status < 500) throw new Error(`not taken: ${await reply.text()}`);
    await write();
  };
  const writers = [write(), write(), write()];
  while (acknowledged.length < 8) await new Promise((resolve) => setTimeout(resolve, 10));
  // The start script first: it would start the server again.
  const server = serverOf(child);
  child.kill('SIGKILL');
  process.kill(server, 'SIGKILL');
  await ended(child);
  await Promise.all(writers);
  return acknowledged;
}

afterAll(async () => {
  for (const child of runs) {
    child.kill('SIGINT');
    await ended(child);
  }
  rmSync(data, { recursive: true, force: true });
});

describe('npm start', () => {
  it('opens the invented shop, keeps what was acknowledged through a kill, and closes everything on Ctrl-C', async () => {
    const port = await freePort();
    const first = await start(port);
    const [painter] = (await setupOf(port)).painters;
    const { id, ...edit } = painter!;
    const saved = await fetch(`http://127.0.0.1:${port}/api/painters/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...edit, name: 'Nell, kept' }),
    });
    expect(saved.status).toBe(200);
    const acknowledged = await writeUntilKilled(port, first.child);

    const second = await start(port);
    expect(second.said()).toContain(`http://127.0.0.1:${port}`);
    expect((await setupOf(port)).painters[0]!.name).toBe('Nell, kept');
    const { tickets, coats } = await ticketsOf(port);
    expect(acknowledged.length).toBeGreaterThan(0);
    expect(acknowledged.filter((id) => !tickets.some((ticket) => ticket.id === id))).toEqual([]);
    // Acknowledged or not: what is there is there whole.
    for (const { id, stages } of tickets)
      expect(coats.filter(({ ticketId }) => ticketId === id)).toHaveLength(
        stages.reduce((sum, stage) => sum + stage.coats, 0),
      );

    const third = await start(await freePort());
    expect(await ended(third.child)).toBe(1);
    expect(third.said()).toContain('already runs on');

    second.child.kill('SIGINT');
    await ended(second.child);
    await expect(fetch(`http://127.0.0.1:${port}/api/health`)).rejects.toThrow();
    expect(spawnSync('pgrep', ['-f', `${data}`], { encoding: 'utf8' }).stdout.trim()).toBe('');
  });

  it('is put right when database or server fall, lets nobody in over the network, as no superuser', async () => {
    const port = await freePort();
    const folder = path.join(data, 'falls');
    const { child, said } = await start(port, folder);
    // Where PostgreSQL's own user cannot reach the folder, the script says where it lies instead.
    const place = / lies in (\S+) instead/.exec(said())?.[1] ?? path.join(folder, 'database');
    const { answer, role } = askDatabase(place, 'show listen_addresses');
    expect([answer, role]).toEqual(['', 'orthochrom_app f']);
    process.kill(databaseOf(place), 'SIGKILL');
    await answersAgain(port);
    process.kill(serverOf(child), 'SIGKILL');
    await answersAgain(port);
    expect(said()).toMatch(/The server ended .* started again/);
    child.kill('SIGINT');
    expect(await ended(child)).toBe(0);
  });

  it('recovers from a first start that was killed at any moment', async () => {
    const folder = path.join(data, 'killed');
    for (const heard of ['Starting the database', 'Opening the shop']) {
      const port = await freePort();
      await startAndKill(port, folder, heard);
    }
    const port = await freePort();
    const { child } = await start(port, folder);
    const { painters } = await setupOf(port);
    expect(new Set(painters.map(({ name }) => name)).size).toBe(painters.length);
    expect((await ticketsOf(port)).tickets.length).toBeGreaterThan(0);
    child.kill('SIGINT');
    await ended(child);
  });

  it('says in one sentence that its own DATABASE_URL leads nowhere', async () => {
    const { child, said } = await start(await freePort(), path.join(data, 'nowhere'), {
      DATABASE_URL: 'postgres://nobody@127.0.0.1:1/none?connect_timeout=1',
    });
    expect(await ended(child)).toBe(1);
    expect(said()).toContain('does not let the shop in');
    expect(said()).not.toMatch(/\n\s+at /);
  });

  it('names the port that is taken and another to try', async () => {
    const port = await freePort();
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve));
    const { child, said } = await start(port, path.join(data, 'other'));
    expect(await ended(child)).toBe(1);
    expect(said()).toContain(`Port ${port} is taken`);
    other.close();
  });

  it('says so where nothing can be written', async () => {
    const file = path.join(data, 'a-file');
    writeFileSync(file, '');
    const { child, said } = await start(await freePort(), path.join(file, 'below'));
    expect(await ended(child)).toBe(1);
    expect(said()).toMatch(/Nothing can be written to .*--data FOLDER/s);
  });

  it('refuses a port that is none', async () => {
    const { child, said } = await start(99_999);
    expect(await ended(child)).toBe(1);
    expect(said()).toContain('1 to 65535');
  });
});
