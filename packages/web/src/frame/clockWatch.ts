/** What a device makes of the clocks that run: which end is next, which came while it was open. */
import type { Timer } from '@orthochrom/contract/shop/ticket.ts';

export type Clocks = {
  /** Still to wait, the soonest first. */
  running: Timer[];
  /** Over since this device was opened, and nobody has touched it yet. */
  ended: Timer[];
};

/**
 * A clock that was over before the device was opened calls nobody: it stands on Today and on its
 * ticket.
 */
export function clocksOf(
  timers: readonly Timer[],
  nowMs: number,
  { openedMs, heard }: { openedMs: number; heard: ReadonlySet<string> },
): Clocks {
  const flashes = timers
    .filter(({ kind, confirmedAt }) => kind === 'flash' && !confirmedAt)
    .sort((a, b) => Date.parse(a.dueAt) - Date.parse(b.dueAt));
  const dueMs = ({ dueAt }: Timer) => Date.parse(dueAt);
  return {
    running: flashes.filter((timer) => dueMs(timer) > nowMs),
    ended: flashes.filter(
      (timer) => dueMs(timer) <= nowMs && dueMs(timer) >= openedMs && !heard.has(timer.id),
    ),
  };
}

/** What the tab or the tablet's list of apps says. */
export function titleOf({ running, ended }: Clocks, nowMs: number): string {
  if (ended.length > 0) return 'Time is up: touch it · Orthochrom';
  const [next] = running;
  if (!next) return 'Orthochrom';
  const minutes = Math.ceil((Date.parse(next.dueAt) - nowMs) / 60_000);
  return `${minutes} min left · Orthochrom`;
}
