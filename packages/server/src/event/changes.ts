/**
 * What was written, heard from the database itself: every process of the server hears of every
 * write, its own too, once it is on disk (PostgreSQL 15, NOTIFY).
 */
import { EventEmitter } from 'node:events';
import { setTimeout as wait } from 'node:timers/promises';
import type { DataSource, DataSourceOptions, EntityManager } from 'typeorm';
import { Client } from 'pg';

const CHANNEL = 'changed';
const AGAIN_MS = 1000;

export type Changed = { type: string; id: string };
/** Of a kind that no screen knows: it asks for everything anew. */
const SOMETHING_MISSED: Changed = { type: 'unheard', id: '' };

/** Within the transaction of the write: it is told with its commit, or never. */
export const tellOf = (manager: EntityManager, changed: Changed): Promise<unknown> =>
  manager.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify(changed)]);

const placeOf = (database: DataSource): ConstructorParameters<typeof Client>[0] => {
  const own = database.options as Extract<DataSourceOptions, { type: 'postgres' }>;
  if (own.url) return { connectionString: own.url };
  const { host, port, username, password, database: name } = own;
  return {
    ...(host ? { host } : {}),
    ...(port ? { port } : {}),
    ...(username ? { user: username } : {}),
    ...(typeof password === 'string' && password !== '' ? { password } : {}),
    ...(name ? { database: name } : {}),
  };
};

export class Changes {
  private readonly heard = new EventEmitter();
  private readonly database: DataSource;
  private client: Client | undefined;
  private isClosed = false;

  private constructor(database: DataSource) {
    this.database = database;
    this.heard.setMaxListeners(0);
  }

  /** Listens until it is closed; a database that falls is listened to again when it is back. */
  static async listen(database: DataSource): Promise<Changes> {
    const changes = new Changes(database);
    await changes.open();
    return changes;
  }

  on(hear: (changed: Changed) => void): void {
    this.heard.on(CHANNEL, hear);
  }

  async close(): Promise<void> {
    this.isClosed = true;
    await this.client?.end().catch(() => undefined);
  }

  private async open(): Promise<void> {
    const client = new Client(placeOf(this.database));
    client.on('notification', ({ payload }) =>
      this.heard.emit(CHANNEL, JSON.parse(payload!) as Changed),
    );
    client.on('error', () => undefined);
    client.on('end', () => void this.openAgain());
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    this.client = client;
  }

  private async openAgain(): Promise<void> {
    while (!this.isClosed) {
      await wait(AGAIN_MS);
      try {
        await this.open();
        this.heard.emit(CHANNEL, SOMETHING_MISSED);
        return;
      } catch {
        // Still away.
      }
    }
  }
}
