/** The shop's hours: the next moment within them, and the day that the board lays out. */
import {
  boardDay,
  minuteOfDay,
  USUAL_HOURS,
  whenOpen,
} from '@orthochrom/contract/plan/shopHours.ts';
import { ShopHours } from '@orthochrom/contract/shop/setup.ts';
import { describe, expect, it } from 'vitest';

const shop = { timeZone: 'Europe/London' };
const at = (iso: string): number => Date.parse(iso);

describe('when it is open', () => {
  it('is the same moment within the hours, else the next opening', () => {
    expect(whenOpen(at('2026-06-03T09:00:00Z'), shop)).toBe(at('2026-06-03T09:00:00Z'));
    expect(whenOpen(at('2026-06-03T03:00:00Z'), shop)).toBe(at('2026-06-03T07:00:00Z'));
    expect(whenOpen(at('2026-06-03T20:30:00Z'), shop)).toBe(at('2026-06-04T07:00:00Z'));
  });
  it('stands at the opening by the clock on the wall, over both changes of summer time', () => {
    for (const evening of [
      '2026-03-28T20:00:00Z',
      '2026-10-24T20:00:00Z',
      '2026-10-25T00:30:00Z',
    ]) {
      const open = whenOpen(at(evening), shop);
      expect(minuteOfDay(shop.timeZone, open)).toBe(USUAL_HOURS.opensMinute);
      expect(open).toBeGreaterThan(at(evening));
      expect(open - at(evening)).toBeLessThan(24 * 3_600_000);
    }
  });
});

describe('the day of the board', () => {
  it('is the rest of today until hardly any is left, then the next day from its opening', () => {
    const noon = boardDay(at('2026-01-14T12:00:00Z'), shop);
    expect(noon).toMatchObject({ startMinute: 720, closesMinute: 1080, isTomorrow: false });
    expect(boardDay(at('2026-01-14T17:29:00Z'), shop).isTomorrow).toBe(false);
    expect(boardDay(at('2026-01-14T17:30:00Z'), shop).isTomorrow).toBe(true);
    const night = boardDay(at('2026-01-14T18:00:00Z'), shop);
    expect(night).toMatchObject({
      nowMinute: 1080,
      startMinute: 1440 + 480,
      closesMinute: 1440 + 1080,
      breaks: [[1440 + 750, 1440 + 780]],
      isTomorrow: true,
    });
  });
});

// In the evening, and past midnight: once before the hands are put back.
const CLOSED = ['2026-06-03T20:00:00Z', '2026-06-03T23:06:00Z', '2026-10-25T00:06:00Z'];
it.each(['2026-03-28T20:00:00Z', '2026-10-24T20:00:00Z', ...CLOSED])(
  'begins at the opening on the wall, whatever the clocks do over night: %s',
  (evening) => {
    const { nowMinute, startMinute, closesMinute, breaks } = boardDay(at(evening), shop);
    const wall = (minute: number) =>
      minuteOfDay(shop.timeZone, at(evening) + (minute - nowMinute) * 60_000);
    expect(wall(startMinute)).toBe(USUAL_HOURS.opensMinute);
    expect(wall(closesMinute)).toBe(USUAL_HOURS.closesMinute);
    expect(breaks.map(([from, to]) => [wall(from), wall(to)])).toEqual(USUAL_HOURS.breaks);
  },
);

it('hours that end before they begin, or a break outside them, are refused where they stand', () => {
  const refused = (hours: object) =>
    ShopHours.safeParse({ ...USUAL_HOURS, ...hours }).error?.issues.map(({ path }) =>
      path.join('.'),
    );
  expect(refused({ closesMinute: 400, breaks: [] })).toEqual(['closesMinute']);
  expect(refused({ breaks: [[1000, 1200]] })).toEqual(['breaks.0']);
  expect(refused({})).toBeUndefined();
});
