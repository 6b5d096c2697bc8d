/** The day as a calendar file: what is mixed, sprayed and heated, and what closes when. */
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import type { DayMark } from '@orthochrom/contract/plan/dayMarks.ts';
import { AFTER_NAME } from '../words/afterWords.ts';
import type { DayAnswer } from './boardLayout.ts';

const KIND: Record<string, string> = {
  prep: 'make ready',
  mix: 'mix',
  spray: 'spray',
  bake: 'heat',
  look: 'look again at',
  finish: 'cut and polish',
};
const utc = (ms: number): DateArray => {
  const at = new Date(ms);
  return [
    at.getUTCFullYear(),
    at.getUTCMonth() + 1,
    at.getUTCDate(),
    at.getUTCHours(),
    at.getUTCMinutes(),
  ];
};
const inUtc = { startInputType: 'utc', startOutputType: 'utc' } as const;

/** Every block that wants a hand or an oven, every window's end, and what may follow from when. */
export function calendarEvents(
  { blocks, windows }: Pick<DayAnswer, 'blocks' | 'windows'>,
  instant: (minute: number) => number,
  marks: readonly DayMark[] = [],
): EventAttributes[] {
  const worked = blocks
    .filter(({ kind }) => kind !== 'flash')
    .map(({ job, stage, coat, kind, painter, room, startMinute, endMinute }) => ({
      ...inUtc,
      endInputType: 'utc' as const,
      endOutputType: 'utc' as const,
      title: `${job}: ${KIND[kind]} ${stage}${coat === undefined ? '' : `, coat ${coat}`}`,
      start: utc(instant(startMinute)),
      end: utc(Math.max(instant(endMinute), instant(startMinute) + 60_000)),
      location: room,
      description: painter,
    }));
  const closing = windows.map(({ job, stage, closesMinute }) => ({
    ...inUtc,
    title: `${job}: the window over ${stage} closes`,
    start: utc(instant(closesMinute)),
    duration: { minutes: 5 },
  }));
  const from = marks.map(({ job, what, atMs }) => ({
    ...inUtc,
    title: `${job}: ${AFTER_NAME[what].toLowerCase()} from now on`,
    start: utc(atMs),
    duration: { minutes: 5 },
  }));
  return [...worked, ...closing, ...from];
}

/**
 * The file's text.
 * @throws Error where an event could not be written: nothing is left out in silence
 */
export function calendarText(events: EventAttributes[]): string {
  const { error, value } = createEvents(events, { productId: 'orthochrom', calName: 'Shop day' });
  if (error || !value) throw error ?? new Error('The calendar came out empty.');
  return value;
}
