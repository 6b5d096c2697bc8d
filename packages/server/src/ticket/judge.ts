/** Asks the one judge before anything moves: the gate as it stands, then everything else, in the air and at the clock of this moment. */
import { gateAbout, gateStateOf } from '@orthochrom/contract/plan/gateToday.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { standingFor, stopsIn, type Tap } from '@orthochrom/contract/plan/standing.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import type { EntityManager } from 'typeorm';
import { GateOpen, Stopped } from '../http/faults.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { stopsSaid } from './stopSaid.ts';
import { wholeTicket } from './ticketReader.ts';
import type { CoatRow } from './ticketTables.ts';

/** @throws GateOpen unless the newest answer for this stage, room and painter, given today and about what is still so, passed */
export async function mustHavePassedGate(
  manager: EntityManager,
  of: { ticketId: string; stageId: string; painterId: string },
): Promise<void> {
  const whole = await wholeTicket(manager, of.ticketId);
  const { shop, rooms } = await shopSetup(manager);
  const stage = whole.ticket.stages.find(({ id }) => id === of.stageId);
  const sheet = whole.sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  const room = rooms.find(({ id }) => id === whole.ticket.roomId);
  if (!stage || !sheet || !room) throw new GateOpen('The stage, the sheet or the room of this gate is no longer there.');
  const { state, changed } = gateStateOf(whole.gates, {
    stageId: stage.id,
    roomId: room.id,
    painterId: of.painterId,
    nowMs: Date.now(),
    timeZone: shop.timeZone,
    about: gateAbout(room, stage, sheet),
  });
  if (state === 'passed') return;
  throw new GateOpen(
    state === 'changed'
      ? `The safety gate is open again: ${changed.join(', ')} changed since it was answered.`
      : 'The safety gate of this stage comes first: answer it for this room and painter, today.',
  );
}

/** What a coat is judged by: its plan's context, and the ticket as it stands. */
type Judged = PlanContext & { whole: TicketWhole };

/** @throws Stopped with every verdict that stands against this tap */
export const mustStandFree = (tap: Tap, coat: CoatRow, context: Judged, plan?: CoatPlan): void =>
  refuse(standingNow(tap, coat, context, plan), context);

/** Everything that is to be told before this tap, in this minute. */
export const standingNow = (tap: Tap, { id }: CoatRow, context: Judged, plan?: CoatPlan): WordedVerdict[] =>
  standingFor(
    tap,
    context.whole,
    context.whole.coats.find((coat) => coat.id === id)!,
    context,
    Date.now(),
    plan,
  );

/** @throws Stopped with all of it, in the units of the painter who is stopped, when there is a stop among it */
export function refuse(standing: WordedVerdict[], { painter }: { painter: Pick<Painter, 'units'> }): void {
  const stops = stopsIn(standing);
  if (stops.length > 0) throw new Stopped(stopsSaid(stops, painter), standing);
}
