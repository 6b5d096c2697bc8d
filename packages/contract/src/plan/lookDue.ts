/** The look of the next day: which coat it is of, whether it is open, and what it is for. */
import type { Coat } from '../shop/coat.ts';
import type { TicketWhole, Timer } from '../shop/ticket.ts';
import { coatOrder } from './coatOrder.ts';

/** The coat that lies on top of all: what is handed over is looked at on it. */
export const topCoat = ({
  ticket,
  coats,
}: Pick<TicketWhole, 'ticket' | 'coats'>): Coat | undefined =>
  [...coats].sort(coatOrder(ticket.stages)).at(-1);

/** Still to be looked at, now or later. */
export const openLook = (timers: readonly Timer[]): Timer | undefined =>
  timers.find(({ kind, confirmedAt }) => kind === 'look' && !confirmedAt);

/** It may be looked at: before, pops and sink have not come up. */
export const isLookDue = ({ dueAt }: Pick<Timer, 'dueAt'>, nowMs: number): boolean =>
  Date.parse(dueAt) <= nowMs;

const CUT_BACK: ReadonlySet<string> = new Set(['dust', 'run', 'peel']);

/** Whether what was seen on top is to be cut and polished, or was; undefined where nothing is. */
export function wantsCut(
  whole: Pick<TicketWhole, 'ticket' | 'coats' | 'works'>,
): 'open' | 'done' | undefined {
  const top = topCoat(whole);
  if (!top?.seen.some((seen) => CUT_BACK.has(seen))) return undefined;
  const isCut = whole.works.some(({ coatId, kind }) => coatId === top.id && kind === 'polished');
  return isCut ? 'done' : 'open';
}
