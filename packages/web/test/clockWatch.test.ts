/** Which clocks call on a device, and what its title says. */
import type { Timer } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { clocksOf, titleOf } from '../src/frame/clockWatch.ts';

const NOON = Date.parse('2026-11-29T12:00:00Z');
const timer = (id: string, dueInS: number, over: Partial<Timer> = {}): Timer => ({
  id,
  version: 1,
  ticketId: 't',
  kind: 'flash',
  startedAt: new Date(NOON - 600_000).toISOString(),
  dueAt: new Date(NOON + dueInS * 1000).toISOString(),
  test: '',
  ...over,
});
const OPENED = { openedMs: NOON - 60_000, heard: new Set<string>() };
const idsOf = (timers: Timer[]) => timers.map(({ id }) => id);

describe('a device', () => {
  it('waits for the soonest flash, and for nothing else', () => {
    const { running, ended } = clocksOf(
      [
        timer('late', 900),
        timer('soon', 61),
        timer('pot', 30, { kind: 'potLife' }),
        timer('touched', 20, { confirmedAt: '2026-11-29T11:00:00Z' }),
      ],
      NOON,
      OPENED,
    );
    expect(idsOf(running)).toEqual(['soon', 'late']);
    expect(ended).toEqual([]);
    expect(titleOf({ running, ended }, NOON)).toBe('2 min left · Orthochrom');
  });

  it('is called by what ends while it is open, until it was heard', () => {
    const timers = [timer('before', -61), timer('now', 0), timer('just', -59)];
    const clocks = clocksOf(timers, NOON, OPENED);
    expect(idsOf(clocks.ended)).toEqual(['just', 'now']);
    expect(titleOf(clocks, NOON)).toContain('Time is up');
    const heard = { ...OPENED, heard: new Set(['just', 'now']) };
    expect(clocksOf(timers, NOON, heard).ended).toEqual([]);
    expect(titleOf(clocksOf(timers, NOON, heard), NOON)).toBe('Orthochrom');
  });
});
