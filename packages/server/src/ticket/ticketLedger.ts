/** Making and editing tickets; their panels and stages are put in line with them. */
import type { TicketCreate, TicketEdit } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { ShopTable } from '../shop/shopTables.ts';
import { mayBeClosed } from './lookAgainLedger.ts';
import { ticketById } from './ticketReader.ts';
import { writeShape } from './ticketShape.ts';
import { TicketTable, type TicketRow } from './ticketTables.ts';

/** What is not told any more is taken back. */
const NO_TICKET_WORD = {
  dueOn: null,
  timing: null,
  strongSun: null,
} satisfies Partial<TicketRow>;

export const createTicket = (ledger: Ledger, ticket: TicketCreate): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    const number = await nextTicketNumber(manager, shopId);
    const { panels, stages, ...columns } = ticket;
    await insertNew(manager, TicketTable, {
      ...NO_TICKET_WORD,
      ...columns,
      number,
      shopId,
      state: 'open',
    } as TicketRow);
    await writeShape(manager, ticket.id, { panels, stages });
    await trace({
      shopId,
      painterId: ticket.painterId,
      aggregateType: 'ticket',
      aggregateId: ticket.id,
      kind: 'opened',
      patch: ticket,
    });
  });

async function nextTicketNumber(manager: EntityManager, shopId: string): Promise<string> {
  const shop = await manager.findOneOrFail(ShopTable, {
    where: { id: shopId },
    lock: { mode: 'pessimistic_write' },
  });
  await manager.increment(ShopTable, { id: shopId }, 'nextTicketNo', 1);
  return `${shop.ticketPrefix}-${String(shop.nextTicketNo).padStart(4, '0')}`;
}

export const changeTicket = (
  ledger: Ledger,
  id: string,
  { version, panels, stages, closedBecause, ...told }: TicketEdit,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const theirs = await ticketById(manager, id);
    const { painterId } = told;
    if (told.state === 'done' && theirs.state === 'open')
      await mayBeClosed(manager, id, { painterId, closedBecause }, trace, await shopIdOf(manager));
    const columns = { ...NO_TICKET_WORD, ...told };
    await changeVersioned(manager, TicketTable, {
      what: 'ticket',
      id,
      version,
      changes: columns,
      mine: { ...columns, panels, stages },
      showTheirs: () => theirs,
    });
    await writeShape(manager, id, { panels, stages });
    await trace({
      shopId: await shopIdOf(manager),
      painterId: columns.painterId,
      aggregateType: 'ticket',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: { ...columns, panels, stages },
    });
  });
