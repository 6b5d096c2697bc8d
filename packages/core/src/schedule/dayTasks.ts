/**
 * What is left of every job, and which of it may begin first: hands, guns and rooms that are free,
 * breaks, closing time.
 *
 * Source  list scheduling by earliest start, then due date; ours
 */
import type { Climate } from '../air/climate.ts';
import type { Band } from '../outcome/spread.ts';
import type { DayBlock, DayInput, DayJob, DayStage } from './dayJob.ts';

/** From the tin to the gun. */
const MIX_MINUTES = 10;

export type Task = {
  kind: Exclude<DayBlock['kind'], 'flash'>;
  stage: DayStage;
  minutes: number;
  coat?: number;
  /** Not before: a film that is too soft, a night that is not over. */
  fromMinute?: number;
};
export type Running = {
  job: DayJob;
  air: (minute: number) => Climate;
  tasks: Task[];
  readyMinute: number;
  coatedMinute?: number | undefined;
  closesMinute?: number | undefined;
};
/** From when each is free; a room may be held by the car that stands in it. */
export type Shop = {
  painters: Map<string, number>;
  guns: Map<string, number>;
  rooms: Map<string, { holder?: string; freeMinute: number }>;
};

/** Everything that is left of a job, in its order. */
export function tasksOf({ stages, after = [] }: DayJob): Task[] {
  const last = stages.at(-1)!;
  const coats = stages.flatMap((stage): Task[] => {
    const coats = Math.ceil(stage.coats);
    const on = Math.min(coats, stage.coatsOn ?? 0);
    if (on >= coats && !stage.bake) return [];
    const isBegun = on > 0;
    const prep: Task[] =
      !isBegun && (stage.prepMinutes ?? 0) > 0
        ? [{ kind: 'prep', stage, minutes: stage.prepMinutes! }]
        : [];
    const left = coats - on;
    const mix: Task[] = left > 0 ? [{ kind: 'mix', stage, minutes: MIX_MINUTES }] : [];
    const sprays = Array.from({ length: left }, (_, i): Task => ({
      kind: 'spray',
      stage,
      coat: on + i + 1,
      minutes: stage.spraySeconds / 60,
    }));
    const bakes: Task[] = stage.bake ? [{ kind: 'bake', stage, minutes: 0 }] : [];
    return [...prep, ...mix, ...sprays, ...bakes];
  });
  return [...coats, ...after.map((task): Task => ({ ...task, stage: last }))];
}

/** Put off past every break that it would run into. */
function clearOf(breaks: readonly Band[], startMinute: number, minutes: number): number {
  let start = startMinute;
  for (const [from, to] of [...breaks].sort(([a], [b]) => a - b))
    if (start < to && start + minutes > from) start = to;
  return start;
}

export type Next = { run: Running; startMinute: number; minutes: number };

/** What is under way goes on first: a mixed cup waits for nobody. */
const RANK = ['spray', 'bake', 'mix', 'finish', 'look', 'prep'] as const;
/** Done beside the booth, by whoever has a hand free. */
export const takesBooth = (kind: Task['kind']): boolean =>
  kind === 'mix' || kind === 'spray' || kind === 'bake';
/** Making ready is put down for a coat, but not begun for less than this. */
const LEAST_PREP_MINUTES = 5;

/** What can begin soonest before the day closes; of two, the one wanted sooner. */
export function nextOf(
  { closesMinute, breaks = [] }: DayInput,
  shop: Shop,
  running: readonly Running[],
  startMinute: number,
): Next | undefined {
  const candidates = running.flatMap((run): Next[] => {
    const [task] = run.tasks;
    if (!task) return [];
    const { job } = run;
    const room = shop.rooms.get(job.room);
    const isHeld = room?.holder !== undefined && room.holder !== job.name;
    const isBeside = !takesBooth(task.kind);
    if (!isBeside && isHeld) return [];
    const free = Math.max(
      run.readyMinute,
      isBeside || room?.holder === job.name ? startMinute : (room?.freeMinute ?? 0),
      task.fromMinute ?? startMinute,
      task.kind === 'bake' ? startMinute : (shop.painters.get(job.painter) ?? startMinute),
      (task.kind === 'spray' && task.stage.gun && shop.guns.get(task.stage.gun)) || startMinute,
    );
    if (task.kind === 'bake')
      return free <= closesMinute ? [{ run, startMinute: free, minutes: 0 }] : [];
    const next = task.kind === 'prep' ? prepFrom(running, run, free) : undefined;
    const from = next?.from ?? free;
    const minutes = Math.min(task.minutes, next ? next.until - from : Infinity);
    const start = clearOf(breaks, from, minutes);
    return start + minutes <= closesMinute + 1e-9 ? [{ run, startMinute: start, minutes }] : [];
  });
  const dueOf = ({ run }: Next): number => run.job.deadlineMinute ?? Infinity;
  const rankOf = ({ run }: Next): number => RANK.indexOf(run.tasks[0]!.kind);
  return candidates.sort(
    (a, b) => a.startMinute - b.startMinute || rankOf(a) - rankOf(b) || dueOf(a) - dueOf(b),
  )[0];
}

/** Between now and the next coat of the same painter there is room for making ready. */
function prepFrom(
  running: readonly Running[],
  own: Running,
  free: number,
): { from: number; until: number } {
  const coats = running
    .filter(({ job, tasks }) => job.painter === own.job.painter && tasks[0]?.kind === 'spray')
    .map(({ readyMinute }) => readyMinute)
    .filter((minute) => minute >= free)
    .sort((a, b) => a - b);
  const [next] = coats;
  if (next === undefined) return { from: free, until: Infinity };
  return next - free >= LEAST_PREP_MINUTES
    ? { from: free, until: next }
    : { from: next, until: Infinity };
}
