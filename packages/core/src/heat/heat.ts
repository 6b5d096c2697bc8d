/**
 * Heat on a coat: after its flash and with the vapour out, as warm as every part of it bears, and
 * held from the minute at which the slowest panel has it.
 *
 * Source  panels: heat/panelHeat.ts; lamp between line and area, limits of plastics, margins: rule
 * of
 *         thumb. The sheet's bake first
 */
import { heatTransferWPerM2K } from '../evaporation/heatTransfer.ts';
import { recoatTime } from '../film/recoatTimes.ts';
import { cureFactor } from '../inForce/cure.ts';
import { mapSpread, Z_80, type Spread } from '../outcome/spread.ts';
import { because, caution, stop, type Verdict } from '../outcome/verdicts.ts';
import type { HeatAnswer, HeatedPanel, HeatInput } from './heatInput.ts';
import {
  coolsFor,
  hasItAfter,
  lagMinutes,
  lagOfReading,
  NEARLY_C,
  panelAfter,
  usualBuild,
  USUAL_RAMP_C_PER_MIN,
  type Oven,
} from './panelHeat.ts';
import { warmBooth } from './warmBooth.ts';

const USUAL = { bakeC: 60, holdMinutes: 30, ovenMPerS: 0.4 } as const;
const METAL_C = 70;
const LAMP_METAL_C = 80;
const SOFT_C = 60;
/** Air over the panel wanted, and what counts as having it. */
const OVER_C = 10;
const NO_BAKE_C = 40;
const LONG_LAG_MINUTES = 10;
/** Extraction on for so long at least before heat. */
const CLEARS_MINUTES = 5;
const LAG_LOG_SD = 0.25;
const LAMP = { startMm: 800, leastMm: 500, power: 1 / 1.5 } as const;

/** What a panel bears, °C. */
function limitOf(input: HeatInput, { substrate, limitC }: HeatedPanel): number {
  const { method, layer, maxBakeC, vehicleLimitC } = input;
  const metalC = method === 'lamp' ? LAMP_METAL_C : Math.max(METAL_C, layer.sheet?.bakeC ?? 0);
  const usual = substrate === 'metal' ? (maxBakeC ?? metalC) : Math.min(SOFT_C, maxBakeC ?? SOFT_C);
  return Math.min(usual, limitC ?? Infinity, vehicleLimitC ?? Infinity);
}

/** How warm, how long and from when; nothing but the wait while a stop stands. */
export function heatOnCoat(input: HeatInput): HeatAnswer {
  if (input.method === 'warmBooth') return warmBooth(input);
  const { layer, climate, minutesSince, wetFilmUm, reducer } = input;
  const wait = recoatTime('bake', layer, {
    climate,
    wetFilmUm,
    gradeStepsSlower: reducer?.stepsSlower,
  }).earliestMinutes;
  const waitMinutes = mapSpread(wait, (minutes) => Math.max(0, minutes - minutesSince));
  const stops = stopsOf(input, waitMinutes.value);
  const reasons = [because('heat-by-panel', 'model')];
  if (stops.length > 0) return { waitMinutes, verdicts: stops, reasons };
  const wantC = layer.sheet?.bakeC ?? USUAL.bakeC;
  const limits = input.panels.map((panel) => limitOf(input, panel));
  const least = Math.min(...limits);
  const toC = Math.min(wantC, least);
  const longer = Math.max(1, 1 / cureFactor(toC, wantC));
  const holdMinutes = (layer.sheet?.bakeMinutes ?? USUAL.holdMinutes) * longer;
  const verdicts = coolVerdicts({ toC, wantC, holdMinutes });
  if (input.method === 'lamp')
    return { waitMinutes, toC, holdMinutes, ...lampOf(input, toC), verdicts, reasons };
  const airC = Math.min(toC + OVER_C, least);
  const oven = ovenOf(input, airC);
  const warmed = warm(input, { oven, toC, limits });
  const holdFromMinute = most(warmed.map(({ hasItMinute }) => hasItMinute));
  const endMinute = mapSpread(holdFromMinute, (minute) => minute + holdMinutes);
  const cools = Math.max(
    ...warmed.map(({ lag }) => coolsFor(panelAfter(endMinute.value, lag, oven), lag, oven)),
  );
  const slowest = warmed.reduce((a, b) => (b.hasItMinute.value > a.hasItMinute.value ? b : a));
  return {
    waitMinutes,
    toC,
    airC,
    holdMinutes,
    holdFromMinute,
    endMinute,
    openMinute: mapSpread(endMinute, (minute) => minute + cools),
    panels: warmed.map(({ lag, ...panel }) => ({
      ...panel,
      peakC: panelAfter(endMinute.value, lag, oven),
    })),
    slowest: slowest.name,
    verdicts: [...verdicts, ...lagVerdicts(input, warmed, slowest)],
    reasons,
  };
}

function ovenOf({ climate, rampCPerMin }: HeatInput, airC: number): Oven {
  return {
    roomC: climate.airTemperatureC,
    airC,
    rampCPerMin: rampCPerMin ?? USUAL_RAMP_C_PER_MIN,
    startC: climate.panelTemperatureC ?? climate.airTemperatureC,
  };
}

type Warmed = { name: string; limitC: number; hasItMinute: Spread; lag: number };
function warm(
  { panels, airSpeedMPerS = USUAL.ovenMPerS }: HeatInput,
  { oven, toC, limits }: { oven: Oven; toC: number; limits: readonly number[] },
): Warmed[] {
  const heatWPerM2K = heatTransferWPerM2K(airSpeedMPerS);
  const factor = Math.exp(Z_80 * LAG_LOG_SD);
  return panels.map(({ name, substrate, build = usualBuild(substrate), seenC, seenMinute }, i) => {
    const isRead = seenC !== undefined && seenMinute !== undefined && seenMinute > 0;
    const lag = isRead ? lagOfReading(seenC, seenMinute, oven) : lagMinutes(build, heatWPerM2K);
    const has = (by: number) => hasItAfter(toC - NEARLY_C, lag * by, oven);
    const value = has(1);
    return {
      name,
      limitC: limits[i]!,
      lag,
      // A reading leaves little to guess.
      hasItMinute: isRead
        ? { value, low: value, high: value }
        : { value, low: has(1 / factor), high: has(factor) },
    };
  });
}

const most = (spreads: readonly Spread[]): Spread => ({
  value: Math.max(...spreads.map(({ value }) => value)),
  low: Math.max(...spreads.map(({ low }) => low)),
  high: Math.max(...spreads.map(({ high }) => high)),
});

function stopsOf(input: HeatInput, remainingMinutes: number): Verdict[] {
  const { panels, lamp, extractionCleared } = input;
  const over = panels
    .map((panel) => ({ ...panel, limit: limitOf(input, panel) }))
    .filter(({ seenC = -Infinity, limit }) => seenC > limit);
  return [
    ...(remainingMinutes > 0 ? [stop('bake-too-early', { remainingMinutes })] : []),
    ...(extractionCleared
      ? []
      : [
          stop('vapour-not-cleared', {
            remainingMinutes: Math.max(remainingMinutes, CLEARS_MINUTES),
          }),
        ]),
    ...over.map(({ name, seenC, limit }) =>
      stop('panel-over-limit', { panel: name, seenC: seenC!, limitC: limit }),
    ),
    ...(lamp && lamp.distanceMm < LAMP.leastMm
      ? [stop('lamp-too-near', { distanceMm: lamp.distanceMm, leastMm: LAMP.leastMm })]
      : []),
  ];
}

const coolVerdicts = ({
  toC,
  wantC,
  holdMinutes,
}: {
  toC: number;
  wantC: number;
  holdMinutes: number;
}): Verdict[] => [
  ...(toC < wantC ? [caution('bake-cooler-longer', { toC, wantC, holdMinutes })] : []),
  ...(toC < NO_BAKE_C ? [caution('bake-too-cool-to-count', { toC })] : []),
];

function lagVerdicts({ panels }: HeatInput, warmed: readonly Warmed[], slowest: Warmed): Verdict[] {
  const first = Math.min(...warmed.map(({ hasItMinute }) => hasItMinute.value));
  const lag = slowest.hasItMinute.value - first;
  const isRead = panels.some(({ name, seenC }) => name === slowest.name && seenC !== undefined);
  return [
    ...(lag > LONG_LAG_MINUTES
      ? [caution('heavy-part-lags', { panel: slowest.name, lagMinutes: lag })]
      : []),
    ...(isRead ? [] : [caution('panel-not-measured', { panel: slowest.name })]),
  ];
}

/** From a reading, where the lamp belongs; without one, where it begins. */
function lampOf({ lamp, climate, panels }: HeatInput, toC: number): { lampMm: number } {
  const nowMm = lamp?.distanceMm ?? LAMP.startMm;
  const seen = panels.flatMap(({ seenC }) => (seenC === undefined ? [] : [seenC]));
  if (seen.length === 0) return { lampMm: nowMm };
  const roomC = climate.airTemperatureC;
  const share = Math.max(0, Math.max(...seen) - roomC) / Math.max(1, toC - roomC);
  return { lampMm: Math.max(LAMP.leastMm, nowMm * share ** LAMP.power) };
}
