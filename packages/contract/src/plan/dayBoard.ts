/** The open tickets of a shop as one day asks after them: what is left, in which room, by whom. */
import type { InputOf } from '../registry.ts';
import type { DayAhead } from '../shop/air.ts';
import type { Painter, Room, StoredGun } from '../shop/setup.ts';
import type { SheetVersion, StagePlan, TicketWhole } from '../shop/ticket.ts';
import { LAYER_WORDS } from '../words/faultWords.ts';
import { isOn } from './coatOrder.ts';
import { openLook, wantsCut } from './lookDue.ts';
import { sprayMinutes } from './panels.ts';
import { recipeOf } from './planContext.ts';
import { openBefore, prepList } from './prepList.ts';
import { layerOf } from './recoatInputs.ts';

type Job = InputOf<'day'>['jobs'][number];
type Stage = Job['stages'][number];
export type DayShop = {
  rooms: readonly Room[];
  painters: readonly Painter[];
  guns: readonly StoredGun[];
};
/** Minutes of the shop's day. */
export type DayTimes = {
  nowMs: number;
  /** The minute that it is now, and the one at which the board begins. */
  nowMinute: number;
  startMinute: number;
  closesMinute: number;
  breaks: [number, number][];
  /** The day of the board in the shop, as a date. */
  date: string;
};

const MINUTE_MS = 60_000;
/** Of a step of making ready that is still open: a practice, not a measurement. */
const PREP_STEP_MINUTES = 4;
const LONGEST_NAME = 60;

/** "base", and "base 2" where a ticket has two of a kind. */
function stageName(stages: readonly StagePlan[], at: number): string {
  const { kind } = stages[at]!;
  const before = stages.slice(0, at).filter((stage) => stage.kind === kind).length;
  return before > 0 ? `${LAYER_WORDS[kind]} ${before + 1}` : LAYER_WORDS[kind];
}

function prepMinutesOf(
  whole: TicketWhole,
  stage: StagePlan,
  where: { room: Room; painter: Painter; nowMs: number },
): number {
  const list = prepList(whole, where);
  return list ? PREP_STEP_MINUTES * openBefore(whole, list, stage.id).length : 0;
}

/** Nothing of it is left to spray. */
const isAllOn = ({ coats }: Pick<TicketWhole, 'coats'>): boolean =>
  coats.length > 0 && coats.every((coat) => isOn(coat) || coat.state === 'sprayed');

/** Along it in every light; a nib or two, and polishing: a practice, not a measurement. */
const LOOK_MINUTES = 10;
const FINISH_MINUTES = 45;

/** What is still to be done by hand once all is on: the look of the next day, and what it found. */
function afterTasks(
  whole: TicketWhole,
  { nowMs, nowMinute, closesMinute }: DayTimes,
): NonNullable<Job['after']> {
  const minuteOf = (at: string): number => nowMinute + (Date.parse(at) - nowMs) / MINUTE_MS;
  const look = openLook(whole.timers);
  if (look) {
    const fromMinute = Math.max(nowMinute, minuteOf(look.dueAt));
    return fromMinute < closesMinute ? [{ kind: 'look', minutes: LOOK_MINUTES, fromMinute }] : [];
  }
  return wantsCut(whole) === 'open'
    ? [{ kind: 'finish', minutes: FINISH_MINUTES, fromMinute: nowMinute }]
    : [];
}

/** Undefined where its room, its painter or a sheet of it is missing. */
function jobOf(whole: TicketWhole, shop: DayShop, times: DayTimes): Job | undefined {
  const { ticket, coats, sheets } = whole;
  const room = shop.rooms.find(({ id }) => id === ticket.roomId);
  const painter = shop.painters.find(({ id }) => id === ticket.painterId);
  if (!room || !painter) return undefined;
  const stages = ticket.stages.map((stage, at): Stage | undefined => {
    const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
    if (!sheet) return undefined;
    const own = coats.filter(({ stageId }) => stageId === stage.id);
    const coatsOn = own.filter((coat) => isOn(coat) || coat.state === 'sprayed').length;
    const gun = shop.guns.find(({ id }) => id === stage.gunId)?.name;
    const { potLife, times: sheetTimes } = recipeOf({ sheet, stage });
    const layer = layerOf({ sheet, stage });
    const prepMinutes =
      coatsOn === 0 ? prepMinutesOf(whole, stage, { room, painter, nowMs: times.nowMs }) : 0;
    return {
      ...layer,
      name: stageName(ticket.stages, at),
      sheet: sheetTimes,
      coats: own.length,
      coatsOn,
      spraySeconds: 60 * Math.max(2, sprayMinutes({ ticket, stage })),
      prepMinutes,
      ...(gun ? { gun } : {}),
      ...(potLife ? { potLife } : {}),
      ...(stage.finish ? { finish: stage.finish } : {}),
    };
  });
  if (!stages.every((stage) => stage !== undefined)) return undefined;
  const lastMs = Math.max(...coats.map(({ endedAt }) => (endedAt ? Date.parse(endedAt) : 0)));
  const coatedMinute = times.nowMinute - (times.nowMs - lastMs) / MINUTE_MS;
  return {
    name: `${ticket.number} ${ticket.vehicle}`.slice(0, LONGEST_NAME),
    room: room.name,
    painter: painter.name,
    stages,
    panels: ticket.panels.map(({ name, areaM2 }) => ({ name, areaM2 })),
    jobSize: ticket.jobSize,
    ...(lastMs > 0 ? { coatedMinute: Math.max(coatedMinute, LONG_AGO_MINUTE) } : {}),
    ...deadlineOf(ticket.dueOn, times),
    ...(isAllOn(whole) ? { after: afterTasks(whole, times) } : {}),
  };
}
/** Paint of last week waits for nothing any more. */
const LONG_AGO_MINUTE = -20_000;

/** Wanted today: by closing; wanted before: it is late as it is. */
function deadlineOf(
  dueOn: string | undefined,
  { date, startMinute, closesMinute }: DayTimes,
): { deadlineMinute?: number } {
  if (!dueOn || dueOn > date) return {};
  return { deadlineMinute: dueOn === date ? closesMinute : startMinute };
}

/** What the day is asked; tickets with nothing left to do on it are not on it. */
export function dayInput(
  wholes: readonly TicketWhole[],
  shop: DayShop,
  days: readonly DayAhead[],
  latest: readonly SheetVersion[],
  times: DayTimes,
): InputOf<'day'> {
  const jobs = wholes
    .flatMap((whole) => jobOf(whole, shop, times) ?? [])
    .filter(({ after }) => after === undefined || after.length > 0)
    .sort((a, b) => (a.deadlineMinute ?? Infinity) - (b.deadlineMinute ?? Infinity) || 0);
  const used = shop.rooms.filter(({ name }) => jobs.some(({ room }) => room === name));
  const dayIn = (room: Room) => days.find(({ roomId }) => roomId === room.id) ?? days[0]!;
  const grades = latest.flatMap(({ sheet }) =>
    sheet.kind === 'reducer' && sheet.grade ? [sheet.grade] : [],
  );
  const sunriseMinute = days[0]?.sunriseMinute;
  return {
    jobs,
    forecasts: Object.fromEntries(used.map((room) => [room.name, dayIn(room).forecast])),
    startMinute: times.startMinute,
    closesMinute: Math.max(times.startMinute, times.closesMinute),
    breaks: times.breaks,
    ...(grades.length > 0 ? { grades } : {}),
    ...(sunriseMinute === undefined ? {} : { sunriseMinute }),
    heatedRooms: used.filter(({ heated }) => heated).map(({ name }) => name),
  };
}
