/** How far a ticket is in its three phases: made ready, painted, finished. */
import type { TicketWhole } from '../shop/ticket.ts';
import { isOn } from './coatOrder.ts';
import { wantsCut } from './lookDue.ts';
import { isOpen, type PrepList } from './prepList.ts';

export const PHASES = ['prepare', 'paint', 'finish'] as const;
export type Phase = { phase: (typeof PHASES)[number]; done: number; of: number };

type Phased = Pick<TicketWhole, 'ticket' | 'coats' | 'works' | 'timers'>;

/** Steps of making ready, coats, then the look of the next day and what it found. */
export function phasesOf(whole: Phased, list: Pick<PrepList, 'steps'> | undefined): Phase[] {
  const { coats, timers } = whole;
  const steps = list?.steps ?? [];
  const looks = timers.filter(({ kind }) => kind === 'look');
  const cut = wantsCut(whole);
  const finished = [
    looks.some(({ confirmedAt }) => confirmedAt !== undefined),
    ...(cut ? [cut === 'done'] : []),
  ];
  return [
    { phase: 'prepare', done: steps.filter((step) => !isOpen(step)).length, of: steps.length },
    { phase: 'paint', done: coats.filter(isOn).length, of: coats.length },
    { phase: 'finish', done: finished.filter(Boolean).length, of: finished.length },
  ];
}
