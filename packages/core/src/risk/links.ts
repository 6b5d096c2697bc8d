/**
 * From what a film does to how likely an able painter would want it mended.
 *
 *   P(peel)  = Φ((5.5 − index)/0.9)             P(run)  = Φ(ln(run/S)/(0.11 n)),
 *     S = S* e^(0.015 n (T_e − 21 °C)), S* and n its class's
 *                                                                                          [link-1]
 *   P(dry)   = Φ(max(ln(0.75/wet)/0.25, ln(lap/open)/0.35)),   P(stripe) = Φ(ln(stripe/c)/0.3),
 *     c by what shows
 *                                                                                          [link-2]
 *   P(mottle) = σ(2.2 (max(w, d) − 1.2)): clouds where it stays wet, dry stripes where it does not
 *                                                                                          [link-3]
 *   P(pinhole) = σ(1.4 [2.2(h/h_ref − 1.3) + 1.2(v/1.5 − 1.2) + 6(v_s − 0.25) − 0.3])      [link-4]
 *   blush = σ(0.8 (T_dew − (T_panel − 3.5 E^0.7) − 1) − 3.5 where it cures)                [link-5]
 *
 * Source  judgement, all of it, in the shape of probit and logit links (MODEL 13); Φ from
 *         abramowitz-stegun-1964, 7.1.26
 */
import { clamp } from '../numerics/rounding.ts';

/**
 * Where each link has its middle, and how wide it is on its own scale: a factor of two in odds of
 * judgement each.
 *
 * - peel: an index of 5.5 is a finish that half the painters would rub down; eyes differ by 0.9
 * - run, on ln of the film: places and eyes differ by so much
 * - dryFilm: under three quarters of a wet film it looks dry, on ln of the wetness
 * - closed: overspray on a film of just its open time, on ln of the time
 * - stripe: the index that shows depends on what lies under it, on ln of the index
 * - mottle, as a logit: an index of 1.2, and how steep
 */
export const LINK = {
  peel: { middle: 5.5, width: 0.9 },
  run: { width: 0.11 },
  dryFilm: { middle: 0.75, width: 0.25 },
  closed: { width: 0.35 },
  stripe: { middle: { effectBase: 1.3, solid: 1.8, covered: 2.2 }, width: 0.3 },
  mottle: { middle: 1.2, steepness: 2.2 },
} as const;

/**
 * Each link as the number of deviations beyond its middle; Φ of it is the probability. [link-1,
 * link-2]
 */
export const peelDeviations = (peelIndex: number): number =>
  (LINK.peel.middle - peelIndex) / LINK.peel.width;
export type Runs = { travelMm: number; perFilm: number };
/**
 * At a grade's own temperature a coat runs at about the same film, cold or warm: painters change
 * the grade, not the film. The paint alone, thinner in the warm, would give 95 µm at 14 °C and 70
 * at 34 of a clear that runs at 88; so much on ln of the film per K.
 */
const LIMIT_PER_K = 0.015;
const LIMIT_AT_C = 21;
/** The travel at which a coat runs, for the temperature it works at. */
export const runsAt = ({ travelMm, perFilm }: Runs, effectiveC: number): Runs => ({
  travelMm: travelMm * Math.exp(LIMIT_PER_K * perFilm * (effectiveC - LIMIT_AT_C)),
  perFilm,
});
/** How far a run of so many mm is beyond the middle of its link. */
export const runDeviations = (runMm: number, { travelMm, perFilm }: Runs): number =>
  Math.log(Math.max(runMm, 1e-9) / travelMm) / (LINK.run.width * perFilm);
/** The film at which this stack would run here: travel goes with a power of the film. */
export const runsFromUm = (filmUm: number, runMm: number, { travelMm, perFilm }: Runs): number =>
  filmUm * (travelMm / runMm) ** (1 / perFilm);
const dryByFilm = (wetness: number): number =>
  Math.log(LINK.dryFilm.middle / Math.max(wetness, 1e-9)) / LINK.dryFilm.width;
/** Overspray of the next passes stands on a film that has closed. */
export const closedDeviations = (lapSeconds: number, openSeconds: number): number =>
  Math.log(lapSeconds / openSeconds) / LINK.closed.width;
/** The worse of too dry a film and too late a pass. */
export const dryDeviations = (at: {
  wetness: number;
  lapSeconds: number;
  openSeconds: number;
}): number => Math.max(dryByFilm(at.wetness), closedDeviations(at.lapSeconds, at.openSeconds));
export type Shows = keyof typeof LINK.stripe.middle;
/** How far stripes are beyond what shows on such a coat. */
export const stripeDeviations = (stripeIndex: number, shows: Shows): number =>
  Math.log(Math.max(stripeIndex, 1e-9) / LINK.stripe.middle[shows]) / LINK.stripe.width;

export type MottleInput = {
  /** Film against the class's own. */
  filmShare: number;
  /** How long it stays wet. */
  skinSeconds: number;
  /** How far the air dries beyond what flake can follow, ln; nought where it does not. */
  lockedIn: number;
  landedPaS: number;
  /** Reducer parts over the standard mix's. */
  reducerShare: number;
  /** The skin and the viscosity that this base's flake wants. */
  usual: { skinSeconds: number; landedPaS: number };
};
/** How far from even the flake lies: clouds or dry stripes, the worse. [link-3] */
export function mottleIndex({
  filmShare,
  skinSeconds,
  lockedIn,
  landedPaS,
  reducerShare,
  usual,
}: MottleInput): number {
  // Far beyond any paint the logarithms would run away.
  const skin = clamp(skinSeconds, 1, 1e5);
  const thick = clamp(landedPaS, 1e-4, 1e6);
  const clouds =
    2.5 * Math.log(filmShare) + 0.8 * Math.log(skin / usual.skinSeconds) + 1.5 * (reducerShare - 1);
  const dryStripes =
    -2.5 * Math.log(filmShare) + Math.log(thick / usual.landedPaS) - 0.3 + 1.2 * lockedIn;
  return Math.max(clouds, dryStripes);
}
/** Log odds of mottle. [link-3] */
export const mottleLogit = (index: number): number =>
  LINK.mottle.steepness * (index - LINK.mottle.middle);

export type PinholeInput = {
  filmShare: number;
  airSpeedMPerS: number;
  /** Volatile near the surface when the next thing comes, share of volume. */
  volatileAtNext: number;
};
/** [link-4] */
export const pinholeLogit = ({ filmShare, airSpeedMPerS, volatileAtNext }: PinholeInput): number =>
  1.4 *
  (2.2 * (filmShare - 1.3) + 1.2 * (airSpeedMPerS / 1.5 - 1.2) + 6 * (volatileAtNext - 0.25) - 0.3);

/** A film that cures hardly whitens. */
const CURES_LOGIT = -3.5;
/**
 * Damp that settles on a film cooled by its own drying; what only dries, as a lacquer does, takes
 * it. [link-5]
 */
export const blushLogit = (at: {
  dewC: number;
  panelC: number;
  evaporation: number;
  cures: boolean;
}): number =>
  0.8 * (at.dewC - (at.panelC - 3.5 * at.evaporation ** 0.7) - 1) + (at.cures ? CURES_LOGIT : 0);
