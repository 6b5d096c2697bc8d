/** When the shop works: its own hours, or the usual ones; and the next moment within them. */
import type { Shop, ShopHours } from '../shop/setup.ts';

const HOUR = 60;
const DAY_MINUTES = 1440;
const MINUTE_MS = 60_000;
/** Until the shop says otherwise. */
export const USUAL_HOURS: ShopHours = {
  opensMinute: 8 * HOUR,
  closesMinute: 18 * HOUR,
  breaks: [[12.5 * HOUR, 13 * HOUR]],
};

export const hoursOf = ({ hours }: Pick<Shop, 'hours'>): ShopHours => hours ?? USUAL_HOURS;

type Clock = { date: Intl.DateTimeFormat; time: Intl.DateTimeFormat };
/** To make one costs a hundred times what it says; a shop has one zone. */
const CLOCKS = new Map<string, Clock>();
function clockOf(timeZone: string): Clock {
  const known = CLOCKS.get(timeZone);
  if (known) return known;
  const clock = {
    date: new Intl.DateTimeFormat('en-CA', { timeZone }),
    time: new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }),
  };
  CLOCKS.set(timeZone, clock);
  return clock;
}

/** Minutes since midnight in the shop, by a clock that may not be its own. */
export function minuteOfDay(timeZone: string, nowMs: number): number {
  const [hour = '0', minute = '0'] = clockOf(timeZone).time.format(nowMs).split(':');
  return Number(hour) * HOUR + Number(minute);
}

/** The day of a moment in the shop, as a date. */
export const dateIn = (timeZone: string, atMs: number): string =>
  clockOf(timeZone).date.format(atMs);

/** The same moment where the shop is open then, else when it opens next. */
export function whenOpen(atMs: number, shop: Pick<Shop, 'hours' | 'timeZone'>): number {
  const { opensMinute, closesMinute } = hoursOf(shop);
  const minute = minuteOfDay(shop.timeZone, atMs);
  if (minute >= opensMinute && minute < closesMinute) return atMs;
  const wait = minute < opensMinute ? opensMinute - minute : DAY_MINUTES - minute + opensMinute;
  const guess = atMs + wait * MINUTE_MS;
  // Over a change of summer time the clock is an hour off: the hands are put right, not the wait.
  const off = minuteOfDay(shop.timeZone, guess) - opensMinute;
  return guess - (Math.abs(off) <= 2 * HOUR ? off * MINUTE_MS : 0);
}

/** With less than this nothing is begun any more. */
const LEAST_LEFT_MINUTES = 30;

/**
 * What the board lays out: the rest of today, today from its opening before that, or the next day
 * once hardly anything is left.
 */
export function boardDay(
  nowMs: number,
  shop: Pick<Shop, 'hours' | 'timeZone'>,
): {
  nowMinute: number;
  startMinute: number;
  closesMinute: number;
  breaks: [number, number][];
  isTomorrow: boolean;
} {
  const { opensMinute, closesMinute, breaks } = hoursOf(shop);
  const nowMinute = minuteOfDay(shop.timeZone, nowMs);
  const isTomorrow = nowMinute >= closesMinute - LEAST_LEFT_MINUTES;
  // By the next opening on the wall: over a change of summer time the night is an hour off.
  const closedMs = nowMs + Math.max(0, closesMinute - nowMinute) * MINUTE_MS;
  const opensMs = whenOpen(isTomorrow ? closedMs : nowMs, shop);
  const opensInMinutes = Math.round((opensMs - nowMs) / MINUTE_MS);
  const later = opensInMinutes > 0 ? nowMinute + opensInMinutes - opensMinute : 0;
  return {
    nowMinute,
    startMinute: nowMinute + opensInMinutes,
    closesMinute: later + closesMinute,
    breaks: breaks.map(([from, to]) => [later + from, later + to]),
    isTomorrow,
  };
}
