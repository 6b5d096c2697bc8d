/**
 * Coats, waits and heat on a clock of minutes, in air that moves over the day. Core knows no time
 * of day: nought is the caller's.
 */
import { factorsOf, recoatTime } from '../film/recoatTimes.ts';
import { heatOf, timesOf, type Layer, type Minutes } from '../inForce/timesOf.ts';
import { windowOf } from '../inForce/windowOf.ts';
import type { ScheduleInput, ScheduleStage, ScheduleStep } from './job.ts';
import { airAt, type ForecastPoint } from '../air/forecast.ts';
import type { Climate } from '../air/climate.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';

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

const LEAST_PREP_MINUTES = 0;
/** A day of waiting in minute steps is enough for any flash. */
const LONGEST_MINUTES = 3000;

export const airOf = ({ forecast, climate }: ScheduleInput): ((minute: number) => Climate) =>
  forecast ? (minute) => airAt(forecast as ForecastPoint[], minute) : () => climate!;

const layerOf = ({
  stage,
  carrier,
  class: materialClass,
  activated,
  sheet,
}: ScheduleStage): Layer => ({
  stage,
  carrier,
  class: materialClass,
  sheet,
  activated,
});

/**
 * When a wait that began now is served: each minute counts by what the air of that minute makes of
 * the minutes in force.
 */
function servedAt(
  layer: Layer,
  { minutes, floorMinutes }: Minutes,
  from: number,
  air: (minute: number) => Climate,
): number {
  const factors = factorsOf(layer);
  let served = 0;
  for (let passed = 0; passed < LONGEST_MINUTES;) {
    const { total } = factors({ climate: air(from + passed) });
    const left = (minutes - served) * total;
    if (left <= 1) return from + Math.max(floorMinutes, passed + left);
    served += 1 / total;
    passed += 1;
  }
  return from + LONGEST_MINUTES;
}

/**
 * Share of a coat's spraying that the largest panel takes: its own end is that much after its own
 * start.
 */
function largestShare(panels: ScheduleInput['panels']): number {
  const known = panels.map(({ areaM2 }) => areaM2).filter((area) => area !== undefined);
  const usual = known.length > 0 ? known.reduce((sum, area) => sum + area, 0) / known.length : 1;
  const areas = panels.map(({ areaM2 }) => areaM2 ?? usual);
  return Math.max(...areas) / areas.reduce((sum, area) => sum + area, 0);
}

export function layOut(input: ScheduleInput, startMinute: number): Laid {
  const air = airOf(input);
  const sprayMinutes = input.spraySeconds / 60;
  const panelMinutes = sprayMinutes * largestShare(input.panels);
  const laid: Laid = { steps: [], mixes: [], windows: [], closed: [], endMinute: startMinute };
  let now = startMinute;
  let closesMinute: number | undefined;
  let coatedMinute = startMinute;
  input.stages.forEach((stage, s) => {
    const { name } = stage;
    const below = input.stages[s - 1];
    if (below && !below.bake)
      now = Math.max(now, workedOverFrom(below, stage, coatedMinute, air(coatedMinute)));
    if ((stage.prepMinutes ?? 0) > LEAST_PREP_MINUTES) {
      laid.steps.push({
        name: `Prepare ${name}`,
        stage: name,
        startMinute: now,
        endMinute: now + stage.prepMinutes!,
        kind: 'prep',
      });
      now += stage.prepMinutes!;
    }
    if (closesMinute !== undefined && now > closesMinute + 1e-6)
      laid.closed.push({
        minutesSince: now - coatedMinute,
        latestMinutes: closesMinute - coatedMinute,
      });
    const layer = layerOf(stage);
    const { before } = timesOf(layer);
    const mixes = Math.max(1, Math.ceil(stage.mixes ?? 1));
    const coats = Math.ceil(stage.coats);
    for (let coat = 1; coat <= coats; coat++) {
      const mixHere = mixesBegunAt(coat, coats, mixes);
      const end = now + sprayMinutes;
      mixHere.forEach((mix, i) => {
        const begins = now + (sprayMinutes * i) / mixHere.length;
        const previous = laid.mixes.at(-1);
        if (previous?.stage === stage) previous.lastMinute = begins;
        laid.mixes.push({ stage, mix, startMinute: begins, lastMinute: end });
      });
      laid.mixes.at(-1)!.lastMinute = end;
      laid.steps.push({
        name: `${name}, coat ${coat}`,
        stage: name,
        coat,
        startMinute: now,
        endMinute: end,
        kind: 'spray',
      });
      const isLast = coat === coats;
      const next = input.stages[s + 1];
      const then = isLast && stage.bake ? 'bake' : isLast && next ? 'clear' : 'coat';
      // Each panel waits from its own end; the same order of panels makes that one panel's spraying
      // longer than the wait. Heat takes all of them at once: there the last panel's end counts.
      const ownEnd = then === 'bake' ? end : now + panelMinutes;
      const ready = Math.max(end, servedAt(layer, before[then].value, ownEnd, air));
      laid.steps.push({
        name: `Flash ${name}, coat ${coat}`,
        stage: name,
        coat,
        startMinute: end,
        endMinute: ready,
        kind: 'flash',
      });
      laid.steps.push({
        name: `Test ${name}, coat ${coat}`,
        stage: name,
        coat,
        startMinute: ready,
        endMinute: ready,
        kind: 'test',
        readyTest:
          isLast && stage.bake
            ? 'touch the edges and the masking before heat'
            : 'touch the masking at the edges: dry, no string',
      });
      coatedMinute = end;
      now = ready;
    }
    const climate = air(coatedMinute);
    const latest = windowOf(layer, effectiveTemperatureC(climate))?.value;
    closesMinute = latest === undefined ? undefined : coatedMinute + latest;
    laid.windows.push({
      stage: name,
      opensMinute: now,
      ...(closesMinute === undefined ? {} : { closesMinute }),
    });
    if (stage.bake) now = bakeFrom(laid, stage, now, air(now));
  });
  laid.endMinute = now;
  const last = input.stages.at(-1);
  if (last) laid.steps.push(...afterAll(last, { now, from: last.bake ? now : coatedMinute }));
  return laid;
}

/**
 * When the next stage's work over this coat may begin: sanding under its preparation, wiping where
 * it has none; the sheet's word only.
 */
function workedOverFrom(
  below: ScheduleStage,
  next: ScheduleStage,
  coatedMinute: number,
  climate: Climate,
): number {
  const isPrepared = (next.prepMinutes ?? 0) > LEAST_PREP_MINUTES;
  const sheetMinutes = isPrepared ? below.sheet.sandMinutes : below.sheet.wipeMinutes;
  if (sheetMinutes === undefined) return coatedMinute;
  return (
    coatedMinute +
    recoatTime(isPrepared ? 'sandDry' : 'wipe', layerOf(below), { climate }).earliestMinutes.value
  );
}

/** What the sheet has after the last coat or its heat; the job itself is over before. */
function afterAll(
  { name, sheet }: ScheduleStage,
  { now, from }: { now: number; from: number },
): ScheduleStep[] {
  const waits: [string, number | undefined][] = [
    ['Dry to tape', sheet.tapeMinutes],
    ['Dry to polish', sheet.polishMinutes],
    ['Cure', sheet.cureMinutes],
  ];
  return waits.flatMap(([what, minutes]) =>
    minutes
      ? [
          {
            name: `${what} ${name}`,
            stage: name,
            startMinute: now,
            endMinute: Math.max(now, from + minutes),
            kind: 'cure' as const,
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

function bakeFrom(laid: Laid, stage: ScheduleStage, from: number, climate: Climate): number {
  const { toC, holdMinutes, rampCPerMin } = heatOf(stage);
  const warmMinutes =
    Math.max(0, toC - (climate.panelTemperatureC ?? climate.airTemperatureC)) / rampCPerMin;
  const endMinute = from + warmMinutes + holdMinutes;
  laid.steps.push({
    name: `Bake ${stage.name}`,
    stage: stage.name,
    startMinute: from,
    endMinute,
    kind: 'bake',
  });
  return endMinute;
}
