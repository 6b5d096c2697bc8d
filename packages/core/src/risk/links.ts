/**
 * From what a film does to how likely an able painter would want it mended.
 *
 *   P(peel)  = Φ((5.5 − index)/0.9)             P(run)  = Φ(ln(S/12 mm)/0.45)                               [link-1]
 *   P(dry)   = Φ(ln(0.75/wet)/0.25)             P(stripe) = Φ(ln(stripe/c)/0.3), c by what shows            [link-2]
 *   P(mottle) = σ(2.2 (max(w, d) − 1.2)): clouds where it stays wet, dry stripes where it does not          [link-3]
 *   P(pinhole) = σ(1.4 [2.2(h/h_ref − 1.3) + 1.2(v/1.5 − 1.2) + 6(v_s − 0.25) + 0.6 if skin/ready < 0.6])     [link-4]
 *   blush = σ(0.8 (T_dew − (T_panel − 3.5 E^0.7) − 1))                                                     [link-5]
 *
 * Source  judgement, all of it, in the shape of probit and logit links (MODEL 13); Φ from Abramowitz & Stegun 7.1.26
 */
import { clamp } from '../numerics/rounding.ts';

export const RUN_STARTS_MM = 12;

/** Φ by Abramowitz & Stegun 7.1.26: within 1.5e−7. */
export function normalShare(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const poly = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-z * z);
  return x >= 0 ? 0.5 * (1 + erf) : 0.5 * (1 - erf);
}
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
export const logit = (p: number): number => Math.log(p / (1 - p));

/** Each link as the number of deviations beyond its middle; Φ of it is the probability. [link-1, link-2] */
export const peelDeviations = (peelIndex: number): number => (5.5 - peelIndex) / 0.9;
export const runDeviations = (sagMm: number): number => Math.log(Math.max(sagMm, 1e-9) / RUN_STARTS_MM) / 0.45;
export const dryDeviations = (wetness: number): number => Math.log(0.75 / Math.max(wetness, 1e-9)) / 0.25;
export type Shows = 'effectBase' | 'solid' | 'covered';
const STRIPE_SHOWS: Record<Shows, number> = { effectBase: 1.3, solid: 1.8, covered: 2.2 };
export const stripeDeviations = (stripeIndex: number, shows: Shows): number =>
  Math.log(Math.max(stripeIndex, 1e-9) / STRIPE_SHOWS[shows]) / 0.3;

export type MottleInput = {
  /** Film against the class's own. */
  filmShare: number;
  skinSeconds: number;
  landedPaS: number;
  /** Reducer parts over the standard mix's. */
  reducerShare: number;
  /** The skin and the viscosity that this base's flake wants. */
  usual: { skinSeconds: number; landedPaS: number };
};
/** How far from even the flake lies: clouds or dry stripes, the worse. [link-3] */
export function mottleIndex({ filmShare, skinSeconds, landedPaS, reducerShare, usual }: MottleInput): number {
  // Far beyond any paint the logarithms would run away.
  const skin = clamp(skinSeconds, 1, 1e5);
  const thick = clamp(landedPaS, 1e-4, 1e6);
  const clouds = 2.5 * Math.log(filmShare) + 0.8 * Math.log(skin / usual.skinSeconds) + 1.5 * (reducerShare - 1);
  const dryStripes = -2.5 * Math.log(filmShare) + Math.log(thick / usual.landedPaS) - 0.3;
  return Math.max(clouds, dryStripes);
}
export const mottleLogit = (index: number): number => 2.2 * (index - 1.2);

export type PinholeInput = {
  filmShare: number;
  airSpeedMPerS: number;
  /** Volatile near the surface when the next thing comes, share of volume. */
  volatileAtNext: number;
  /** Skin over ready; absent where either is not reached. */
  skinShare?: number | undefined;
};
/** [link-4] */
export const pinholeLogit = ({ filmShare, airSpeedMPerS, volatileAtNext, skinShare }: PinholeInput): number =>
  1.4 *
  (2.2 * (filmShare - 1.3) +
    1.2 * (airSpeedMPerS / 1.5 - 1.2) +
    6 * (volatileAtNext - 0.25) +
    (skinShare !== undefined && skinShare < 0.6 ? 0.6 : 0));

/** Damp that settles on a film cooled by its own drying. [link-5] */
export const blushLogit = (at: { dewC: number; panelC: number; evaporation: number }): number =>
  0.8 * (at.dewC - (at.panelC - 3.5 * at.evaporation ** 0.7) - 1);
