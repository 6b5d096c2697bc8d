/**
 * Solvent popping as deviations from the sheet's own way: 3 % on its schedule, film, grade and
 * room, and what each step away from them does to the odds.
 *
 *   with heat    L = logit 0.03 + Σ;   without  L = logit 0.03 − 1.2 + lid (1 − e^(−Σ⁺/6)) + Σ⁻,
 *     lid 4 under gloss, else 3
 *                                                                                           [pop-0]
 *   Σ = film + film below + flash + wet under + slope + wait + fast + heat + air + retained
 *                                                                                           [pop-1]
 *   need_i = sheet minutes · clim_i · max(0.5, h_i/H_i)^b                                   [pop-2]
 *   clim   = max(1, min(1, E_rel)^(−a c)), c = clamp((26 − T_e)/6, 0, 1);
 *     waterborne (E_wb/E_wb,sheet)^−c
 *                                                                                           [pop-3]
 *
 * Source  judgement in logistic form, built for its laws (MODEL 14); to be re-fitted from logged
 *         jobs
 * Ignores still air, which the clock of waits asks about; bubble physics, which gives no threshold
 */
import { clamp } from '../numerics/rounding.ts';
import { logit } from '../numerics/probability.ts';

export type PopCoat = {
  isTopMaterial: boolean;
  isWaterborne: boolean;
  /** Film over the sheet's. */
  filmShare: number;
  /** Film as the sheet has it, any unit, one for all. */
  sheetFilm: number;
  /** Until the next coat, or until heat. */
  flashMinutes: number;
  sheetMinutes: number;
  /** Exponents of the clock of waits: by evaporation and by film. */
  exponents: { evaporation: number; film: number };
  /** How quickly its grade leaves here over the sheet's grade in the sheet's air. */
  relativeEvaporation: number;
  /** Waterborne: the drying of today's air over the sheet's. */
  waterEvaporation: number;
  /** Air over this coat while wet, m/s, and from which minute. */
  airSpeedMPerS: number;
  airFromMinute: number;
};
export type PopInput = {
  /** Lowest first. */
  coats: readonly PopCoat[];
  effectiveC: number;
  roomSpeedMPerS: number;
  /** Of the hardener in the top material; absent where it has none. */
  hardenerSpeed?: number | undefined;
  heat?: { toC: number; rampCPerMin: number; isLamp?: boolean } | undefined;
  /** Coats that the sheet has of the top material; absent: as many as there are. */
  sheetCoats?: number | undefined;
  /** Volatile left at heat over that of the sheet's own stack. */
  retained: number;
};
export type PopTerm =
  | 'film'
  | 'filmBelow'
  | 'flash'
  | 'wetUnder'
  | 'slope'
  | 'wait'
  | 'fast'
  | 'heat'
  | 'air'
  | 'retained'
  | 'noHeat';

const SHEET_RISK = 0.03;
const positive = (x: number): number => Math.max(0, x);
const LN_2 = Math.LN2;

/** How much longer than the sheet's this coat needs here. [pop-3] */
export function climateNeed(coat: PopCoat, effectiveC: number): number {
  if (coat.isWaterborne)
    return Math.max(coat.waterEvaporation, 0.02) ** -coat.exponents.evaporation;
  const cold = clamp((26 - effectiveC) / 6, 0, 1);
  return Math.max(1, Math.min(1, coat.relativeEvaporation) ** (-coat.exponents.evaporation * cold));
}
/** [pop-2] */
export const needMinutes = (coat: PopCoat, effectiveC: number): number =>
  coat.sheetMinutes *
  climateNeed(coat, effectiveC) *
  Math.max(0.5, coat.filmShare) ** coat.exponents.film;

/** A gap of no time at all still counts as a few seconds: logarithms want it. */
const LEAST_MINUTES = 0.05;

/** What each deviation from the sheet adds to popping, in logits. [pop-1, pop-2, pop-3] */
export function popTerms(input: PopInput): Record<PopTerm, number> {
  const { coats, effectiveC, heat } = input;
  const needs = coats.map((coat) => needMinutes(coat, effectiveC));
  const gaps = coats.map((coat) => Math.max(LEAST_MINUTES, coat.flashMinutes));
  const last = coats.length - 1;
  const top = coats.filter(({ isTopMaterial }) => isTopMaterial);
  const below = coats.filter(({ isTopMaterial }) => !isTopMaterial);
  return {
    film: filmTerm(top, input.sheetCoats),
    filmBelow: below.reduce(
      (sum, { filmShare }) => sum + 0.4 * Math.max(-0.5, Math.log(filmShare)),
      0,
    ),
    flash: flashTerm(coats, needs, gaps),
    wetUnder: coats.reduce(
      (sum, coat, i) =>
        i < last && coat.isWaterborne && !coats[i + 1]!.isWaterborne
          ? sum + 1.5 * positive(Math.log(needs[i]! / gaps[i]!))
          : sum,
      0,
    ),
    slope: needs.reduce((sum, need, i) => sum + 0.03 * Math.log(need / gaps[i]!), 0),
    wait: heat ? waitTerm(needs[last]!, coats[last]!.flashMinutes) : 0,
    fast: fastTerm(input),
    heat: heat ? heatTerm(heat) : 0,
    air: airTerm(input, needs),
    retained: 1.2 * positive(Math.log(input.retained)),
    noHeat: heat ? 0 : -1.2,
  };
}
/**
 * Popping needs heat or a lid: in air alone there is only so much of it, more under what closes
 * hard.
 */
const LID = { gloss: 4, open: 3 } as const;
const LID_FILLS_OVER = 6;
/** @param isGloss whether the top closes hard: clears and single stage [pop-0] */
export function popLogit(terms: Record<PopTerm, number>, isGloss: boolean): number {
  const { noHeat, ...others } = terms;
  const sum = Object.values(others).reduce((total, term) => total + term, 0);
  const lid = isGloss ? LID.gloss : LID.open;
  const counts = noHeat === 0 || sum <= 0 ? sum : lid * (1 - Math.exp(-sum / LID_FILLS_OVER));
  return logit(SHEET_RISK) + noHeat + counts;
}

function filmTerm(top: readonly PopCoat[], sheetCoats = top.length): number {
  const film = top.reduce((sum, coat) => sum + coat.filmShare * coat.sheetFilm, 0);
  const wanted = (top.reduce((sum, coat) => sum + coat.sheetFilm, 0) * sheetCoats) / top.length;
  const x = Math.max(-0.5, Math.log(film / wanted));
  return x > 0 ? 2.5 * x : 1.25 * x;
}

function flashTerm(
  coats: readonly PopCoat[],
  needs: readonly number[],
  gaps: readonly number[],
): number {
  const each = coats.slice(0, -1).flatMap((coat, i) => {
    if (coat.isWaterborne) return [];
    const short = Math.log(needs[i]! / gaps[i]!);
    const heavy = Math.max(coat.filmShare, coats[i + 1]!.filmShare);
    return [
      short > 0
        ? 1.3 * short * (1 + positive(Math.log(heavy) / Math.log(1.3)))
        : 0.25 * Math.max(short, -LN_2),
    ];
  });
  if (each.length === 0) return 0;
  const largest = Math.max(...each);
  return largest <= 0
    ? largest
    : 0.5 * each.reduce((sum, term) => sum + positive(term), 0) + 0.5 * largest;
}

function waitTerm(need: number, waited: number): number {
  const x = Math.log((need + 2) / (waited + 2));
  return x > 0 ? 1.2 * x : 0.36 * Math.max(x, -LN_2);
}

/** Half a grade too quick is no fault. */
const HALF_A_GRADE = 1.2;
function fastTerm({ coats, hardenerSpeed, effectiveC }: PopInput): number {
  const grade = Math.max(
    0,
    ...coats.map(({ isWaterborne, isTopMaterial, relativeEvaporation }) =>
      isWaterborne
        ? 0
        : (isTopMaterial ? 2 : 1) * positive(Math.log(relativeEvaporation / HALF_A_GRADE)),
    ),
  );
  const right = clamp(2 ** ((22 - effectiveC) / 8), 0.5, 2);
  return (
    grade + (hardenerSpeed === undefined ? 0 : 0.6 * positive(Math.log(hardenerSpeed / right)))
  );
}

function heatTerm({ toC, rampCPerMin, isLamp = false }: NonNullable<PopInput['heat']>): number {
  const steep = Math.log(rampCPerMin / 4);
  return (
    (steep > 0 ? steep : 0.5 * Math.max(steep, -LN_2)) +
    (isLamp ? 0.8 : 0) +
    0.08 * Math.max(-10, toC - 60)
  );
}

function airTerm({ coats, roomSpeedMPerS }: PopInput, needs: readonly number[]): number {
  const room = Math.max(roomSpeedMPerS, 0.3);
  const blown = coats.map((coat, i) =>
    coat.isWaterborne
      ? 0
      : positive(Math.log(coat.airSpeedMPerS / room)) *
        clamp(1 - coat.airFromMinute / needs[i]!, 0, 1),
  );
  return 0.5 * (Math.log(room / 0.3) + Math.max(0, ...blown));
}
