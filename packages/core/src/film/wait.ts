/** How long before the next thing: which of the sheet's minutes rules, its floor, and how today moves it. */
import type { Carrier } from '../air/climate.ts';
import type { Stage } from '../gun/gun.ts';
import { CURE_Q10 } from '../mix/potLife.ts';
import { logNormalSpread, mapSpread, type Spread } from '../outcome/spread.ts';
import type { MaterialClass } from '../material/classes.ts';
import { FALLBACK_MINUTES, type FlashFactors } from './flashToday.ts';

export type SheetTimes = {
  atC: number;
  atHumidityPercent?: number;
  wetFilmUm?: number;
  flashMinutes?: number;
  minFlashMinutes?: number;
  toNextMinutes?: number;
  maxRecoatMinutes?: number;
  beforeBakeMinutes?: number;
  bakeC?: number;
  bakeMinutes?: number;
  tapeMinutes?: number;
  sandMinutes?: number;
  wetSandMinutes?: number;
  wipeMinutes?: number;
  polishMinutes?: number;
  cureMinutes?: number;
};
export type Layer = { stage: Stage; carrier: Carrier; activated?: boolean; sheet?: SheetTimes };
export type NextStep = 'coat' | 'clear' | 'tape' | 'sandDry' | 'sandWet' | 'wipe' | 'bake' | 'polish';

const TIMES_LOG_SD = 0.25;
/** A filling primer is known by its film. */
const BUILD_FILM_UM = 70;
/** Where neither sheet nor class gives a time for later work, min at 20 °C. */
const LATER_FALLBACK_MINUTES = { tape: 60, sandDry: 180, sandWet: 720, wipe: 60, polish: 1440 } as const;
const ACTIVATED_TAPE_MINUTES = 960;
const DEFAULT_BEFORE_BAKE_MINUTES = 10;

export function materialClassOf({ stage, carrier, sheet }: Layer): MaterialClass {
  const isWaterborne = carrier === 'waterborne';
  if (stage === 'clear') return 'clearMediumSolids';
  if (stage === 'singleStage') return 'singleStage';
  if (stage === 'sealer') return isWaterborne ? 'waterborneSealer' : 'solventSealer';
  if (stage === 'primer')
    return isWaterborne ? 'waterborneSealer' : (sheet?.wetFilmUm ?? 0) >= BUILD_FILM_UM ? 'buildPrimer' : 'epoxyPrimer';
  return isWaterborne ? 'waterborneBase' : 'solventBase';
}

export type Wait = {
  sheetMinutes: number;
  floorMinutes: number;
  earliestMinutes: Spread;
  kind: 'flash' | 'cure';
  isSheet: boolean;
};

/** The wait before `next`, counted from the end of the last coat. */
export function waitBefore(next: NextStep, layer: Layer, factors: FlashFactors, effectiveC: number, mistCoat = false): Wait {
  if (next === 'coat' || next === 'clear') return flashWait(next, layer, factors, mistCoat);
  const sheetMinutes = laterMinutes(next, layer.sheet);
  const minutes = sheetMinutes ?? laterFallback(next, layer);
  const cold = layer.activated && next !== 'bake' ? CURE_Q10 ** (((layer.sheet?.atC ?? 20) - effectiveC) / 10) : factors.total;
  // Curing and the wait before heat are never shorter than the sheet's, however warm it is.
  const moved = logNormalSpread(minutes * Math.max(1, cold), TIMES_LOG_SD);
  return {
    sheetMinutes: minutes,
    floorMinutes: minutes,
    earliestMinutes: mapSpread(moved, (m) => Math.max(minutes, m)),
    kind: 'cure',
    isSheet: sheetMinutes !== undefined,
  };
}

function flashWait(next: 'coat' | 'clear', layer: Layer, factors: FlashFactors, mistCoat: boolean): Wait {
  const fallback = FALLBACK_MINUTES[materialClassOf(layer)];
  const flash = layer.sheet?.flashMinutes ?? fallback.flash;
  const sheetMinutes = next === 'coat' ? flash : (layer.sheet?.toNextMinutes ?? layer.sheet?.flashMinutes ?? fallback.last);
  const floorShare = Math.min(1, (layer.sheet?.minFlashMinutes ?? flash / 2) / flash);
  const floorMinutes = sheetMinutes * floorShare;
  const moved = mistCoat
    ? { value: floorMinutes, low: floorMinutes, high: sheetMinutes }
    : logNormalSpread(sheetMinutes * factors.total, TIMES_LOG_SD);
  return {
    sheetMinutes,
    floorMinutes,
    earliestMinutes: mapSpread(moved, (m) => Math.max(floorMinutes, m)),
    kind: 'flash',
    isSheet: layer.sheet?.flashMinutes !== undefined || layer.sheet?.toNextMinutes !== undefined,
  };
}

function laterMinutes(next: Exclude<NextStep, 'coat' | 'clear'>, sheet?: SheetTimes): number | undefined {
  if (!sheet) return undefined;
  return {
    tape: sheet.tapeMinutes,
    sandDry: sheet.sandMinutes,
    sandWet: sheet.wetSandMinutes ?? sheet.sandMinutes,
    wipe: sheet.wipeMinutes ?? sheet.toNextMinutes ?? sheet.flashMinutes,
    bake: sheet.beforeBakeMinutes,
    polish: sheet.polishMinutes,
  }[next];
}

function laterFallback(next: Exclude<NextStep, 'coat' | 'clear'>, { activated }: Layer): number {
  if (next === 'bake') return DEFAULT_BEFORE_BAKE_MINUTES;
  return activated && next === 'tape' ? ACTIVATED_TAPE_MINUTES : LATER_FALLBACK_MINUTES[next];
}

/** When the window closes: a two-pack film closes sooner in the warmth, never later than the sheet says. */
export function latestMinutesOf({ sheet, activated }: Layer, effectiveC: number): number | undefined {
  if (sheet?.maxRecoatMinutes === undefined) return undefined;
  return sheet.maxRecoatMinutes * (activated ? Math.min(1, CURE_Q10 ** ((sheet.atC - effectiveC) / 10)) : 1);
}
