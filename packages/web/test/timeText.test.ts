/** How moments read: what is not done has no time; a day is "yesterday" after 24 hours. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  agoText,
  dayText,
  goByZone,
  timeText,
  weekdayTimeText,
  whenText,
} from '../src/words/timeText.ts';

const HOUR_MS = 3_600_000;
const NOW_MS = Date.UTC(2026, 10, 29, 9, 30);
const ago = (hours: number) => agoText(new Date(NOW_MS - hours * HOUR_MS).toISOString(), NOW_MS);

describe('a moment in words', () => {
  it('of what was not done is empty', () => {
    expect(whenText(undefined)).toBe('');
    expect(whenText(new Date(NOW_MS).toISOString())).toContain(timeText(NOW_MS));
  });
  it('goes from today to yesterday to days to a date', () => {
    expect([ago(23), ago(24), ago(47), ago(48), ago(59 * 24)]).toEqual([
      'today',
      'yesterday',
      'yesterday',
      '2 days ago',
      '59 days ago',
    ]);
    expect(ago(60 * 24)).toBe(dayText(NOW_MS - 60 * 24 * HOUR_MS));
  });
  it('reads alike from a number, a date and its text', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4e12 }), (atMs) => {
        const at = new Date(atMs);
        return new Set([timeText(atMs), timeText(at), timeText(at.toISOString())]).size === 1;
      }),
    );
  });
  it('goes by the clock of the shop, whatever zone the tablet thinks it is in', () => {
    goByZone('Pacific/Auckland');
    expect([timeText(NOW_MS), weekdayTimeText(NOW_MS)]).toEqual(['22:30', 'Sun 22:30']);
    goByZone('America/St_Johns');
    expect(timeText(NOW_MS)).toBe('06:00');
  });
});
