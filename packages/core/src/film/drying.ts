/**
 * Coats drying on a panel: volatile through the film and off its surface, the panel's heat, and the cure.
 *
 *   du_c/dt = d/dζ [m_c D φ² du_c/dζ], no flow below                                                        [dry-1]
 *   J_c = π k_c V_c/(R T) [a_c p_c(T) − RH p_s(T_air) δ_cW];   g_h (u_N − u_s) = J(u_s)                      [dry-2]
 *   C dT/dt = h (T_air − T) − Σ J ρ L_v;   in heat T = min(T_bake, T_0 + ramp t), the metal's                [dry-3]
 *
 *   π, the pace of the top coat, and of each coat's own D: not the water's                                 [dry-4]
 *
 * Scheme  finite volume, backward Euler, two Picard rounds, elimination per volatile; step by the greatest change
 * Source  mass balance in solids-fixed coordinates (Hartley & Crank 1949); Flory–Huggins activity; MODEL 12
 */
import { saturationPressurePa, vapourPressurePa, type HumidAir } from '../air/humidAir.ts';
import { transferCoefficientMPerS } from '../evaporation/massTransfer.ts';
import { eachVolatile, IN_FILM, SOLVENTS, solventPressurePa, VOLATILES, type Volatile } from '../evaporation/solvents.ts';
import { clamp } from '../numerics/rounding.ts';
import { activityFactor, coldness, curedAfter, diffusivityM2PerS, GAS_CONSTANT_J_PER_MOL_K } from './filmLaws.ts';
import { updateSolids, type CoatCells, type Stack } from './stack.ts';

export type Surroundings = {
  room: HumidAir;
  airSpeedMPerS: number;
  substrate: 'metal' | 'plastic' | 'composite';
};
/** Multipliers on what is not known: 1 as the card has it. */
export type DryingFactors = { evaporation: number; diffusion: number };
export type Panel = { temperatureC: number };

const ZERO_C_K = 273.15;
const HEAT_CAPACITY_J_PER_M2_K = { metal: 2900, plastic: 5100, composite: 5100 } as const;
const RADIATION_W_PER_M2_K = 5.2;
/** Water under a solvent-borne top hardly enters it. */
const WATER_UNDER_SOLVENT = 3.2;
const PICARD_ROUNDS = 2;

/** What the air does, worked out once for a room and a speed. */
export type AirOver = {
  carriesMPerS: Record<Volatile, number>;
  vapourPa: number;
  airC: number;
  heatWPerM2K: number;
  capacity: number;
};
export function airOver({ room, airSpeedMPerS, substrate }: Surroundings, evaporation: number): AirOver {
  const carries = (name: Volatile) => transferCoefficientMPerS(IN_FILM[name].airDiffusivityM2PerS, airSpeedMPerS);
  const water = carries('water');
  return {
    carriesMPerS: eachVolatile((name) => carries(name) * evaporation),
    vapourPa: vapourPressurePa(room),
    airC: room.airTemperatureC,
    heatWPerM2K: 1.2 * 1005 * water * 0.87 ** (2 / 3) + RADIATION_W_PER_M2_K,
    capacity: HEAT_CAPACITY_J_PER_M2_K[substrate],
  };
}

const pressurePa = (name: Volatile, temperatureC: number): number =>
  name === 'water' ? saturationPressurePa(temperatureC) : solventPressurePa(SOLVENTS[name], temperatureC);

export type Workspace = Record<'mobility' | 'face' | 'upper' | 'right', Float64Array> & {
  before: Record<Volatile, Float64Array>;
};
export const workspaceFor = (cells: number): Workspace => {
  const make = () => new Float64Array(cells);
  return {
    mobility: make(),
    face: make(),
    upper: make(),
    right: make(),
    before: { water: make(), fast: make(), middle: make(), slow: make() },
  };
};

/** One step of the whole stack. `heatC` given: the panel is held there. @returns the greatest change of volume share, and what left, m */
export function dryingStep(
  stack: Stack,
  panel: Panel,
  air: AirOver,
  work: Workspace,
  { seconds, heatC, diffusion }: { seconds: number; heatC?: number | undefined; diffusion: number },
): { change: number; leftM: Record<Volatile, number> } {
  const { cells, solidsM, held, surface } = stack;
  const top = stack.coats.at(-1)!;
  const last = cells - 1;
  for (const name of VOLATILES) if (stack.holds[name]) work.before[name].set(held[name]);
  const temperatureBeforeC = panel.temperatureC;
  if (heatC !== undefined) panel.temperatureC = heatC;
  const fluxes = eachVolatile(() => 0);
  for (let round = 0; round < PICARD_ROUNDS; round++) {
    const temperatureK = panel.temperatureC + ZERO_C_K;
    const cold = coldness(temperatureK);
    if (round > 0) updateSolids(stack);
    mobilities(stack, work.mobility, cold, diffusion);
    const { mobility, face } = work;
    for (let i = 0; i < last; i++) face[i] = (2 * Math.sqrt(mobility[i]! * mobility[i + 1]!)) / (solidsM[i]! + solidsM[i + 1]!);
    const atSurface = 1 / (1 + surface.water + surface.fast + surface.middle + surface.slow);
    const surfaceMobility =
      diffusion * diffusivityM2PerS(top.constants, 1 - atSurface, cold, stack.cure[last]!) * atSurface * atSurface;
    const half = (2 * Math.sqrt(surfaceMobility * work.mobility[last]!)) / solidsM[last]!;
    for (const name of VOLATILES) {
      if (!stack.holds[name]) continue;
      fluxes[name] = solveOne(stack, work, air, name, { seconds, temperatureC: panel.temperatureC, half, atSurface, top });
    }
    if (heatC === undefined) panel.temperatureC = panelAfter(temperatureBeforeC, air, fluxes, seconds);
  }
  updateSolids(stack);
  let change = 0;
  for (const name of VOLATILES) {
    if (!stack.holds[name]) continue;
    const [is, was] = [held[name], work.before[name]];
    for (let i = 0; i < cells; i++) {
      const moved = stack.solids[i]! * stack.solids[i]! * Math.abs(is[i]! - was[i]!);
      if (moved > change) change = moved;
    }
  }
  return {
    change,
    leftM: eachVolatile((name) => fluxes[name] * seconds),
  };
}

/** D φ² of every cell. */
function mobilities({ coats, solids: shares, cure }: Stack, mobility: Float64Array, cold: number, diffusion: number): void {
  for (const { from, to, constants } of coats)
    for (let i = from; i < to; i++) {
      const solids = shares[i]!;
      mobility[i] = diffusion * diffusivityM2PerS(constants, 1 - solids, cold, cure[i]!) * solids * solids;
    }
}

/**
 * One volatile through all cells: the rows of the implicit step are set up and eliminated in one sweep (Thomas 1949),
 * which the diagonal, always the largest, keeps safe. @returns what leaves the surface, m/s
 */
function solveOne(
  { cells, solidsM, held, surface }: Stack,
  { face, upper, right, before: beforeAll }: Workspace,
  air: AirOver,
  name: Volatile,
  at: { seconds: number; temperatureC: number; half: number; atSurface: number; top: CoatCells },
): number {
  const { molarVolumeM3PerMol, interaction, mobility } = IN_FILM[name];
  const { atSurface, top } = at;
  const [before, now] = [beforeAll[name], held[name]];
  const polymerHolds = name === 'water' && !top.isWaterborne ? WATER_UNDER_SOLVENT : interaction;
  const pace = name === 'water' ? 1 : top.pace;
  const carried =
    (pace * air.carriesMPerS[name] * molarVolumeM3PerMol) / (GAS_CONSTANT_J_PER_MOL_K * (at.temperatureC + ZERO_C_K));
  // Activity over volatile per solids, taken from the last round; water is never more active than water.
  const free = atSurface * activityFactor(atSurface, polymerHolds);
  const perHeld = name === 'water' && surface.water * free > 1 ? 1 / surface.water : free;
  const drive = carried * pressurePa(name, at.temperatureC) * perHeld;
  const back = name === 'water' ? carried * air.vapourPa : 0;
  const half = mobility * at.half;
  const leaves = half / (half + drive);
  const last = cells - 1;
  const perSecond = 1 / at.seconds;
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
    (stays * before[last]! + leaves * back + below * rightBelow) / (stays + below + leaves * drive - below * shareBelow);
  const uppermost = above;
  now[last] = above;
  for (let i = last - 1; i >= 0; i--) {
    above = right[i]! + upper[i]! * above;
    now[i] = above;
  }
  surface[name] = 0.5 * (surface[name] + Math.max(0, (half * uppermost + back) / (half + drive)));
  return leaves * (drive * uppermost - back);
}

function panelAfter(beforeC: number, air: AirOver, fluxes: Record<Volatile, number>, seconds: number): number {
  let cools = 0;
  for (const name of VOLATILES) cools += fluxes[name] * IN_FILM[name].densityKgPerM3 * IN_FILM[name].latentHeatJPerKg;
  const inertia = air.capacity / seconds;
  return clamp((inertia * beforeC + air.heatWPerM2K * air.airC - cools) / (inertia + air.heatWPerM2K), -60, 250);
}

/** The cure of every cell over a step. */
export function cureStep({ coats, solids: shares, cure }: Stack, temperatureC: number, seconds: number): void {
  for (const { from, to, data, coat } of coats) {
    if (data.curePerHour === 0) continue;
    const rate = (data.curePerHour / 3600) * coat.hardenerSpeed * data.cureQ10 ** ((temperatureC - 20) / 10);
    for (let i = from; i < to; i++) {
      const solids = shares[i]!;
      cure[i] = curedAfter(cure[i]!, rate * solids * Math.sqrt(solids), seconds);
    }
  }
}
