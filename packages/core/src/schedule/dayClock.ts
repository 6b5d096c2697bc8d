/**
 * All open jobs on one clock: a painter has two hands, a room one car at a time, a gun one coat.
 * What may begin first begins first; of two, the one that is wanted sooner. While one flashes,
 * another is sprayed.
 *
 * Source  list scheduling by earliest start, then due date; ours
 */
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { timesOf } from '../inForce/timesOf.ts';
import { windowOf } from '../inForce/windowOf.ts';
import { airAt } from '../air/forecast.ts';
import type { Climate } from '../air/climate.ts';
import type { DayBlock, DayInput, DayJob, DayStage, DayWindow } from './dayJob.ts';
import { bakeMinutes, largestShare } from './clock.ts';
import {
  nextOf,
  takesBooth,
  tasksOf,
  type Next,
  type Running,
  type Shop,
  type Task,
} from './dayTasks.ts';
import { layerOf, servedAt, workedOverFrom } from './waits.ts';

/** Past this a car that waits for its next stage is rolled out of the booth. */
const ROLLS_OUT_MINUTES = 60;
export type MixBegun = { job: DayJob; stage: DayStage; startMinute: number; lastMinute: number };
export type LaidDay = {
  blocks: DayBlock[];
  mixes: MixBegun[];
  windows: DayWindow[];
  /** Stages that could not be begun before the one below had closed. */
  closed: { job: string; stage: string; minutesSince: number; latestMinutes: number }[];
  /** By job: when it is done; absent where the day ends before it. */
  done: Map<string, number>;
};

const airIn = ({ forecasts }: DayInput, room: string): ((minute: number) => Climate) => {
  const forecast = forecasts[room];
  if (!forecast) throw new Error(`no forecast for ${room}`);
  return (minute) => airAt(forecast, minute);
};

/** The day from this minute, job by job and hand by hand. */
export function layOutDay(input: DayInput, startMinute: number): LaidDay {
  const shop: Shop = { painters: new Map(), guns: new Map(), rooms: new Map() };
  const day: LaidDay = { blocks: [], mixes: [], windows: [], closed: [], done: new Map() };
  const running = input.jobs.map((job) => begun(input, job, startMinute));
  for (const { job, tasks, coatedMinute } of running) {
    if (tasks.length === 0) day.done.set(job.name, startMinute);
    // A car with wet paint on it stays where it is.
    else if (coatedMinute !== undefined && coatedMinute > startMinute - ROLLS_OUT_MINUTES)
      shop.rooms.set(job.room, { holder: job.name, freeMinute: startMinute });
  }
  for (;;) {
    const next = nextOf(input, shop, running, startMinute);
    if (!next) return day;
    runTask(day, shop, next);
  }
}

function begun(input: DayInput, job: DayJob, startMinute: number): Running {
  const air = airIn(input, job.room);
  const tasks = tasksOf(job);
  const run: Running = {
    job,
    air,
    tasks,
    readyMinute: Math.max(startMinute, job.readyMinute ?? startMinute),
  };
  const { coatedMinute } = job;
  if (coatedMinute === undefined) return run;
  const below = job.stages.findLast(({ coatsOn = 0 }) => coatsOn > 0);
  if (!below) return run;
  afterCoat(run, below, coatedMinute, coatedMinute);
  run.readyMinute = Math.max(run.readyMinute, startMinute);
  return run;
}

function runTask(day: LaidDay, shop: Shop, { run, startMinute, minutes }: Next): void {
  const { job, tasks } = run;
  const task = tasks.shift()!;
  const { stage, coat, kind } = task;
  const of = { job: job.name, room: job.room, painter: job.painter, stage: stage.name };
  if (kind === 'bake') bake(day, run, stage, startMinute);
  else {
    const endMinute = startMinute + minutes;
    // Put down for a coat, taken up again after it.
    if (minutes < task.minutes - 1e-9) tasks.unshift({ ...task, minutes: task.minutes - minutes });
    shop.painters.set(job.painter, endMinute);
    run.readyMinute = endMinute;
    day.blocks.push({
      ...of,
      ...(coat === undefined ? {} : { coat }),
      ...(kind === 'spray' && stage.gun ? { gun: stage.gun } : {}),
      kind,
      startMinute,
      endMinute,
    });
    if (takesBooth(kind)) shop.rooms.set(job.room, { holder: job.name, freeMinute: endMinute });
    if (kind === 'mix') day.mixes.push({ job, stage, startMinute, lastMinute: endMinute });
    if (kind === 'spray') sprayed(day, shop, run, task, startMinute, endMinute);
    if (kind === 'spray' && isRolledOut(run, stage, endMinute))
      shop.rooms.set(job.room, { freeMinute: endMinute + ROLLS_OUT_MINUTES });
  }
  if (tasks.length > 0) return;
  day.done.set(job.name, run.readyMinute);
  if (shop.rooms.get(job.room)?.holder === job.name)
    shop.rooms.set(job.room, { freeMinute: run.readyMinute });
}

/** Dry to move, and long from its next stage. */
const isRolledOut = ({ tasks, readyMinute }: Running, stage: DayStage, endMinute: number) =>
  tasks[0] !== undefined && tasks[0].stage !== stage && readyMinute > endMinute + ROLLS_OUT_MINUTES;

function sprayed(
  day: LaidDay,
  shop: Shop,
  run: Running,
  { stage, coat }: Task,
  startMinute: number,
  endMinute: number,
): void {
  const { job, coatedMinute, closesMinute } = run;
  if (stage.gun) shop.guns.set(stage.gun, endMinute);
  const mix = day.mixes.findLast((one) => one.job === job && one.stage === stage);
  if (mix) mix.lastMinute = endMinute;
  if (closesMinute !== undefined && coatedMinute !== undefined && startMinute > closesMinute + 1e-6)
    day.closed.push({
      job: job.name,
      stage: stage.name,
      minutesSince: startMinute - coatedMinute,
      latestMinutes: closesMinute - coatedMinute,
    });
  afterCoat(run, stage, startMinute, endMinute);
  const of = { job: job.name, room: job.room, painter: job.painter, stage: stage.name };
  day.blocks.push({
    ...of,
    ...(coat === undefined ? {} : { coat }),
    kind: 'flash',
    startMinute: endMinute,
    endMinute: run.readyMinute,
  });
  const isLast = run.tasks[0]?.stage !== stage;
  if (isLast && run.closesMinute !== undefined && run.tasks.length > 0)
    day.windows.push({
      job: job.name,
      stage: stage.name,
      opensMinute: run.readyMinute,
      closesMinute: run.closesMinute,
    });
}

/** From the end of a coat: when the next thing may be done, and when its window closes. */
function afterCoat(run: Running, stage: DayStage, startMinute: number, endMinute: number): void {
  const [next] = run.tasks;
  const then =
    next?.stage === stage ? (next.kind === 'bake' ? 'bake' : 'coat') : next ? 'clear' : 'coat';
  const layer = layerOf(stage);
  const minutes = endMinute - startMinute;
  // Each panel waits from its own end; heat takes all of them at once.
  const ownEnd = then === 'bake' ? endMinute : startMinute + minutes * largestShare(run.job.panels);
  const served = servedAt(layer, timesOf(layer).before[then].value, ownEnd, run.air);
  const worked =
    next && next.stage !== stage
      ? workedOverFrom(stage, next.stage, endMinute, run.air(endMinute))
      : endMinute;
  run.readyMinute = Math.max(endMinute, served, worked);
  run.coatedMinute = endMinute;
  const latest = windowOf(layer, effectiveTemperatureC(run.air(endMinute)))?.value;
  run.closesMinute = latest === undefined ? undefined : endMinute + latest;
}

function bake(day: LaidDay, run: Running, stage: DayStage, startMinute: number): void {
  run.readyMinute = startMinute + bakeMinutes(stage, run.air(startMinute));
  run.closesMinute = undefined;
  const { name: job, room, painter } = run.job;
  day.blocks.push({
    job,
    room,
    painter,
    stage: stage.name,
    kind: 'bake',
    startMinute,
    endMinute: run.readyMinute,
  });
}
