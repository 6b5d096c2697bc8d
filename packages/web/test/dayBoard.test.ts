/** The board of a day: every job a row in its room, every block on its clock, a calendar of it. */
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { dayCalculation } from '@orthochrom/contract/calculations/day.ts';
import { describe, expect, it } from 'vitest';
import { boardOf, instantOf } from '../src/day/boardLayout.ts';
import { calendarEvents, calendarText } from '../src/day/calendar.ts';
import { minuteOfDay } from '@orthochrom/contract/plan/shopHours.ts';

const FORECAST = [
  { minute: 420, airTemperatureC: 20, relativeHumidityPercent: 50, panelTemperatureC: 20 },
  { minute: 1080, airTemperatureC: 22, relativeHumidityPercent: 50, panelTemperatureC: 21 },
];
const stage = {
  name: 'base',
  stage: 'base' as const,
  carrier: 'solvent' as const,
  coats: 2,
  spraySeconds: 300,
  sheet: {
    atC: 20,
    flashMinutes: 12,
    minFlashMinutes: 6,
    toNextMinutes: 20,
    maxRecoatMinutes: 240,
  },
};
const clear = { ...stage, name: 'clear', stage: 'clear' as const, prepMinutes: 20 };
const job = (name: string, room: string) => ({
  name,
  room,
  painter: 'Nell',
  stages: [stage, clear],
  panels: [{ name: 'hood', areaM2: 1.3 }],
});
const answer = ask(dayCalculation, {
  jobs: [job('SW-2 van', 'Loft'), job('SW-1 door', 'Booth'), job('SW-3 roof', 'Booth')],
  forecasts: { Loft: FORECAST, Booth: FORECAST },
  startMinute: 480,
  closesMinute: 1080,
});
const roomOf = (name: string): string => (name === 'SW-2 van' ? 'Loft' : 'Booth');

describe('the board', () => {
  const board = boardOf(answer, roomOf, 480, { leftPx: 10, widthPx: 900, rightPx: 20 });
  it('has every job once, under its own room, none on another', () => {
    const jobs = board.rows.flatMap((row) => (row.kind === 'job' ? [row] : []));
    expect(jobs.map(({ job: name }) => name).sort()).toEqual([
      'SW-1 door',
      'SW-2 van',
      'SW-3 roof',
    ]);
    for (const { job: name, room } of jobs) expect(room).toBe(roomOf(name));
    const tops = board.rows.map(({ yPx }) => yPx);
    expect([...tops].sort((a, b) => a - b)).toEqual(tops);
    expect(Math.max(...tops)).toBeLessThan(board.heightPx);
  });
  it('holds every block between its edges, and whole hours', () => {
    for (const { startMinute, endMinute } of answer.blocks) {
      expect(board.x(startMinute)).toBeGreaterThanOrEqual(10);
      expect(board.x(endMinute)).toBeLessThanOrEqual(880.001);
    }
    for (const hour of board.hours) expect(hour % 60).toBe(0);
  });
});

describe('the clock', () => {
  it('goes on over midnight and over a change of summer time by what really passes', () => {
    // Half past midnight before the clocks go forward in London.
    const ms = Date.parse('2026-03-29T00:30:00Z');
    const at = instantOf(150, { minute: minuteOfDay('Europe/London', ms), ms });
    expect(at - ms).toBe(120 * 60_000);
    expect(minuteOfDay('Europe/London', at)).toBe(210);
  });
});

describe('the calendar file', () => {
  const from = Date.parse('2026-06-01T08:00:00Z');
  const events = calendarEvents(answer, (minute) => from + (minute - 480) * 60_000);
  it('has what wants a hand and what closes, at its own instant', () => {
    const byHand = answer.blocks.filter(({ kind }) => kind !== 'flash');
    expect(events).toHaveLength(byHand.length + answer.windows.length);
    expect(answer.windows.length).toBeGreaterThan(0);
    const text = calendarText(events);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(events.length);
    expect(text).toContain('DTSTART:20260601T080000Z');
    expect(text).toContain('spray base\\, coat 1');
  });
  it('is still a calendar where nothing is left to do', () => {
    expect(calendarText([])).toContain('BEGIN:VCALENDAR');
  });
});
