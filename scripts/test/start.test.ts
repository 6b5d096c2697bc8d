/**
 * The start script as a newcomer meets it: it opens, is clear about what is in the way, and
 * recovers from being killed.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { freePort } from '../postgres.mjs';

const root = path.join(import.meta.dirname, '../..');
const data = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-start-'));
const { DATABASE_URL: _none, ...env } = process.env;
const runs: ChildProcess[] = [];

function start(port: number, folder = data): Promise<{ child: ChildProcess; said: () => string }> {
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(port), '--data', folder],
    { cwd: root, env },
  );
  runs.push(child);
  let text = '';
  return new Promise((resolve) => {
    const hear = (chunk: Buffer) => {
      text += String(chunk);
      if (text.includes('Orthochrom is open')) resolve({ child, said: () => text });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
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
    const panels = ticket.panels.map((panel) => ({ ...panel, id: randomUUID() }));
    const body = {
      ...ticket,
      id: randomUUID(),
      panels,
      stages: ticket.stages.map((stage) => ({
        ...stage,
        id: randomUUID(),
        panelIds: panels.map(({ id }) => id),
      })),
    };
    const reply = await fetch(`http://127.0.0.1:${port}/api/tickets`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }).catch(() => undefined);
    if (!reply) return;
    if (reply.status === 201) acknowledged.push(body.id);
    await write();
  };
  const writers = [write(), write(), write()];
  while (acknowledged.length < 8) await new Promise((resolve) => setTimeout(resolve, 10));
  const server = Number(
    spawnSync('pgrep', ['-P', String(child.pid)], { encoding: 'utf8' })
      .stdout.trim()
      .split('\n')[0],
  );
  process.kill(server, 'SIGKILL');
  child.kill('SIGKILL');
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
