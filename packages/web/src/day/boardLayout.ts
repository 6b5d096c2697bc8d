/** The board in pixels: a row a job, its rooms one under the other, over one clock. Pure. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { scaleLinear, type ScaleLinear } from 'd3';

export type DayAnswer = AnswerOf<'day'>;
export type BoardRow =
  | { kind: 'room'; room: string; yPx: number }
  | { kind: 'job'; job: string; room: string; yPx: number };
export type Board = {
  rows: BoardRow[];
  x: ScaleLinear<number, number>;
  heightPx: number;
  hours: number[];
};

export const ROW_PX = 49;
const ROOM_PX = 30;
const HEAD_PX = 28;
const LEAST_MINUTES = 120;

/** @param box the clock's part of the board; `leftPx` is what names the rows */
export function boardOf(
  { blocks, jobs, endMinute }: DayAnswer,
  roomOf: (job: string) => string,
  startMinute: number,
  box: { leftPx: number; widthPx: number; rightPx: number },
): Board {
  const rooms = [...new Set(jobs.map(({ job }) => roomOf(job)))].sort();
  const firstOf = (job: string): number =>
    blocks.find((block) => block.job === job)?.startMinute ?? Infinity;
  const rows: BoardRow[] = [];
  let yPx = HEAD_PX;
  for (const room of rooms) {
    rows.push({ kind: 'room', room, yPx });
    yPx += ROOM_PX;
    const own = jobs.map(({ job }) => job).filter((job) => roomOf(job) === room);
    for (const job of own.sort((a, b) => firstOf(a) - firstOf(b))) {
      rows.push({ kind: 'job', job, room, yPx });
      yPx += ROW_PX;
    }
  }
  const toMinute = Math.max(endMinute, startMinute + LEAST_MINUTES);
  const x = scaleLinear([startMinute, toMinute], [box.leftPx, box.widthPx - box.rightPx]);
  const every = toMinute - startMinute > 480 ? 120 : 60;
  const first = Math.ceil(startMinute / every) * every;
  const hours = Array.from(
    { length: Math.max(0, Math.floor((toMinute - first) / every) + 1) },
    (_, i) => first + i * every,
  );
  return { rows, x, heightPx: yPx + 8, hours };
}

/** The instant of a minute of the board, whatever the clocks do over night. */
export const instantOf = (minute: number, now: { minute: number; ms: number }): number =>
  now.ms + (minute - now.minute) * 60_000;
