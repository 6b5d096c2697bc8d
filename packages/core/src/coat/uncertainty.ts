/**
 * How sure a prediction is: what nobody measured on this gun and this paint, and what their own
 * tests took away (MODEL 15).
 */
import type { Paint } from '../mix/paint.ts';
import {
  fitProduct,
  PRIOR_LOG_SD,
  type ProductFit,
  type FilmTest,
} from '../calibration/productFit.ts';
import { afterTest, flowLogSd } from '../gun/gunOutput.ts';
import { testsOf, type Gun, type KnownSettings } from '../gun/gun.ts';
import type { GunModel } from '../gun/gunModel.ts';
import type { Skill } from '../trade/vocabulary.ts';
import type { Unknowns } from './simulateCoat.ts';
import { combinedSd } from '../numerics/deviation.ts';

/**
 * Of what lands, of a film after a comb reading at these settings, and per unit of ln away from
 * them.
 */
const TRANSFER_LOG_SD = 0.11;
const COMB = { tested: 0.06, away: 0.35 } as const;
/**
 * How well an eye on the wet film holds it: it sees wetness on every pass and moves the hand.
 * Judgement.
 */
const EYE_LOG_SD: Record<Skill, number> = { learner: 0.2, able: 0.12, expert: 0.09 };
/** Of blush, on its log-odds. */
const BLUSH_LOGIT_SD = 0.6;

export type Uncertainty = {
  /** Best estimate of each unknown. */
  centre: Unknowns;
  logSd: Record<keyof Unknowns, number>;
  /** Of the film by gun and tests alone, without an eye on it. */
  openFilmLogSd: number;
  /** Comb readings at which this product ran: they tell its limit whatever makes it so. */
  runsSeen: number;
  popLogSd: number;
  blushLogitSd: number;
};

/**
 * What is not known of this gun, paint and hand, as deviations of logarithms, and where the shop's
 * own tests moved the middle.
 */
export function uncertaintyOf(
  gun: Gun,
  model: GunModel,
  settings: KnownSettings,
  paint: Paint,
  tests: readonly FilmTest[],
  skill: Skill = 'able',
): Uncertainty {
  const openFilmLogSd = filmLogSd(gun, model, settings);
  const fit = tests.length > 0 ? fitOnce(paint, tests) : undefined;
  return {
    centre: {
      evaporation: fit?.evaporation ?? 1,
      diffusion: fit?.diffusion ?? 1,
      viscosity: 1,
      amplitude: 1,
      sag: fit?.sag ?? 1,
      film: 1,
    },
    logSd: {
      evaporation: fit?.logSd.evaporation ?? PRIOR_LOG_SD.evaporation,
      diffusion: fit?.logSd.diffusion ?? PRIOR_LOG_SD.diffusion,
      viscosity: paint.viscosityFactor === 1 ? PRIOR_LOG_SD.viscosity : PRIOR_LOG_SD.viscosity / 2,
      amplitude: PRIOR_LOG_SD.amplitude,
      sag: fit?.logSd.sag ?? PRIOR_LOG_SD.sag,
      film: heldLogSd(openFilmLogSd, skill),
    },
    openFilmLogSd,
    runsSeen: tests.filter(({ kind }) => kind === 'ran').length,
    popLogSd: PRIOR_LOG_SD.pop,
    blushLogitSd: BLUSH_LOGIT_SD,
  };
}

/** Gun and eye are two measurements of one film. */
export const heldLogSd = (openLogSd: number, skill: Skill): number =>
  combinedSd(openLogSd, EYE_LOG_SD[skill]);

/**
 * Without an eye in the loop. Flow and landing together; a comb reading knows both at once, near
 * where it was taken.
 */
export function filmLogSd(gun: Gun, model: GunModel, settings: KnownSettings): number {
  const without = Math.hypot(flowLogSd(model, settings), TRANSFER_LOG_SD);
  const comb = testsOf(gun, settings.nozzleMm).findLast((test) => test.kind === 'comb');
  if (comb?.kind !== 'comb') return without;
  const apart = (a: number | undefined, b: number): number =>
    a === undefined ? 0.2 : Math.abs(Math.log(a / b));
  const away =
    apart(comb.settings.inletKPa, settings.inletKPa) +
    apart(comb.settings.fluidTurnsOut, settings.fluidTurnsOut) +
    apart(comb.settings.distanceMm, settings.distanceMm) +
    apart(comb.settings.gunSpeedMPerS, settings.gunSpeedMPerS);
  return afterTest(without, COMB, away);
}

/** A fit asks the film many times: kept for the products met last. */
const fits = new Map<string, ProductFit>();
const MOST_KEPT = 100;
function fitOnce(paint: Paint, tests: readonly FilmTest[]): ProductFit {
  const key = JSON.stringify([
    paint.materialClass,
    paint.mixture,
    paint.viscosityFactor,
    paint.hardenerSpeed,
    tests,
  ]);
  const known = fits.get(key) ?? fitProduct(paint, tests);
  if (fits.size >= MOST_KEPT) fits.clear();
  fits.set(key, known);
  return known;
}
