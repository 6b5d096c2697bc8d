/** The look of the next day: a clock that begins with the last coat, and what was seen then. */
import { afterCoat } from '@orthochrom/contract/plan/after.ts';
import { topCoat } from '@orthochrom/contract/plan/lookDue.ts';
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { LookedAgain, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { changeVersioned, type Ledger, type Trace } from '../event/ledger.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { changeCoat } from './coatOrderRules.ts';
import type { CoatRow } from './coatTables.ts';
import { coatRow } from './planReader.ts';
import { wholeTicket } from './ticketReader.ts';
import { TimerTable, type TimerRow } from './ticketTables.ts';

const MINUTE_MS = 60_000;

/**
 * Begun with the last coat of a ticket, put off by heat; one that was looked at stays so.
 * @param contextOf asked only where it is the last
 */
export async function keepLookAgain(
  manager: EntityManager,
  { id: coatId, ticketId }: Pick<CoatRow, 'id' | 'ticketId'>,
  contextOf: () => Promise<PlanContext & { whole: TicketWhole }>,
): Promise<void> {
  if (topCoat(await wholeTicket(manager, ticketId))?.id !== coatId) return;
  const context = await contextOf();
  const { whole } = context;
  const coat = topCoat(whole);
  if (!coat?.endedAt) return;
  const after = afterCoat(context, planCoat(context), coat, whole);
  if (!after) return;
  const endedMs = Date.parse(coat.endedAt);
  const at = (minute: number): Date => new Date(endedMs + minute * MINUTE_MS);
  const times = { dueAt: at(after.look.fromMinute), latestAt: at(after.look.toMinute) };
  const begun = await manager.findOneBy(TimerTable, { coatId, kind: 'look' });
  if (begun?.confirmedAt) return;
  if (begun) await manager.update(TimerTable, { id: begun.id }, times);
  else {
    // A coat more went over it: what lies on top is looked at, not what is under it.
    const under = { ticketId: whole.ticket.id, kind: 'look', confirmedAt: IsNull() };
    await manager.update(TimerTable, under, { archivedAt: new Date() });
    const row: Partial<TimerRow> = {
      id: newId(),
      ticketId: whole.ticket.id,
      coatId,
      kind: 'look',
      startedAt: new Date(endedMs),
      ...times,
      test: after.look.lookFor.join(', '),
    };
    await manager.insert(TimerTable, row as never);
  }
}

/**
 * What was seen goes to the coat: a fault there is settled like any other.
 * @throws OutOfTurn before the night is over
 */
export const lookedAgain = (
  ledger: Ledger,
  timerId: string,
  { version, painterId, seen, note }: z.infer<typeof LookedAgain>,
): Promise<string> =>
  ledger.write(async (manager, trace) => {
    const timer = await manager.findOneBy(TimerTable, { id: timerId });
    if (!timer) throw new NotFound(`There is no timer ${timerId}.`);
    if (timer.kind !== 'look' || !timer.coatId)
      throw BadInput.at(['id'], 'not-one-of', 'This clock is not one of a look.');
    const at = notedAt();
    if (at.getTime() < timer.dueAt.getTime())
      throw new OutOfTurn('Not yet: pops and sink show overnight.');
    if (seen.includes('nothing') && seen.length > 1)
      throw BadInput.at(['seen'], 'contradiction', 'Nothing was seen, and something was.');
    await changeVersioned(manager, TimerTable, {
      what: 'timer',
      id: timerId,
      version,
      changes: { confirmedAt: at, confirmedBy: painterId, tests: { seen, note } },
      mine: { seen, note },
    });
    const coat = await coatRow(manager, timer.coatId);
    const before = coat.seen.filter((one) => one !== 'nothing');
    const all = [...new Set([...before, ...seen])].filter(
      (one, _, list) => one !== 'nothing' || list.length === 1,
    );
    await changeCoat(manager, trace, coat, {
      kind: 'looked-again',
      version: coat.version,
      painterId,
      changes: { seen: all },
      mine: { seen, note },
    });
    return timer.ticketId;
  });

/** @throws OutOfTurn where a ticket is closed before its look, without a word why */
export async function mayBeClosed(
  manager: EntityManager,
  ticketId: string,
  told: { painterId: string; closedBecause: string | undefined },
  trace: (of: Trace) => Promise<void>,
  shopId: string,
): Promise<void> {
  const open = await manager.findOneBy(TimerTable, {
    ticketId,
    kind: 'look',
    confirmedAt: IsNull(),
    archivedAt: IsNull(),
  });
  if (!open) return;
  const why = told.closedBecause?.trim();
  if (!why)
    throw new OutOfTurn(
      'This job was not looked at again: pops and sink show overnight. Look first, or say in a word why it is closed without.',
    );
  await changeVersioned(manager, TimerTable, {
    what: 'timer',
    id: open.id,
    version: open.version,
    changes: { confirmedAt: notedAt(), confirmedBy: told.painterId, tests: { why } },
    mine: { why },
  });
  await trace({
    shopId,
    painterId: told.painterId,
    aggregateType: 'ticket',
    aggregateId: ticketId,
    kind: 'closed-unseen',
    patch: { why },
  });
}
