/**
 * How long before the next thing today: the minutes in force, moved by air, film and grade, never
 * under their floor.
 */
import type { Climate } from '../air/climate.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { cureFactor } from '../inForce/cure.ts';
import type { Word } from '../inForce/inForce.ts';
import { layerClassOf, timesOf, type Layer } from '../inForce/timesOf.ts';
import { logNormalSpread, mapSpread, type Spread } from '../outcome/spread.ts';
import type { Reason } from '../outcome/verdicts.ts';
import type { NextStep, Substrate } from '../trade/vocabulary.ts';
import { flashFactors, type FlashFactors } from './flashToday.ts';

/** What moves the minutes; a film that nobody told is the one they stand for. */
export type DryingConditions = {
  climate: Climate;
  wetFilmUm?: number | undefined;
  gradeStepsSlower?: number | undefined;
  substrate?: Substrate | undefined;
};
export type RecoatTime = {
  sheetMinutes: number;
  floorMinutes: number;
  earliestMinutes: Spread;
  isCure: boolean;
  source: Word;
  reason: Reason;
  factors: FlashFactors;
};

const TIMES_LOG_SD = 0.25;

/**
 * How the air moves a layer's minutes, factor by factor; what is in force is looked up once,
 * however often the air is asked.
 */
export function factorsOf(layer: Layer): (today: DryingConditions) => FlashFactors {
  const { value: materialClass } = layerClassOf(layer);
  const sheet = timesOf(layer);
  return ({ climate, wetFilmUm, gradeStepsSlower, substrate }) =>
    flashFactors({
      materialClass,
      climate,
      sheet,
      ...(wetFilmUm === undefined ? {} : { wetFilmUm }),
      ...(gradeStepsSlower === undefined ? {} : { gradeStepsSlower }),
      ...(substrate ? { substrate } : {}),
    });
}

/**
 * The wait before `next`, counted from the end of the last coat; after a mist coat the floor is
 * enough.
 */
export function recoatTime(
  next: NextStep,
  layer: Layer,
  today: DryingConditions,
  mistCoat = false,
): RecoatTime {
  const { atC, before } = timesOf(layer);
  const { value, source, reason } = before[next];
  const { minutes, floorMinutes, isCure } = value;
  const factors = factorsOf(layer)(today);
  const effectiveC = effectiveTemperatureC({
    ...today.climate,
    ...(today.substrate ? { substrate: today.substrate } : {}),
  });
  // Curing and the wait before heat are never shorter than the sheet's, however warm it is.
  const cold = layer.activated && next !== 'bake' ? cureFactor(atC, effectiveC) : factors.total;
  const moved = isCure
    ? logNormalSpread(minutes * Math.max(1, cold), TIMES_LOG_SD)
    : mistCoat
      ? { value: floorMinutes, low: floorMinutes, high: minutes }
      : logNormalSpread(minutes * factors.total, TIMES_LOG_SD);
  return {
    sheetMinutes: minutes,
    floorMinutes,
    earliestMinutes: mapSpread(moved, (m) => Math.max(floorMinutes, m)),
    isCure,
    source,
    reason,
    factors,
  };
}
