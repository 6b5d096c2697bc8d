/**
 * When a coat may be taped, sanded, polished, washed, waxed and handed over, and when to look
 * again:
 * minutes served at the temperature that the sheet's figures stand for.
 *
 *   dose = minutes · min(1, 2.1^((T − T_sheet)/10)) · hardener;  heat adds 2.1^((T_panel −
 * T_sheet)/10)
 *          for each minute it is held                                                    [dose-1]
 *
 * Source  Arrhenius in its Q10 form, as [cure-1]; the sheet's minutes are the floor, no credit for
 * a
 *         warm room or a quick hardener. Shares of cure before washing and waxing: rule of thumb
 */
import type { Climate } from '../air/climate.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { cureFactor, HARDENER_SPEED } from '../inForce/cure.ts';
import { timesOf, type Layer } from '../inForce/timesOf.ts';
import { logNormalSpread, mapSpread, type Spread } from '../outcome/spread.ts';
import { because, caution, type Explained } from '../outcome/verdicts.ts';
import { isEffect, type Finish, type FinishTarget, type Speed } from '../trade/vocabulary.ts';
import { lookAgain, type LookAgain } from './lookAgain.ts';

export type Heated = { toC: number; holdMinutes: number; endMinute: number; openMinute: number };
export type CureInput = {
  layer: Layer;
  climate?: Climate | undefined;
  hardenerSpeed?: Speed | undefined;
  bake?: Heated | undefined;
  target?: FinishTarget | undefined;
  finish?: Finish | undefined;
};
/** Minutes from the end of the last coat. */
export const CURE_DATES = [
  'tapeMinute',
  'sandMinute',
  'polishMinute',
  'handOverMinute',
  'handWashMinute',
  'machineWashMinute',
  'waxMinute',
] as const;
export type CureDate = (typeof CURE_DATES)[number];
export type CureAnswer = Explained & {
  /** Absent where it is too cold for any of them to be promised. */
  [D in CureDate]?: Spread;
} & { doseMinutes: number; look: LookAgain };

/** Four weeks, where the sheet does not say when it is through. */
const USUAL_CURE_MINUTES = 40_320;
const SHARE = { handWash: 0.25, machineWash: 0.5, wax: 1 } as const;
/** Out of the heat it is polished once it has cooled through. */
const COOLS_MINUTES = 30;
/** Under this a two-pack hardly links: no date is promised. */
const HARDLY_C = 12;
const LOG_SD = 0.25;

/** Dates by the dose. [dose-1] */
export function cureOf(input: CureInput): CureAnswer {
  const { layer, climate, hardenerSpeed = 'medium', bake, target = 'factory', finish } = input;
  const { atC, before } = timesOf(layer);
  const roomC = climate ? effectiveTemperatureC(climate) : atC;
  const isLinked = layer.activated === true;
  const speed = Math.min(1, HARDENER_SPEED[hardenerSpeed]) < 1 ? SLOW : 1;
  const rate = Math.min(1, cureFactor(roomC, atC)) * (isLinked ? speed : 1);
  const doseMinutes = bake ? cureFactor(bake.toC, atC) * bake.holdMinutes : 0;
  const from = bake?.endMinute ?? 0;
  const open = bake?.openMinute ?? 0;
  const served = (minutes: number, least = 0): Spread => {
    const waits = Math.max(0, minutes - doseMinutes) / rate;
    const at = Math.max(from + waits, least);
    const soonest = bake ? least : minutes;
    return mapSpread(logNormalSpread(at, LOG_SD), (minute) => Math.max(minute, soonest));
  };
  const cureMinutes = layer.sheet?.cureMinutes ?? USUAL_CURE_MINUTES;
  const look = lookAgain({ stage: layer.stage, target, isEffect: isEffect(finish), from: open });
  const polishMinute = served(before.polish.value.minutes, bake ? open + COOLS_MINUTES : 0);
  const dates = {
    tapeMinute: served(before.tape.value.minutes, open),
    sandMinute: served(before.sandDry.value.minutes, open),
    polishMinute,
    handOverMinute: mapSpread(polishMinute, (minute) => Math.max(minute, look.fromMinute)),
    handWashMinute: served(SHARE.handWash * cureMinutes, open),
    machineWashMinute: served(SHARE.machineWash * cureMinutes, open),
    waxMinute: served(SHARE.wax * cureMinutes, open),
  };
  const isTooCold = isLinked && !bake && roomC < HARDLY_C;
  return {
    ...(isTooCold ? {} : dates),
    doseMinutes,
    look,
    verdicts: isTooCold ? [caution('hardly-cures', { roomC, leastC: HARDLY_C })] : [],
    reasons: [
      because('cure-by-dose', layer.sheet ? 'dataSheet' : 'rule', { atC }),
      ...(bake ? [because('heat-counts', 'model', { toC: bake.toC, doseMinutes })] : []),
    ],
  };
}
/** Of a slow or very slow hardener; a quick one earns nothing. */
const SLOW = 0.6;
