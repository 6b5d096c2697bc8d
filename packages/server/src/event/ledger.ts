/**
 * Writes with a trace: one transaction holds the change and its event, and the streams of every
 * process hear of it once it is on disk.
 */
import type { DataSource, EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import { v7 as newId } from 'uuid';
import { NotFound, VersionClash } from '../http/faults.ts';
import {
  actingNow,
  noteCommitted,
  takeIdentity,
  type RequestIdentity,
} from '../http/requestIdentity.ts';
import { tellOf } from './changes.ts';
import { EventTable } from './eventTable.ts';
import { oncePerRequest } from './oncePerRequest.ts';

export type Trace = {
  shopId: string;
  painterId?: string;
  aggregateType: string;
  aggregateId: string;
  aggregateVersion?: number;
  kind: string;
  patch: unknown;
};
/** A database, or one transaction of it for many writes that stand or fall together. */
export type Database = Pick<DataSource, 'manager'> & {
  transaction<T>(work: (manager: EntityManager) => Promise<T>): Promise<T>;
};
export class Ledger {
  private readonly database: Database;

  constructor(database: Database) {
    this.database = database;
  }

  get manager(): EntityManager {
    return this.database.manager;
  }

  /**
   * Runs `work` in one transaction, once for a request however often that comes; what it traces is
   * told to every process with the commit.
   */
  async write<T>(
    work: (manager: EntityManager, trace: (of: Trace) => Promise<void>) => Promise<T>,
  ): Promise<T> {
    return this.run(work, takeIdentity());
  }

  /** As `write`, of what is secret: nothing of it is kept for a request that comes again. */
  async writeSecret<T>(
    work: (manager: EntityManager, trace: (of: Trace) => Promise<void>) => Promise<T>,
  ): Promise<T> {
    return this.run(work, undefined);
  }

  private async run<T>(
    work: (manager: EntityManager, trace: (of: Trace) => Promise<void>) => Promise<T>,
    identity: RequestIdentity | undefined,
  ): Promise<T> {
    const acting = actingNow();
    const result = await this.database.transaction((manager) => {
      const traced = () =>
        work(manager, async (of: Trace) => {
          await manager.insert(EventTable, {
            id: newId(),
            at: new Date(),
            aggregateVersion: 1,
            signedInId: acting?.painterId ?? null,
            touchedById: acting?.touchedById ?? null,
            ...of,
          } as never);
          await tellOf(manager, { type: of.aggregateType, id: of.aggregateId });
        });
      return identity ? oncePerRequest(manager, identity, traced) : traced();
    });
    noteCommitted();
    return result;
  }
}

/**
 * Changes a row only if it still has the version the edit was made from.
 * @throws VersionClash with both sides when it has another, NotFound when it is not there
 */
export async function changeVersioned<Row extends ObjectLiteral & { id: string; version: number }>(
  manager: EntityManager,
  table: EntitySchema<Row>,
  of: {
    what: string;
    id: string;
    version: number;
    changes: object;
    mine: unknown;
    showTheirs?: (row: Row) => unknown;
  },
): Promise<void> {
  const result = await manager
    .createQueryBuilder()
    .update(table)
    .set(of.changes as never)
    .where('id = :id and version = :version', { id: of.id, version: of.version })
    .execute();
  if (result.affected === 1) return;
  const theirs = await manager.findOneBy(table, { id: of.id } as never);
  if (!theirs) throw new NotFound(`There is no ${of.what} ${of.id}.`);
  throw new VersionClash(`The ${of.what}`, of.mine, of.showTheirs ? of.showTheirs(theirs) : theirs);
}
