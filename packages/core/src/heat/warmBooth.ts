/**
 * Warm, moving air between two coats of waterborne: how soon the film is dry in it, and when the
 * panel is cool enough for the next coat.
 *
 *   dried(t) = since ÷ wait(room) + ∫ dt ÷ wait(T_panel, T_air, RH);  dry where it reaches 1
 *   RH(t) = e ÷ p_s(T_air): the water in the air stays what it was                       [heat-2]
 *
 * Source  the wait: film/recoatTimes.ts; the panel: heat/panelHeat.ts; 38 to 40 °C: trade practice
 * Ignores what evaporates into the booth's own air
 */
import { saturationPressurePa, vapourPressurePa } from '../air/humidAir.ts';
import { heatTransferWPerM2K } from '../evaporation/heatTransfer.ts';
import { factorsOf, recoatTime } from '../film/recoatTimes.ts';
import { mapSpread, Z_80, type Spread } from '../outcome/spread.ts';
import { because, caution, stop } from '../outcome/verdicts.ts';
import type { HeatAnswer, HeatInput } from './heatInput.ts';
import {
  coolsFor,
  lagMinutes,
  panelAfter,
  usualBuild,
  USUAL_RAMP_C_PER_MIN,
  type Oven,
} from './panelHeat.ts';

/** Warm air between coats, °C: what is usual and what is the most before the film closes on top. */
export const WARM_AIR = { usualC: 38, mostC: 40 } as const;
const STEP_MINUTES = 0.25;
const LONGEST_MINUTES = 360;
const DRY_LOG_SD = 0.25;

/** How soon the next coat may follow; nothing but the reason where warm air has no place. */
export function warmBooth(input: HeatInput): HeatAnswer {
  const { layer, climate, minutesSince, warm = {} } = input;
  const reasons = [because('heat-by-panel', 'model')];
  const waitMinutes = exactly(0);
  if (layer.carrier !== 'waterborne' || layer.activated)
    return { waitMinutes, verdicts: [stop('warm-air-not-here')], reasons };
  const wantedC = warm.warmC ?? WARM_AIR.usualC;
  const airC = Math.max(climate.airTemperatureC, Math.min(wantedC, WARM_AIR.mostC));
  const oven: Oven = {
    roomC: climate.airTemperatureC,
    airC,
    rampCPerMin: USUAL_RAMP_C_PER_MIN,
    startC: climate.panelTemperatureC ?? climate.airTemperatureC,
  };
  const lag = slowestLag(input);
  const spread = Math.exp(Z_80 * DRY_LOG_SD);
  const { floorMinutes } = recoatTime(warm.next ?? 'coat', layer, dryingIn(input, climate));
  const dry = (slower: number): number =>
    Math.max(dryAfter(input, { oven, lag, slower }), floorMinutes - minutesSince, 0);
  const endMinute = { value: dry(1), low: dry(1 / spread), high: dry(spread) };
  const open = (minute: number): number =>
    minute + coolsFor(panelAfter(minute, lag, oven), lag, oven, warm.maxPanelC);
  return {
    waitMinutes,
    airC,
    endMinute,
    openMinute: mapSpread(endMinute, open),
    verdicts:
      wantedC > WARM_AIR.mostC ? [caution('booth-warm-over', { maxC: WARM_AIR.mostC })] : [],
    reasons,
  };
}

const exactly = (value: number): Spread => ({ value, low: value, high: value });

const slowestLag = ({ panels, climate, airSpeedMPerS }: HeatInput): number => {
  const heatWPerM2K = heatTransferWPerM2K(airSpeedMPerS ?? climate.airSpeedMPerS ?? 0);
  return Math.max(
    ...panels.map(({ substrate, build = usualBuild(substrate) }) => lagMinutes(build, heatWPerM2K)),
  );
};

const dryingIn = ({ wetFilmUm, reducer }: HeatInput, climate: HeatInput['climate']) => ({
  climate,
  wetFilmUm,
  gradeStepsSlower: reducer?.stepsSlower,
});

/** Minutes from the warm air on until the film is as dry as its whole wait would have made it. */
function dryAfter(
  input: HeatInput,
  { oven, lag, slower }: { oven: Oven; lag: number; slower: number },
): number {
  const { layer, climate, minutesSince, warm = {} } = input;
  const { sheetMinutes } = recoatTime(warm.next ?? 'coat', layer, dryingIn(input, climate));
  const factors = factorsOf(layer);
  const vapourPa = vapourPressurePa(climate);
  const waitAt = (minute: number): number => {
    const airTemperatureC = Math.min(oven.airC, oven.roomC + oven.rampCPerMin * minute);
    const relativeHumidityPercent = Math.min(
      climate.relativeHumidityPercent,
      (100 * vapourPa) / saturationPressurePa(airTemperatureC),
    );
    const panelTemperatureC = panelAfter(minute, lag, oven);
    const now = { ...climate, airTemperatureC, relativeHumidityPercent, panelTemperatureC };
    return slower * sheetMinutes * factors(dryingIn(input, now)).total;
  };
  const room = slower * sheetMinutes * factors(dryingIn(input, climate)).total;
  let dried = room > 0 ? minutesSince / room : 1;
  let minute = 0;
  while (dried < 1 && minute < LONGEST_MINUTES) {
    dried += STEP_MINUTES / waitAt(minute + STEP_MINUTES / 2);
    minute += STEP_MINUTES;
  }
  return minute;
}
