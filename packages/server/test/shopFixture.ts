/**
 * A shop of its own for a test file: a copy of the demo, the app on a free port, the stand-in probe
 * held still at ten in the morning.
 */
import type { AddressInfo } from 'node:net';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import path from 'node:path';
import type { DataSource } from 'typeorm';
import { v7 as newId } from 'uuid';
import { StandInProbe } from '../src/air/probe.ts';
import { createApp } from '../src/app.ts';
import type { Network } from '../src/http/edges.ts';
import { Calculator } from '../src/calculation/calculator.ts';
import { copyOf, DEMO, withAdmin } from './templates.ts';
import { IN_ORDER } from './inOrder.ts';
import { newDataSource } from '../src/database/dataSource.ts';
import { Changes } from '../src/event/changes.ts';
import { demoDays } from '../src/demo/demoDays.ts';

export type Reply<T = unknown> = { status: number; body: T };
export type Fault = {
  error: {
    code: string;
    message: string;
    path: (string | number)[];
    mine?: unknown;
    theirs?: unknown;
    verdicts?: WordedVerdict[];
  };
};
export const TEN_O_CLOCK = 600;

/** The cluster of the run has it built. */
const WORKER = path.join(import.meta.dirname, '../dist/app/calculationWorker.js');

export class ShopFixture {
  readonly database: DataSource;
  readonly probe: StandInProbe;
  private readonly server: Server;
  private readonly calculator: Calculator;
  private readonly changes: Changes;
  private readonly base: string;

  private constructor(
    database: DataSource,
    probe: StandInProbe,
    server: Server,
    calculator: Calculator,
    changes: Changes,
  ) {
    this.changes = changes;
    this.calculator = calculator;
    this.database = database;
    this.probe = probe;
    this.server = server;
    this.base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  }

  static async open(from: string = DEMO, network?: Network): Promise<ShopFixture> {
    const database = await newDataSource(await copyOf(from)).initialize();
    const probe = new StandInProbe(await demoDays(database.manager));
    probe.steer({ minute: TEN_O_CLOCK, minutesPerSecond: 0 });
    const calculator = new Calculator(WORKER);
    const changes = await Changes.listen(database);
    const app = await createApp(database, {
      calculator,
      changes,
      probe,
      ...(network ? { network } : {}),
    });
    const server = await new Promise<Server>((resolve) => {
      const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
    });
    return new ShopFixture(database, probe, server, calculator, changes);
  }

  private async name(): Promise<string> {
    const [row] = await this.rows('select current_database() as name');
    return (row as { name: string }).name;
  }

  /** Closes it, and names what others are copied from: this shop as it is now. */
  async asTemplate(): Promise<string> {
    const name = await this.name();
    await this.close();
    return name;
  }

  async close(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
    await this.calculator.close();
    await this.changes.close();
    await this.database.destroy();
  }

  async call<T = unknown>(method: string, path: string, body?: unknown): Promise<Reply<T>> {
    const response = await fetch(`${this.base}${path}`, {
      method,
      ...(body === undefined
        ? {}
        : {
            headers: { 'content-type': 'application/json' },
            body: typeof body === 'string' ? body : JSON.stringify(body),
          }),
    });
    const text = await response.text();
    return {
      status: response.status,
      body: (response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text) as T,
    };
  }
  get<T = unknown>(path: string): Promise<Reply<T>> {
    return this.call('GET', path);
  }
  post<T = unknown>(path: string, body: unknown): Promise<Reply<T>> {
    return this.call('POST', path, body);
  }
  /** Raw bytes, as a photo goes up. */
  async send<T = unknown>(path: string, bytes: Buffer, mime: string): Promise<Reply<T>> {
    const response = await fetch(`${this.base}${path}`, {
      method: 'POST',
      headers: { 'content-type': mime },
      body: new Uint8Array(bytes),
    });
    return { status: response.status, body: (await response.json()) as T };
  }
  async bytes(path: string): Promise<Buffer> {
    return Buffer.from(await (await fetch(`${this.base}${path}`)).arrayBuffer());
  }
  put<T = unknown>(path: string, body: unknown): Promise<Reply<T>> {
    return this.call('PUT', path, body);
  }

  /** Status of a request that comes under another host name. */
  statusFor(host: string): Promise<number | undefined> {
    return new Promise((resolve, reject) => {
      request(`${this.base}/calculations`, { headers: { host } }, (reply) => {
        reply.resume();
        resolve(reply.statusCode);
      })
        .on('error', reject)
        .end();
    });
  }

  /** Under a request's own id, as a device that never heard the answer sends it again. */
  async keyed(method: string, path: string, key: string, body: unknown): Promise<Reply> {
    const response = await fetch(`${this.base}${path}`, {
      method,
      headers: { 'content-type': 'application/json', 'idempotency-key': key },
      body: JSON.stringify(body),
    });
    return { status: response.status, body: await response.json() };
  }

  /** How an empty write under these headers is met. */
  head(path: string, headers: object): Promise<{ status?: number; headers: IncomingHttpHeaders }> {
    return new Promise((resolve, reject) => {
      const all = { 'content-type': 'application/json', ...headers };
      request(`${this.base}${path}`, { method: 'POST', headers: all }, (reply) => {
        reply.resume();
        resolve({ status: reply.statusCode!, headers: reply.headers });
      })
        .on('error', reject)
        .end('{}');
    });
  }

  get origin(): string {
    return new URL(this.base).origin;
  }

  /** As when the database falls and rises again: every connection to it is cut. */
  async cutDatabase(): Promise<void> {
    const name = await this.name();
    await withAdmin((admin) =>
      admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
        name,
      ]),
    );
  }

  /** What the stream says while `work` goes on, until it has told of a change. */
  listen(work: () => Promise<void>): Promise<string> {
    return new Promise((resolve, reject) => {
      const ask = request(`${this.base}/stream`, (reply) => {
        let text = '';
        let isWorking = false;
        reply.on('data', (chunk: Buffer) => {
          text += String(chunk);
          if (!isWorking) work().catch(reject);
          isWorking = true;
          if (text.includes('event: changed')) {
            ask.destroy();
            resolve(text);
          }
        });
      });
      ask.on('error', reject).end();
    });
  }

  rows(sql: string, values: unknown[] = []): Promise<Record<string, unknown>[]> {
    return this.database.query(sql, values);
  }

  async setup(): Promise<ShopSetup> {
    return (await this.get<ShopSetup>('/setup')).body;
  }

  /** The open ticket whose vehicle starts so, with its painter Nell. */
  async openTicket(
    vehicle = 'Linnet hatchback, left side',
  ): Promise<{ whole: TicketWhole; painterId: string; gunId: string }> {
    const { tickets } = (
      await this.get<{ tickets: { id: string; vehicle: string; state: string }[] }>('/tickets')
    ).body;
    const { id } = tickets.find((ticket) => ticket.vehicle === vehicle && ticket.state === 'open')!;
    const whole = (await this.get<TicketWhole>(`/tickets/${id}`)).body;
    const setup = await this.setup();
    return {
      whole,
      painterId: setup.painters.find(({ name }) => name.startsWith('Nell'))!.id,
      gunId: whole.ticket.stages[0]!.gunId!,
    };
  }

  /** Everything in order at the gate. */
  passGate(
    whole: TicketWhole,
    painterId: string,
    stage = 0,
    changes: object = {},
  ): Promise<Reply<TicketWhole>> {
    return this.post(`/tickets/${whole.ticket.id}/gate-answers`, {
      id: newId(),
      stageId: whole.ticket.stages[stage]!.id,
      step: 'mix',
      painterId,
      ...IN_ORDER,
      ...changes,
    });
  }

  /**
   * In order for a test that puts the real mix through the gun: a sheet that is sprayed, in a
   * booth.
   */
  async testGate(changes: object = {}): Promise<object> {
    const { rooms } = await this.setup();
    const { body: sheets } =
      await this.get<{ id: string; sheet: { recipes?: { name: string }[] } }[]>('/sheets');
    const { id, sheet } = sheets.find((version) => version.sheet.recipes?.length)!;
    const roomId = rooms.find(({ place }) => place === 'booth')!.id;
    return {
      roomId,
      sheetVersionId: id,
      recipeName: sheet.recipes![0]!.name,
      ...IN_ORDER,
      ...changes,
    };
  }

  /** Puts the clock of the running timers back, as if so many minutes had gone by. */
  async letMinutesPass(minutes: number): Promise<void> {
    await this.database.query(
      `update timer set started_at = started_at - $1::interval, due_at = due_at - $1::interval where confirmed_at is null`,
      [`${minutes} minutes`],
    );
  }
}
