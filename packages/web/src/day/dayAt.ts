/** What the board of a day is laid out from, at this minute of the shop. Pure. */
import { dayInput } from '@orthochrom/contract/plan/dayBoard.ts';
import { dayMarks, type DayMark } from '@orthochrom/contract/plan/dayMarks.ts';
import { boardDay, dateIn, hoursOf } from '@orthochrom/contract/plan/shopHours.ts';
import { LONGEST_LIST } from '@orthochrom/contract/quantity/fields.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import type { AirNow, DayAhead } from '@orthochrom/contract/shop/air.ts';
import type { ShopHours, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { instantOf } from './boardLayout.ts';

type Read = {
  air: { rooms: AirNow[]; days: DayAhead[] };
  setup: ShopSetup;
  sheets: SheetVersion[];
  wholes: TicketWhole[];
};
export type Day = {
  board: ReturnType<typeof boardDay>;
  hours: ShopHours;
  input: InputOf<'day'>;
  /** As many as are asked at once: those wanted soonest. */
  asked: InputOf<'day'>;
  marks: DayMark[];
};

/** A day's air so many minutes later, none of it before midnight. */
const moved = (day: DayAhead, minutes: number): DayAhead => ({
  ...day,
  sunriseMinute: Math.max(0, day.sunriseMinute + minutes),
  forecast: day.forecast
    .map((point) => ({ ...point, minute: point.minute + minutes }))
    .filter(({ minute }) => minute >= 0),
});

export function dayAt({ air, setup, sheets, wholes }: Read, nowMs: number): Day {
  const board = boardDay(nowMs, setup.shop);
  // A stand-in plays another hour of its day: its air is moved to the shop's own clock.
  const standIn = air.rooms.find(({ standIn: played }) => played)?.standIn;
  const shift = standIn ? board.nowMinute - Math.floor(standIn.minute) : 0;
  const days = air.days.map((day) => moved(day, shift));
  const startMs = instantOf(board.startMinute, { minute: board.nowMinute, ms: nowMs });
  const date = dateIn(setup.shop.timeZone, startMs);
  const input = dayInput(wholes, setup, days, sheets, { ...board, nowMs, date });
  const airIn = (roomId: string) => air.rooms.find((room) => room.roomId === roomId);
  return {
    board,
    hours: hoursOf(setup.shop),
    input,
    asked: { ...input, jobs: input.jobs.slice(0, LONGEST_LIST) },
    marks: dayMarks(wholes, { setup, latest: sheets, airIn }, nowMs),
  };
}
