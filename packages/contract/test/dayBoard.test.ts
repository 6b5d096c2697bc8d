/** The open tickets as one day asks after them. */
import { describe, expect, it } from 'vitest';
import { dayInput, type DayTimes } from '../src/plan/dayBoard.ts';
import { phasesOf } from '../src/plan/phases.ts';
import { sprayMinutes } from '../src/plan/panels.ts';
import { ask } from '../src/calculations/ask.ts';
import { dayCalculation } from '../src/calculations/day.ts';
import type { DayAhead } from '../src/shop/air.ts';
import type { Coat } from '../src/shop/coat.ts';
import type { TicketWhole, Timer } from '../src/shop/ticket.ts';
import { contextFor, guns } from './demoContext.ts';

const NOW = Date.parse('2026-03-02T09:00:00Z');
const context = contextFor('tarnside-clear-ms', 20);
const { room, painter } = context;
const times: DayTimes = {
  nowMs: NOW,
  nowMinute: 540,
  startMinute: 540,
  closesMinute: 1080,
  breaks: [],
  date: '2026-03-02',
};
const DAYS = [
  {
    roomId: room.id,
    sunriseMinute: 400,
    forecast: [{ minute: 0, airTemperatureC: 20, relativeHumidityPercent: 50 }],
  },
] as unknown as DayAhead[];

const coat = (ordinal: number, changes: Partial<Coat> = {}): Coat =>
  ({
    id: `c${ordinal}`,
    stageId: context.stage.id,
    ordinal,
    state: 'planned',
    seen: [],
    ...changes,
  }) as Coat;
const on = (ordinal: number, changes: Partial<Coat> = {}) =>
  coat(ordinal, { state: 'looked', endedAt: '2026-03-01T16:00:00Z', ...changes });
const whole = (coats: Coat[], changes: Partial<TicketWhole> = {}, dueOn?: string): TicketWhole =>
  ({
    ticket: {
      ...context.ticket,
      id: 't',
      number: 'SW-1',
      vehicle: 'Linnet',
      bodyKind: 'saloon',
      state: 'open',
      roomId: room.id,
      painterId: painter.id,
      stages: [context.stage],
      ...(dueOn ? { dueOn } : {}),
    },
    coats,
    timers: [],
    works: [],
    mixes: [],
    gates: [],
    prepAnswers: [],
    lateFinds: [],
    decisions: [],
    sprayCards: [],
    sheets: [{ id: context.stage.sheetVersionId, sheet: context.sheet }],
    ...changes,
  }) as unknown as TicketWhole;
const jobsOf = (one: TicketWhole, changed: Partial<DayTimes> = {}) =>
  dayInput([one], { rooms: [room], painters: [painter], guns }, DAYS, [], { ...times, ...changed })
    .jobs;
const look = (dueAt: string): Timer => ({ kind: 'look', dueAt, coatId: 'c2' }) as unknown as Timer;

it('how far a ticket is: nothing made ready, one coat of two, a look that is open', () => {
  const timers = [look('2026-03-02T11:00:00Z')];
  const phases = phasesOf(whole([on(1), coat(2, { seen: ['dust'] })], { timers }), undefined);
  expect(phases).toEqual([
    { phase: 'prepare', done: 0, of: 0 },
    { phase: 'paint', done: 1, of: 2 },
    { phase: 'finish', done: 0, of: 2 },
  ]);
});

describe('a job on the board', () => {
  it('takes as long as its coats by the hand that sprays them, and none that is on', () => {
    const [job] = jobsOf(whole([on(1), coat(2)]));
    expect(job!.stages[0]).toMatchObject({ coats: 2, coatsOn: 1 });
    expect(job!.stages[0]!.spraySeconds).toBeCloseTo(60 * Math.max(2, sprayMinutes(context)), 6);
    expect(job!.after).toBeUndefined();
  });
  it('is wanted by closing on its day, at once after it, and not yet before it', () => {
    const deadline = (dueOn: string) => jobsOf(whole([coat(1)], {}, dueOn))[0]!.deadlineMinute;
    expect(deadline('2026-03-02')).toBe(1080);
    expect(deadline('2026-03-01')).toBe(540);
    expect(deadline('2026-03-09')).toBeUndefined();
  });
  it('all on, it stands there for its look, from when that is due', () => {
    const timers = [look('2026-03-02T11:00:00Z')];
    const [job] = jobsOf(whole([on(1), on(2)], { timers }));
    expect(job!.after).toEqual([{ kind: 'look', minutes: 10, fromMinute: 660 }]);
    const [laid] = ask(dayCalculation, {
      jobs: [job!],
      forecasts: { [room.name]: DAYS[0]!.forecast },
      startMinute: 540,
      closesMinute: 1080,
    }).blocks;
    expect(laid).toMatchObject({ kind: 'look', startMinute: 660, endMinute: 670 });
  });
  it('is not there where its look is due another day, or nothing was seen', () => {
    expect(jobsOf(whole([on(1), on(2)], { timers: [look('2026-03-03T09:00:00Z')] }))).toEqual([]);
    expect(jobsOf(whole([on(1), on(2, { seen: ['nothing'] })]))).toEqual([]);
  });
  it('dust in it is cut and polished, until it was', () => {
    const dusty = [on(1), on(2, { seen: ['dust'] })];
    expect(jobsOf(whole(dusty))[0]!.after).toMatchObject([{ kind: 'finish' }]);
    const works = [{ coatId: 'c2', kind: 'polished' }] as unknown as TicketWhole['works'];
    expect(jobsOf(whole(dusty, { works }))).toEqual([]);
  });
});
