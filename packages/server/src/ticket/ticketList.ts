/** Tickets in their list: all that are open, those that are done page by page. */
import type { Ticket, TicketQuery, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { EntityManager } from 'typeorm';
import { readTogether } from '../database/readTogether.ts';
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

const NEWEST_FIRST = 'created_at desc, id desc';
const DONE = `state <> 'open' and archived_at is null`;

/** With the timers that still run; newest first. */
export async function listedTickets(
  manager: EntityManager,
  { after }: TicketQuery,
): Promise<TicketList> {
  const { open, done } = await readTogether(
    manager,
    {
      open: {
        table: TicketTable,
        where: after ? 'false' : `state = 'open' and archived_at is null`,
        order: NEWEST_FIRST,
      },
      done: {
        table: TicketTable,
        where: after
          ? `${DONE} and (created_at, id) < (select created_at, id from ticket where id = $1)`
          : DONE,
        order: `${NEWEST_FIRST} limit ${PAGE_TICKETS}`,
      },
    },
    after ? [after] : [],
  );
  const rows = [...open, ...done].sort(newestFirst);
  const ids = rows.map(({ id }) => id);
  const { panels, stages, links } = await partsOf(manager, ids);
  const stageIds = stages.map(({ id }) => id);
  const { timers } = await readTogether(manager, { timers: RUNNING }, [ids]);
  const live = 'stage_id = any($1) and archived_at is null';
  const coats = await coatsWithoutPlan(manager, live, [stageIds]);
  return {
    tickets: rows.map((row) => ticketOf(row, panels, stages, links)),
    coats: coats.map((coat) => coatOf(coat, NOTHING_ON)),
    timers: timers.map(timerOf),
    sheets: await sheetNames(manager, stages),
    ...(done.length === PAGE_TICKETS ? { next: done.at(-1)!.id } : {}),
    serverNow: new Date().toISOString(),
  };
}

const RUNNING = {
  table: TimerTable,
  where: 'ticket_id = any($1) and confirmed_at is null and archived_at is null',
  order: 'due_at',
};

const sheetNames = (
  manager: EntityManager,
  stages: readonly { sheetVersionId: string }[],
): Promise<TicketList['sheets']> =>
  manager.query(`select id, body ->> 'name' as name from sheet_version where id = any($1)`, [
    [...new Set(stages.map(({ sheetVersionId }) => sheetVersionId))],
  ]);

const newestFirst = (a: TicketRow, b: TicketRow): number =>
  b.createdAt.getTime() - a.createdAt.getTime() || b.id.localeCompare(a.id);
