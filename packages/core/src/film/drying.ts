/**
 * Coats drying on a panel: volatile through the film and off its surface, the panel's heat, and the
 * cure.
 *
 *   du_c/dt = d/dζ [m_c D φ² du_c/dζ], no flow below                                        [dry-1]
 *   J_c = π k_c V_c/(R T) [a_c p_c(T) − RH p_s(T_air) δ_cW];   g_h (u_N − u_s) = J(u_s)     [dry-2]
 *   C dT/dt = h (T_air − T) − Σ J ρ L_v;   in heat T = min(T_bake, T_0 + ramp t), the metal's
 *                                                                                           [dry-3]
 *
 *   π, the pace of the top coat, and of each coat's own D: not the water's                  [dry-4]
 *
 * Scheme  finite volume, backward Euler, two Picard rounds, elimination per volatile; step by the
 *         greatest change
 * Source  mass balance in solids-fixed coordinates (hartley-crank-1949); Flory–Huggins activity;
 *         MODEL 12
 */
import { IN_FILM, VOLATILES } from '../evaporation/solvents.ts';
import {
  activityFactor,
  coldness,
  curedAfter,
  CURE_HINDERS,
  lnDiffusivity,
  MOBILE_J_PER_MOL,
  TIGHT_J_PER_MOL,
} from './filmLaws.ts';
import { quickExp } from '../numerics/quickExp.ts';
import type { Stack, VolatileCells } from './stack.ts';
import { kelvin } from '../units/physical.ts';
import { type Row, type AirOver, driveOff, panelAfter } from './surface.ts';

/** Multipliers on what is not known: 1 as the card has it. */
export type DryingFactors = { evaporation: number; diffusion: number };
export type Panel = { temperatureC: number };
const PICARD_ROUNDS = 2;

/**
 * Room for a step, made once for a run: flat arrays, and volatiles by number in the order of
 * VOLATILES.
 */
export type Workspace = Record<'root' | 'face' | 'upper' | 'right' | 'total', Float64Array> & {
  /** What leaves each, m/s. */
  fluxes: Float64Array;
  row: Row;
};
/** Arrays that a step works in, made once for so many cells. */
export const workspaceFor = (cells: number): Workspace => {
  const make = () => new Float64Array(cells);
  return {
    root: make(),
    face: make(),
    upper: make(),
    right: make(),
    total: make(),
    fluxes: new Float64Array(VOLATILES.length),
    row: { mobility: 0, perSecond: 0, leaves: 0, drive: 0, back: 0 },
  };
};

/**
 * One step of the whole stack. `heatC` given: the panel is held there. @returns the greatest change
 * of volume share, and all that left, m
 */
export function dryingStep(
  stack: Stack,
  panel: Panel,
  air: AirOver,
  work: Workspace,
  { seconds, heatC, diffusion }: { seconds: number; heatC?: number | undefined; diffusion: number },
): { change: number; leftM: number } {
  const { cells, solidsM, perSpan, surface, solids, volatiles } = stack;
  const { root, face, total, fluxes, row } = work;
  const top = stack.coats.at(-1)!;
  const last = cells - 1;
  for (const volatile of volatiles)
    [volatile.before, volatile.held] = [volatile.held, volatile.before];
  const temperatureBeforeC = panel.temperatureC;
  if (heatC !== undefined) panel.temperatureC = heatC;
  for (let round = 0; round < PICARD_ROUNDS; round++) {
    const cold = coldness(kelvin(panel.temperatureC));
    mobilityRoots(stack, root, cold, diffusion);
    for (let i = 0; i < last; i++) face[i] = root[i]! * root[i + 1]! * perSpan[i]!;
    let onSolids = 1;
    for (const { index } of volatiles) onSolids += surface[index]!;
    const atSurface = 1 / onSolids;
    const halfTop =
      quickExp(0.5 * lnDiffusivity(top.constants, 1 - atSurface, cold, stack.cure[last]!)) *
      atSurface;
    const half = (2 * Math.sqrt(diffusion) * halfTop * root[last]!) / solidsM[last]!;
    const freely = atSurface * activityFactor(atSurface, SOLVENT_HOLD);
    for (let i = 0; i < cells; i++) total[i] = 1;
    for (const volatile of volatiles) {
      const { index, film } = volatile;
      const through = film.mobility * half;
      driveOff(row, volatile, stack, air, { panelC: panel.temperatureC, atSurface, freely });
      const { drive, back } = row;
      // A film drowned in dew has nothing to hand on, nor to give off.
      const both = Math.max(through + drive, LEAST_FLOW);
      row.mobility = film.mobility;
      row.perSecond = 1 / seconds;
      row.leaves = through / both;
      const uppermost = eliminate(volatile, work, solidsM, last);
      surface[index] = 0.5 * (surface[index]! + Math.max(0, (through * uppermost + back) / both));
      fluxes[index] = row.leaves * (drive * uppermost - back);
    }
    for (let i = 0; i < cells; i++) solids[i] = 1 / total[i]!;
    if (heatC === undefined)
      panel.temperatureC = panelAfter(temperatureBeforeC, air, stack, fluxes, seconds);
  }
  let gone = 0;
  for (const { index } of volatiles) gone += fluxes[index]!;
  return { change: greatestChange(stack), leftM: gone * seconds };
}

/** Of the volume share of any volatile in any cell, over the step. */
function greatestChange({ cells, solids, volatiles }: Stack): number {
  let change = 0;
  for (const { held, before } of volatiles)
    for (let i = 0; i < cells; i++) {
      const moved = solids[i]! * solids[i]! * Math.abs(held[i]! - before[i]!);
      if (moved > change) change = moved;
    }
  return change;
}
const LEAST_FLOW = 1e-300;
/** How the polymer holds any solvent: one figure for all of them. */
const SOLVENT_HOLD = IN_FILM.fast.interaction;

/** √(D φ²) of every cell: the mean of two neighbours is then a product. */
function mobilityRoots(
  { coats, solids: shares, cure }: Stack,
  root: Float64Array,
  cold: number,
  diffusion: number,
): void {
  const scale = Math.sqrt(diffusion);
  for (const { from, to, constants } of coats) {
    const { lnDry, lnSpan, bend } = constants;
    const lnBase = 0.5 * (lnDry - (MOBILE_J_PER_MOL + TIGHT_J_PER_MOL) * cold);
    const perG = 0.5 * (lnSpan + TIGHT_J_PER_MOL * cold) * (1 + bend);
    for (let i = from; i < to; i++) {
      const solids = shares[i]!;
      const volatile = 1 - solids;
      const cured = cure[i]!;
      root[i] =
        scale *
        solids *
        quickExp(
          lnBase + (perG * volatile) / (volatile + bend) - 0.5 * CURE_HINDERS * cured * cured,
        );
    }
  }
}

/**
 * One volatile through all cells: the rows of the implicit step are set up and eliminated in one
 * sweep (thomas-1949), which the diagonal, always the largest, keeps safe. What all of them take
 * per solids is summed on the way back.
 * @returns what the uppermost cell holds then
 */
function eliminate(
  { held: now, before }: VolatileCells,
  { face, upper, right, total, row }: Workspace,
  solidsM: Float64Array,
  last: number,
): number {
  const { mobility, perSecond, leaves, drive, back } = row;
  let [below, shareBelow, rightBelow] = [0, 0, 0];
  for (let i = 0; i < last; i++) {
    const stays = solidsM[i]! * perSecond;
    const above = mobility * face[i]!;
    const inverse = 1 / (stays + below + above - below * shareBelow);
    shareBelow = above * inverse;
    rightBelow = (stays * before[i]! + below * rightBelow) * inverse;
    upper[i] = shareBelow;
    right[i] = rightBelow;
    below = above;
  }
  const stays = solidsM[last]! * perSecond;
  let above =
    (stays * before[last]! + leaves * back + below * rightBelow) /
    (stays + below + leaves * drive - below * shareBelow);
  const uppermost = above;
  now[last] = above;
  total[last] = total[last]! + above;
  for (let i = last - 1; i >= 0; i--) {
    above = right[i]! + upper[i]! * above;
    now[i] = above;
    total[i] = total[i]! + above;
  }
  return uppermost;
}

/** The cure of every cell over a step. */
export function cureStep(
  { coats, solids: shares, cure }: Stack,
  temperatureC: number,
  seconds: number,
): void {
  for (const { from, to, data, coat } of coats) {
    if (data.curePerHour === 0) continue;
    const rate =
      (data.curePerHour / 3600) * coat.hardenerSpeed * data.cureQ10 ** ((temperatureC - 20) / 10);
    for (let i = from; i < to; i++) {
      const solids = shares[i]!;
      cure[i] = curedAfter(cure[i]!, rate * solids * Math.sqrt(solids), seconds);
    }
  }
}
