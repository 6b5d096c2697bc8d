/**
 * A product as this shop has seen it: how long it took to be ready, and at which comb reading it
 * ran.
 *
 *   minimise Σ ((ln t_model − ln t_seen)/0.12)² + (ln D/0.40)² + (ln E/0.30)²
 *     by damped Gauss–Newton
 *                                                                                           [fit-1]
 *   differences 0.08 forward, steps clamped at 0.7;  covariance (JᵀJ)⁻¹ at the end          [fit-2]
 *   ran at h:  ln θ_sag observed as ln(S₀/run(h)) with deviation 0.079 n, against a prior of 0.15 n
 *                                                                                           [fit-3]
 *
 * Source  maximum a posteriori with normal priors on logarithms (MODEL 15); 2 × 2 solved by
 *         Cramer's rule
 */
import type { Paint } from '../mix/paint.ts';
import { SHEET_AIR_SPEED_M_PER_S } from '../air/airMovement.ts';
import { splitArrival, usualLoss } from '../film/arrival.ts';
import { AS_THE_CARD, COARSE, runFilm } from '../film/filmRun.ts';
import type { FilmRun } from '../film/filmNotes.ts';
import { clamp } from '../numerics/rounding.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { EVAPORATION_LOG_SD } from '../reducer/openTime.ts';

/** What the shop saw of this product: each moves what the film is taken to do (MODEL 15). */
export type FilmTest =
  | {
      kind: 'touch';
      minutes: number;
      wetUm: number;
      airTemperatureC: number;
      relativeHumidityPercent: number;
      airSpeedMPerS?: number;
    }
  | { kind: 'ran'; combUm: number; slopeDeg?: number };

/**
 * Sag on ln of the film at which it runs; the others on their own logarithms, popping on its odds.
 */
export const PRIOR_LOG_SD: Record<
  'evaporation' | 'diffusion' | 'viscosity' | 'amplitude' | 'sag' | 'pop',
  number
> = {
  evaporation: EVAPORATION_LOG_SD,
  diffusion: 0.4,
  viscosity: 0.2,
  amplitude: 0.2,
  sag: 0.08,
  pop: 0.7,
};
const TIME_LOG_SD = 0.12;
/** Of a comb reading at which it ran, on ln of the film. */
export const RAN_LOG_SD = 0.079;
/**
 * Of the film at which a product runs that nobody saw run: flow, drying and eye together, on ln of
 * the film.
 */
const LIMIT_LOG_SD = 0.15;
const DIFFERENCE = 0.08;
const MOST_STEP = 0.7;
const ROUNDS = 6;
const LONGEST_MINUTES = 600;

export type ProductFit = {
  evaporation: number;
  diffusion: number;
  sag: number;
  logSd: { evaporation: number; diffusion: number; sag: number };
};
type Touch = Extract<FilmTest, { kind: 'touch' }>;

/**
 * A product's evaporation, diffusion and run limit as this shop's own tests have them, with what is
 * still unknown; the class's own where there are none. [fit-1, fit-2, fit-3]
 */
export function fitProduct(paint: Paint, tests: readonly FilmTest[]): ProductFit {
  const touches = tests.filter((test): test is Touch => test.kind === 'touch');
  const drying = touches.length > 0 ? fitDrying(paint, touches) : untouched();
  return { ...drying, ...fitSag(paint, tests, drying) };
}

const untouched = () => ({
  evaporation: 1,
  diffusion: 1,
  logSd: {
    evaporation: PRIOR_LOG_SD.evaporation,
    diffusion: PRIOR_LOG_SD.diffusion,
    sag: PRIOR_LOG_SD.sag,
  },
});

/** One coat at a stated film, without a gun. */
function alone(
  paint: Paint,
  at: {
    wetUm: number;
    airC: number;
    humidity: number;
    speed: number;
    slopeDeg: number;
    minutes: number;
    untilReady: boolean;
  },
  factors: { evaporation: number; diffusion: number },
): FilmRun {
  const loss = usualLoss(paint.materialClass, paint.mixture, {
    effectiveC: at.airC,
    airSpeedMPerS: at.speed,
  });
  return runFilm(
    {
      coats: [
        {
          materialClass: paint.materialClass,
          mixture: paint.mixture,
          wetFilmM: at.wetUm * 1e-6,
          arrived: splitArrival(paint.mixture, 1 - loss),
          dropM: 30e-6,
          landsAtSeconds: 0,
          gradeSlowFraction: paint.gradeSlowFraction,
          hardenerSpeed: paint.hardenerSpeed,
          viscosityFactor: paint.viscosityFactor,
        },
      ],
      around: {
        roomAir: { airTemperatureC: at.airC, relativeHumidityPercent: at.humidity },
        airSpeedMPerS: at.speed,
        substrate: 'metal',
      },
      panelC: at.airC,
      slopeDeg: at.slopeDeg,
      endSeconds: at.minutes * 60,
      untilReady: at.untilReady,
    },
    { ...AS_THE_CARD, ...factors },
    COARSE,
  );
}

function fitDrying(paint: Paint, touches: readonly Touch[]): ReturnType<typeof untouched> {
  const misses = (evaporation: number, diffusion: number): number[] => [
    ...touches.map((test) => {
      const run = alone(
        paint,
        {
          wetUm: test.wetUm,
          airC: test.airTemperatureC,
          humidity: test.relativeHumidityPercent,
          speed: test.airSpeedMPerS ?? SHEET_AIR_SPEED_M_PER_S,
          slopeDeg: 0,
          minutes: LONGEST_MINUTES,
          untilReady: true,
        },
        { evaporation: Math.exp(evaporation), diffusion: Math.exp(diffusion) },
      );
      return (
        Math.log((run.readySeconds[0] ?? LONGEST_MINUTES * 60) / (test.minutes * 60)) / TIME_LOG_SD
      );
    }),
    evaporation / PRIOR_LOG_SD.evaporation,
    diffusion / PRIOR_LOG_SD.diffusion,
  ];
  const { at, sd } = leastSquares(misses);
  return {
    evaporation: Math.exp(at[0]),
    diffusion: Math.exp(at[1]),
    logSd: { evaporation: sd[0], diffusion: sd[1], sag: PRIOR_LOG_SD.sag },
  };
}

type Pair = [number, number];

/**
 * Least squares of two unknowns by Gauss–Newton with bounded steps; their deviations from the
 * inverse of the normal matrix. @param misses each over its own deviation
 */
function leastSquares(misses: (x: number, y: number) => number[]): { at: Pair; sd: Pair } {
  let [x, y] = [0, 0];
  let [a, b, d] = [1, 0, 1];
  for (let round = 0; round < ROUNDS; round++) {
    const here = misses(x, y);
    const slope = (there: number[]) => there.map((miss, i) => (miss - here[i]!) / DIFFERENCE);
    const [byX, byY] = [slope(misses(x + DIFFERENCE, y)), slope(misses(x, y + DIFFERENCE))];
    [a, b, d] = [dot(byX, byX), dot(byX, byY), dot(byY, byY)];
    const [p, q] = [dot(byX, here), dot(byY, here)];
    const determinant = a * d - b * b;
    const [stepX, stepY] = [-(d * p - b * q) / determinant, -(a * q - b * p) / determinant];
    x += clamp(stepX, -MOST_STEP, MOST_STEP);
    y += clamp(stepY, -MOST_STEP, MOST_STEP);
    if (Math.abs(stepX) + Math.abs(stepY) < SETTLED) break;
  }
  const determinant = a * d - b * b;
  return { at: [x, y], sd: [Math.sqrt(d / determinant), Math.sqrt(a / determinant)] };
}
const SETTLED = 0.005;
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * b[i]!, 0);

const RAN_AT = {
  airC: 21,
  humidity: 50,
  speed: SHEET_AIR_SPEED_M_PER_S,
  minutes: 30,
  untilReady: false,
};

/** Precision-weighted mean of the prior and what ran. [fit-3] */
function fitSag(
  paint: Paint,
  tests: readonly FilmTest[],
  drying: ReturnType<typeof untouched>,
): Pick<ProductFit, 'sag' | 'logSd'> {
  const { travelMm, perFilm } = MATERIALS[paint.materialClass].film.runs;
  let [precision, weighted] = [1 / LIMIT_LOG_SD ** 2, 0];
  for (const test of tests) {
    if (test.kind !== 'ran') continue;
    const run = alone(
      paint,
      { ...RAN_AT, wetUm: test.combUm, slopeDeg: test.slopeDeg ?? 90 },
      drying,
    );
    const seen = clamp(Math.log(travelMm / Math.max(run.runM * 1000, 1e-3)) / perFilm, -1, 1);
    precision += 1 / RAN_LOG_SD ** 2;
    weighted += seen / RAN_LOG_SD ** 2;
  }
  // What is left of the eye's own doubt is never more than it was.
  const sag = Math.min(PRIOR_LOG_SD.sag, Math.sqrt(1 / precision));
  return { sag: Math.exp((perFilm * weighted) / precision), logSd: { ...drying.logSd, sag } };
}
