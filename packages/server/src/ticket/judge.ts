/**
 * Asks the one judge before anything moves: the gate as it stands, then everything else, in the air
 * and at the clock of this moment.
 */
import { gateAbout, gateStateOf } from '@orthochrom/contract/plan/gateToday.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { standingFor, stopsIn, type Tap } from '@orthochrom/contract/plan/standing.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import { GateOpen, Stopped } from '../http/faults.ts';
import { stopsSaid } from './stopSaid.ts';
import type { CoatRow } from './coatTables.ts';

/** What a coat is judged by: its plan's context, and ticket and shop as they stand. */
type Judged = PlanContext & { whole: TicketWhole; timeZone: string };

/**
 * @throws GateOpen unless the newest answer for this stage, room and painter, given today and about
 * what is still so, passed
 */
export function mustHavePassedGate({ whole, timeZone, room, stage, sheet, painter }: Judged): void {
  const { state, changed } = gateStateOf(whole.gates, {
    stageId: stage.id,
    roomId: room.id,
    painterId: painter.id,
    nowMs: Date.now(),
    timeZone,
    about: gateAbout(room, stage, sheet),
  });
  if (state === 'passed') return;
  throw new GateOpen(
    state === 'changed'
      ? `The safety gate is open again: ${changed.join(', ')} changed since it was answered.`
      : 'The safety gate of this stage comes first: answer it for this room and painter, today.',
  );
}

/** @throws Stopped with every verdict that stands against this tap */
export const mustStandFree = (tap: Tap, coat: CoatRow, context: Judged, plan?: CoatPlan): void =>
  refuse(standingNow(tap, coat, context, plan), context);

/** Everything that is to be told before this tap, in this minute. */
export const standingNow = (
  tap: Tap,
  { id }: CoatRow,
  context: Judged,
  plan?: CoatPlan,
): WordedVerdict[] =>
  standingFor(
    tap,
    context.whole,
    context.whole.coats.find((coat) => coat.id === id)!,
    context,
    Date.now(),
    plan,
  );

/**
 * @throws Stopped with all of it, in the units of the painter who is stopped, when there is a stop
 * among it
 */
export function refuse(
  standing: WordedVerdict[],
  { painter }: { painter: Pick<Painter, 'units'> },
): void {
  const stops = stopsIn(standing);
  if (stops.length > 0) throw new Stopped(stopsSaid(stops, painter), standing);
}
