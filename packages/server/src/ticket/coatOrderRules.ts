/** What every step of a coat shares: it has its turn, its version and its trace. */
import { blockingCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import type { CoatState } from '@orthochrom/contract/shop/coat.ts';
import { In, IsNull, type EntityManager } from 'typeorm';
import { changeVersioned, type Trace } from '../event/ledger.ts';
import { OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { coatOf, NOTHING_ON } from './coatReader.ts';
import { ticketById } from './ticketReader.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';

type CoatEdit = {
  kind: string;
  version: number;
  painterId: string;
  changes: object;
  mine: unknown;
};

export async function changeCoat(
  manager: EntityManager,
  trace: (of: Trace) => Promise<void>,
  coat: CoatRow,
  { kind, version, painterId, changes, mine }: CoatEdit,
): Promise<void> {
  await changeVersioned(manager, CoatTable, {
    what: 'coat',
    id: coat.id,
    version,
    changes,
    mine,
    showTheirs: (row) => coatOf(row, NOTHING_ON),
  });
  await trace({
    shopId: await shopIdOf(manager),
    painterId,
    aggregateType: 'ticket',
    aggregateId: coat.ticketId,
    aggregateVersion: version + 1,
    kind,
    patch: { coatId: coat.id, ...(mine as object) },
  });
}

export function mustBe(coat: CoatRow, ...states: CoatState[]): void {
  if (!states.includes(coat.state))
    throw new OutOfTurn(`This coat is ${coat.state}; that comes at another time.`);
}

/** Earlier coats of the stage, and earlier stages, come first. */
export async function mustBeNext(manager: EntityManager, coat: CoatRow): Promise<void> {
  const ticket = await ticketById(manager, coat.ticketId);
  // A stage that was taken off the ticket takes its coats with it.
  const stageId = In(ticket.stages.map(({ id }) => id));
  const coats = await manager.findBy(CoatTable, { stageId, archivedAt: IsNull() });
  if (blockingCoat(ticket.stages, coats, coat))
    throw new OutOfTurn('The coat before this one has not passed its touch test yet.');
}
