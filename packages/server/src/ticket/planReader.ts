/**
 * Gathers from the rows what the plan of one coat is worked out from; assembling and working out
 * are the contract's.
 */
import {
  contextOf,
  isMissing,
  type CoatAsked,
  type Missing,
  type Wishes,
} from '@orthochrom/contract/plan/contextOf.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { EntityManager } from 'typeorm';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { BadInput, NotFound } from '../http/faults.ts';
import { latestSheets } from '../sheet/sheetLedger.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { wholeTicket } from './ticketReader.ts';
import { CoatTable, type CoatRow } from './coatTables.ts';

export async function coatRow(manager: EntityManager, coatId: string): Promise<CoatRow> {
  const row = await manager.findOneBy(CoatTable, { id: coatId });
  if (!row) throw new NotFound(`There is no coat ${coatId}.`);
  return row;
}

/** What was asked for and is not there, as the request's own fault or as a broken ticket. */
function refused({ missing }: Missing): Error {
  if (missing === 'painterId' || missing === 'gunId' || missing === 'cupId')
    return BadInput.at(
      [missing],
      'not-one-of',
      `The shop has no such ${missing.replace('Id', '')}.`,
    );
  return new NotFound(
    missing === 'stage'
      ? 'The stage of this coat is no longer on the ticket.'
      : 'The sheet or the room of this ticket is missing.',
  );
}

/** @throws BadInput for a painter, gun or cup that the shop does not have */
export async function planContextOf(
  manager: EntityManager,
  probe: StandInProbe,
  coat: CoatRow,
  { painterId, ...wishes }: Wishes & { painterId: string },
): Promise<PlanContext & { sheetVersionIds: string[]; whole: TicketWhole; timeZone: string }> {
  const [whole, setup, latest] = [
    await wholeTicket(manager, coat.ticketId),
    await shopSetup(manager),
    await latestSheets(manager),
  ];
  const air = await airNow(manager, probe, whole.ticket.roomId);
  const context = contextOf({ whole, setup, latest, air }, askedOf(coat), painterId, wishes);
  if (isMissing(context)) throw refused(context);
  const companions = [...(context.sheet.grades ?? []), ...(context.sheet.hardeners ?? [])];
  return {
    ...context,
    whole,
    timeZone: setup.shop.timeZone,
    sheetVersionIds: [
      context.stage.sheetVersionId,
      ...latest.filter(({ sheet }) => companions.includes(sheet.id)).map(({ id }) => id),
    ],
  };
}

const askedOf = ({
  stageId,
  ordinal,
  state,
  overrides,
  planned,
  gunId,
  done,
}: CoatRow): CoatAsked => ({
  stageId,
  ordinal,
  state: state as Coat['state'],
  overrides,
  done,
  ...(planned ? { planned } : {}),
  ...(gunId ? { gunId } : {}),
});
