/** What may not be done before when, of every job whose last coat is on: tape, polish, keys. */
import { CURE_DATES, type CureDate } from '@orthochrom/core/cure/cure.ts';
import type { AirNow } from '../shop/air.ts';
import type { TicketWhole } from '../shop/ticket.ts';
import { afterCoat } from './after.ts';
import { contextOf, isMissing, type Sources } from './contextOf.ts';
import { topCoat } from './lookDue.ts';
import { planCoat } from './planCoat.ts';

export type DayMark = { ticketId: string; job: string; what: CureDate; atMs: number };
type Shop = Pick<Sources, 'setup' | 'latest'> & { airIn: (roomId: string) => AirNow | undefined };

/** Those still to come, the soonest in front; reckoned as the ticket itself reckons them. */
export function dayMarks(wholes: readonly TicketWhole[], shop: Shop, nowMs: number): DayMark[] {
  return wholes
    .flatMap((whole) => marksOf(whole, shop))
    .filter(({ atMs }) => atMs > nowMs)
    .sort((a, b) => a.atMs - b.atMs);
}

function marksOf(whole: TicketWhole, { setup, latest, airIn }: Shop): DayMark[] {
  const { ticket } = whole;
  const coat = topCoat(whole);
  const air = airIn(ticket.roomId);
  if (!coat?.endedAt || !air) return [];
  const context = contextOf({ whole, setup, latest, air }, coat, ticket.painterId, {});
  if (isMissing(context)) return [];
  const after = afterCoat(context, planCoat(context), coat, whole);
  if (!after) return [];
  const endedMs = Date.parse(coat.endedAt);
  return CURE_DATES.flatMap((what) => {
    const date = after[what];
    return date
      ? [
          {
            ticketId: ticket.id,
            job: `${ticket.number} ${ticket.vehicle}`,
            what,
            atMs: endedMs + date.value * 60_000,
          },
        ]
      : [];
  });
}
