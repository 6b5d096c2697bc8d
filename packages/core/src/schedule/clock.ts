/** Coats, waits and heat on a clock of minutes, in air that moves over the day. Core knows no time of day: nought is the caller's. */
import { airAt, type ForecastPoint } from '../air/forecast.ts';
import type { Climate } from '../air/climate.ts';
import { flashFactors } from '../film/flashToday.ts';
import { FALLBACK_MINUTES } from '../film/flashToday.ts';
import { latestMinutesOf, materialClassOf, type Layer } from '../film/wait.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import type { ScheduleInput, ScheduleStage, ScheduleStep } from './schedule.ts';

export type MixTime = { stage: ScheduleStage; mix: number; startMinute: number; lastMinute: number };
export type RecoatWindow = { stage: string; opensMinute: number; closesMinute?: number };
export type Laid = {
  steps: ScheduleStep[];
  mixes: MixTime[];
  windows: RecoatWindow[];
  /** Stages begun after the one before had closed. */
  closed: { minutesSince: number; latestMinutes: number }[];
  endMinute: number;
};

/** How steeply a booth warms a panel, and what it takes where the sheet does not say. */
const RAMP_C_PER_MIN = 4;
const USUAL_BAKE = { toC: 60, minutes: 30 } as const;
const LEAST_PREP_MINUTES = 0;
/** A day of waiting in minute steps is enough for any flash. */
const LONGEST_MINUTES = 3000;

export const airOf = ({ forecast, climate }: ScheduleInput): ((minute: number) => Climate) =>
  forecast ? (minute) => airAt(forecast as ForecastPoint[], minute) : () => climate!;

const layerOf = ({ stage, carrier, activated, sheet }: ScheduleStage): Layer => ({
  stage,
  carrier,
  sheet,
  ...(activated ? { activated } : {}),
});

/** When a wait that began now is served: each minute counts by what the air of that minute makes of the sheet's. */
function servedAt(
  stage: ScheduleStage,
  sheetMinutes: number,
  floorMinutes: number,
  from: number,
  air: (minute: number) => Climate,
): number {
  let served = 0;
  for (let passed = 0; passed < LONGEST_MINUTES;) {
    const { total } = flashFactors({
      materialClass: materialClassOf(layerOf(stage)),
      climate: air(from + passed),
      sheet: stage.sheet,
    });
    const left = (sheetMinutes - served) * total;
    if (left <= 1) return from + Math.max(floorMinutes, passed + left);
    served += 1 / total;
    passed += 1;
  }
  return from + LONGEST_MINUTES;
}

function waitsOf(stage: ScheduleStage): { flash: number; floor: number; floorShare: number; toNext: number; beforeBake: number } {
  const fallback = FALLBACK_MINUTES[materialClassOf(layerOf(stage))];
  const flash = stage.sheet.flashMinutes ?? fallback.flash;
  const floor = stage.sheet.minFlashMinutes ?? flash / 2;
  return {
    flash,
    floor,
    floorShare: flash > 0 ? floor / flash : 0,
    toNext: stage.sheet.toNextMinutes ?? stage.sheet.flashMinutes ?? fallback.last,
    beforeBake: stage.sheet.beforeBakeMinutes ?? fallback.last,
  };
}

/** Share of a coat's spraying that the largest panel takes: its own end is that much after its own start. */
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
      laid.closed.push({ minutesSince: now - coatedMinute, latestMinutes: closesMinute - coatedMinute });
    const waits = waitsOf(stage);
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
      laid.steps.push({ name: `${name}, coat ${coat}`, stage: name, coat, startMinute: now, endMinute: end, kind: 'spray' });
      const isLast = coat === coats;
      const next = input.stages[s + 1];
      const [minutes, floor] = isLast
        ? stage.bake
          ? [waits.beforeBake, waits.beforeBake]
          : next
            ? [waits.toNext, waits.toNext * waits.floorShare]
            : [waits.flash, waits.floor]
        : [waits.flash, waits.floor];
      // Each panel waits from its own end; the same order of panels makes that one panel's spraying longer than the wait.
      const ownEnd = now + panelMinutes;
      const ready = Math.max(end, servedAt(stage, minutes, floor, ownEnd, air));
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
          isLast && stage.bake ? 'touch the edges and the masking before heat' : 'touch the masking at the edges: dry, no string',
      });
      coatedMinute = end;
      now = ready;
    }
    const climate = air(coatedMinute);
    const latest = latestMinutesOf(layerOf(stage), effectiveTemperatureC(climate));
    closesMinute = latest === undefined ? undefined : coatedMinute + latest;
    laid.windows.push({ stage: name, opensMinute: now, ...(closesMinute === undefined ? {} : { closesMinute }) });
    if (stage.bake) now = bakeFrom(laid, stage, now, air(now));
  });
  laid.endMinute = now;
  const last = input.stages.at(-1);
  if (last?.sheet.cureMinutes)
    laid.steps.push({
      name: `Cure ${last.name}`,
      stage: last.name,
      startMinute: now,
      endMinute: now + last.sheet.cureMinutes,
      kind: 'cure',
    });
  return laid;
}

/** Mixes spread evenly over the coats: those that begin with this coat. */
const mixesBegunAt = (coat: number, coats: number, mixes: number): number[] =>
  Array.from({ length: mixes }, (_, i) => i)
    .filter((mix) => Math.floor((mix * coats) / mixes) + 1 === coat)
    .map((mix) => mix + 1);

function bakeFrom(laid: Laid, stage: ScheduleStage, from: number, climate: Climate): number {
  const toC = stage.sheet.bakeC ?? USUAL_BAKE.toC;
  const warmMinutes = Math.max(0, toC - (climate.panelTemperatureC ?? climate.airTemperatureC)) / RAMP_C_PER_MIN;
  const endMinute = from + warmMinutes + (stage.sheet.bakeMinutes ?? USUAL_BAKE.minutes);
  laid.steps.push({ name: `Bake ${stage.name}`, stage: stage.name, startMinute: from, endMinute, kind: 'bake' });
  return endMinute;
}
