/** Tickets in their list: all that are open, those that are done page by page. */
import type { Ticket, TicketQuery, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { In, IsNull, type EntityManager } from 'typeorm';
import { coatOf, coatsWithoutPlan, NOTHING_ON } from './coatReader.ts';
import { partsOf, ticketOf, timerOf } from './ticketReader.ts';
import { TicketTable, TimerTable, type TicketRow } from './ticketTables.ts';

export const PAGE_TICKETS = 50;

export type TicketList = {
  tickets: Ticket[];
  coats: Coat[];
  timers: Timer[];
  sheets: { id: string; name: string }[];
  next?: string;
  serverNow: string;
};

/** With the timers that still run; newest first. */
export async function listedTickets(
  manager: EntityManager,
  { after }: TicketQuery,
): Promise<TicketList> {
  const done = await donePage(manager, after);
  const rows = [...(after ? [] : await openTickets(manager)), ...done].sort(newestFirst);
  const ids = rows.map(({ id }) => id);
  const { panels, stages, links } = await partsOf(manager, ids);
  const timers = await manager.find(TimerTable, {
    where: { ticketId: In(ids), confirmedAt: IsNull(), archivedAt: IsNull() },
    order: { dueAt: 'ASC' },
  });
  const coats = await coatsWithoutPlan(manager, {
    stageId: In(stages.map(({ id }) => id)),
    archivedAt: IsNull(),
  });
  return {
    tickets: rows.map((row) => ticketOf(row, panels, stages, links)),
    coats: coats.map((coat) => coatOf(coat, NOTHING_ON)),
    timers: timers.map(timerOf),
    sheets: await sheetNames(manager, stages),
    ...(done.length === PAGE_TICKETS ? { next: done.at(-1)!.id } : {}),
    serverNow: new Date().toISOString(),
  };
}

const sheetNames = (
  manager: EntityManager,
  stages: readonly { sheetVersionId: string }[],
): Promise<TicketList['sheets']> =>
  manager.query(`select id, body ->> 'name' as name from sheet_version where id = any($1)`, [
    [...new Set(stages.map(({ sheetVersionId }) => sheetVersionId))],
  ]);

const newestFirst = (a: TicketRow, b: TicketRow): number =>
  b.createdAt.getTime() - a.createdAt.getTime() || b.id.localeCompare(a.id);

const inList = (manager: EntityManager) =>
  manager
    .createQueryBuilder(TicketTable, 't')
    .where('t.archived_at IS NULL')
    .orderBy('t.createdAt', 'DESC')
    .addOrderBy('t.id', 'DESC');

const openTickets = (manager: EntityManager): Promise<TicketRow[]> =>
  inList(manager).andWhere(`t.state = 'open'`).getMany();

function donePage(manager: EntityManager, after: string | undefined): Promise<TicketRow[]> {
  const query = inList(manager).andWhere(`t.state <> 'open'`).limit(PAGE_TICKETS);
  if (after)
    query.andWhere('(t.created_at, t.id) < (select created_at, id from ticket where id = :after)', {
      after,
    });
  return query.getMany();
}
