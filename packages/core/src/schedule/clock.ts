/**
 * Coats, waits and heat on a clock of minutes, in air that moves over the day. Core knows no time
 * of day: nought is the caller's.
 */
import { heatOf, timesOf } from '../inForce/timesOf.ts';
import { windowOf } from '../inForce/windowOf.ts';
import type { ScheduleInput, ScheduleStage, ScheduleStep } from './job.ts';
import { airAt, type ForecastPoint } from '../air/forecast.ts';
import type { Climate } from '../air/climate.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { isPrepared, layerOf, servedAt, workedOverFrom } from './waits.ts';

export type MixTime = {
  stage: ScheduleStage;
  mix: number;
  startMinute: number;
  lastMinute: number;
};
export type RecoatWindow = { stage: string; opensMinute: number; closesMinute?: number };
export type Laid = {
  steps: ScheduleStep[];
  mixes: MixTime[];
  windows: RecoatWindow[];
  /** Stages begun after the one before had closed. */
  closed: { minutesSince: number; latestMinutes: number }[];
  endMinute: number;
};

/** The air at a minute: the forecast's, or the one that stays. */
export const airOf = ({ forecast, climate }: ScheduleInput): ((minute: number) => Climate) =>
  forecast ? (minute) => airAt(forecast as ForecastPoint[], minute) : () => climate!;

/**
 * Share of a coat's spraying that the largest panel takes: its own end is that much after its own
 * start.
 */
export function largestShare(panels: readonly { areaM2?: number | undefined }[]): number {
  const known = panels.map(({ areaM2 }) => areaM2).filter((area) => area !== undefined);
  const usual = known.length > 0 ? known.reduce((sum, area) => sum + area, 0) / known.length : 1;
  const areas = panels.map(({ areaM2 }) => areaM2 ?? usual);
  return Math.max(...areas) / areas.reduce((sum, area) => sum + area, 0);
}

/** What is laid so far: the minute it is, and what the last coat left open. */
type Day = Laid & {
  input: ScheduleInput;
  air: (minute: number) => Climate;
  now: number;
  coatedMinute: number;
  closesMinute?: number | undefined;
};

/** Every step of the job on the clock, from this minute. */
export function layOut(input: ScheduleInput, startMinute: number): Laid {
  const day: Day = {
    ...{ input, air: airOf(input), now: startMinute, coatedMinute: startMinute },
    ...{ steps: [], mixes: [], windows: [], closed: [], endMinute: startMinute },
  };
  input.stages.forEach((stage, s) => {
    prepare(day, stage, input.stages[s - 1]);
    for (let coat = 1; coat <= Math.ceil(stage.coats); coat++)
      sprayCoat(day, stage, coat, input.stages[s + 1]);
    openWindow(day, stage);
    if (stage.bake) day.now = bakeFrom(day, stage, day.now, day.air(day.now));
  });
  const last = input.stages.at(-1);
  if (last)
    day.steps.push(
      ...afterAll(last, { now: day.now, from: last.bake ? day.now : day.coatedMinute }),
    );
  const { steps, mixes, windows, closed } = day;
  return { steps, mixes, windows, closed, endMinute: day.now };
}

/** The stage is reached: over the one below as soon as that may be worked on, and made ready. */
function prepare(day: Day, stage: ScheduleStage, below: ScheduleStage | undefined): void {
  const { air, coatedMinute, closesMinute } = day;
  if (below && !below.bake)
    day.now = Math.max(day.now, workedOverFrom(below, stage, coatedMinute, air(coatedMinute)));
  if (isPrepared(stage)) {
    const endMinute = day.now + stage.prepMinutes!;
    day.steps.push({ stage: stage.name, startMinute: day.now, endMinute, kind: 'prep' });
    day.now = endMinute;
  }
  if (closesMinute !== undefined && day.now > closesMinute + 1e-6)
    day.closed.push({
      minutesSince: day.now - coatedMinute,
      latestMinutes: closesMinute - coatedMinute,
    });
}

/** One coat: its mixes, its spraying, its flash and its test. */
function sprayCoat(
  day: Day,
  stage: ScheduleStage,
  coat: number,
  next: ScheduleStage | undefined,
): void {
  const { input, steps, now } = day;
  const sprayMinutes = input.spraySeconds / 60;
  const end = now + sprayMinutes;
  pourMixes(day, stage, coat, end);
  steps.push({ stage: stage.name, coat, startMinute: now, endMinute: end, kind: 'spray' });
  const isLast = coat === Math.ceil(stage.coats);
  const then = isLast && stage.bake ? 'bake' : isLast && next ? 'clear' : 'coat';
  // Each panel waits from its own end; the same order of panels makes that one panel's spraying
  // longer than the wait. Heat takes all of them at once: there the last panel's end counts.
  const ownEnd = then === 'bake' ? end : now + sprayMinutes * largestShare(input.panels);
  const layer = layerOf(stage);
  const wait = timesOf(layer).before[then].value;
  const ready = Math.max(end, servedAt(layer, wait, ownEnd, day.air));
  const of = { stage: stage.name, coat };
  steps.push({ ...of, startMinute: end, endMinute: ready, kind: 'flash' });
  const readyTest = isLast && stage.bake ? 'edgesBeforeHeat' : 'edgesDry';
  steps.push({ ...of, startMinute: ready, endMinute: ready, kind: 'test', readyTest });
  day.coatedMinute = end;
  day.now = ready;
}

/** Mixes are begun evenly over the coats they are for. */
function pourMixes({ mixes, now }: Day, stage: ScheduleStage, coat: number, end: number): void {
  const count = Math.max(1, Math.ceil(stage.mixes ?? 1));
  const begunHere = mixesBegunAt(coat, Math.ceil(stage.coats), count);
  begunHere.forEach((mix, i) => {
    const begins = now + ((end - now) * i) / begunHere.length;
    const previous = mixes.at(-1);
    if (previous?.stage === stage) previous.lastMinute = begins;
    mixes.push({ stage, mix, startMinute: begins, lastMinute: end });
  });
  mixes.at(-1)!.lastMinute = end;
}

/** From the last coat's end, how long the next one may still be laid over it. */
function openWindow(day: Day, stage: ScheduleStage): void {
  const { air, coatedMinute } = day;
  const latest = windowOf(layerOf(stage), effectiveTemperatureC(air(coatedMinute)))?.value;
  day.closesMinute = latest === undefined ? undefined : coatedMinute + latest;
  day.windows.push({
    stage: stage.name,
    opensMinute: day.now,
    ...(day.closesMinute === undefined ? {} : { closesMinute: day.closesMinute }),
  });
}

/** What the sheet has after the last coat or its heat; the job itself is over before. */
function afterAll(
  { name, sheet }: ScheduleStage,
  { now, from }: { now: number; from: number },
): ScheduleStep[] {
  const waits = [
    ['tape', sheet.tapeMinutes],
    ['polish', sheet.polishMinutes],
    ['cured', sheet.cureMinutes],
  ] as const;
  return waits.flatMap(([until, minutes]) =>
    minutes
      ? [
          {
            stage: name,
            startMinute: now,
            endMinute: Math.max(now, from + minutes),
            kind: 'cure' as const,
            until,
          },
        ]
      : [],
  );
}

/** Mixes spread evenly over the coats: those that begin with this coat. */
const mixesBegunAt = (coat: number, coats: number, mixes: number): number[] =>
  Array.from({ length: mixes }, (_, i) => i)
    .filter((mix) => Math.floor((mix * coats) / mixes) + 1 === coat)
    .map((mix) => mix + 1);

/** Warming in this air, and holding. */
export function bakeMinutes(stage: ScheduleStage, climate: Climate): number {
  const { toC, holdMinutes, rampCPerMin } = heatOf(stage);
  const fromC = climate.panelTemperatureC ?? climate.airTemperatureC;
  return Math.max(0, toC - fromC) / rampCPerMin + holdMinutes;
}

function bakeFrom(laid: Laid, stage: ScheduleStage, from: number, climate: Climate): number {
  const endMinute = from + bakeMinutes(stage, climate);
  laid.steps.push({
    stage: stage.name,
    startMinute: from,
    endMinute,
    kind: 'bake',
  });
  return endMinute;
}
