/** Coats on a panel as cells of solids: what lies where, with which volatile in it. Lowest cell first. */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { FilmFacts } from '../trade/materialFacts.ts';
import { eachVolatile, paceOfGrade, VOLATILES, type Volatile } from '../evaporation/solvents.ts';
import type { Mixture } from '../material/mixture.ts';
import type { Arrived } from './arrival.ts';
import { filmConstants, type FilmConstants } from './filmLaws.ts';

export type LaidCoat = {
  materialClass: MaterialClass;
  mixture: Mixture;
  /** Film as landed, m. */
  wetFilmM: number;
  /** Share of each volatile still there on landing. */
  arrived: Arrived;
  /** Sauter mean of the drops, m. */
  dropM: number;
  /** On the caller's clock, s. */
  landsAtSeconds: number;
  /** Slow share of the grade that sets its drying: the reducer's, else the hardener's. */
  gradeSlowFraction: number;
  /** Of the hardener: 0.6 slow, 1 medium, 2 fast. */
  hardenerSpeed: number;
  /** Of this can over its class, by cup. */
  viscosityFactor: number;
};
export type CoatCells = {
  coat: LaidCoat;
  data: FilmFacts;
  constants: FilmConstants;
  from: number;
  to: number;
  solidsM: number;
  /** Solids share on landing. */
  landedSolids: number;
  isWaterborne: boolean;
  /** How much quicker its solvents leave and move than their own laws say. */
  pace: number;
};
export type Stack = {
  coats: CoatCells[];
  cells: number;
  /** Solids, m, of each cell. */
  solidsM: Float64Array;
  /** Volume of each volatile per volume of solids, by cell. */
  held: Record<Volatile, Float64Array>;
  /** Volatiles that are in the stack at all. */
  holds: Record<Volatile, boolean>;
  cure: Float64Array;
  /** Solids share of each cell, kept with what it holds. */
  solids: Float64Array;
  /** Volatile at the surface, per volume of solids. */
  surface: Record<Volatile, number>;
};

/** Each cell over the one below it: fine where the film dries from. */
const REFINED = 0.72;

/** Volatile per solids as landed. */
export const landedHeld = ({ mixture, arrived }: LaidCoat): Record<Volatile, number> => {
  const perSolids = (1 - mixture.solids) / mixture.solids;
  return eachVolatile((name) => mixture.volatile[name] * perSolids * arrived[name]);
};

export function emptyStack(coats: readonly LaidCoat[], cellsPerCoat: number): Stack {
  const total = coats.length * cellsPerCoat;
  const zeros = () => new Float64Array(total);
  return {
    coats: [],
    cells: 0,
    solidsM: zeros(),
    held: { water: zeros(), fast: zeros(), middle: zeros(), slow: zeros() },
    holds: { water: false, fast: false, middle: false, slow: false },
    cure: zeros(),
    solids: zeros(),
    surface: eachVolatile(() => 0),
  };
}

/** Lays a coat on top. */
export function lay(stack: Stack, coat: LaidCoat, cellsPerCoat: number): void {
  const held = landedHeld(coat);
  const landedSolids = 1 / (1 + held.water + held.fast + held.middle + held.slow);
  const solidsM = coat.wetFilmM * landedSolids;
  const from = stack.cells;
  const unit = (1 - REFINED ** cellsPerCoat) / (1 - REFINED);
  for (let i = 0; i < cellsPerCoat; i++) {
    stack.solidsM[from + i] = (solidsM * REFINED ** i) / unit;
    stack.cure[from + i] = 0;
    stack.solids[from + i] = landedSolids;
    for (const name of VOLATILES) stack.held[name][from + i] = held[name];
  }
  for (const name of VOLATILES) stack.holds[name] ||= held[name] > 0;
  stack.cells += cellsPerCoat;
  stack.surface = { ...held };
  const [material, data] = [MATERIALS[coat.materialClass], MATERIALS[coat.materialClass].film];
  const pace = data.pace * paceOfGrade(coat.gradeSlowFraction, data.gradeBite);
  stack.coats.push({
    coat,
    data,
    constants: filmConstants(material, data, pace),
    from,
    to: stack.cells,
    solidsM,
    landedSolids,
    isWaterborne: material.waterFraction !== undefined,
    pace,
  });
}

/** Brings the solids shares up to what the cells hold now. */
export function updateSolids({ cells, solids, held: { water, fast, middle, slow } }: Stack): void {
  for (let i = 0; i < cells; i++) solids[i] = 1 / (1 + water[i]! + fast[i]! + middle[i]! + slow[i]!);
}

/** All volatile of a coat, m. */
export function volatileM({ held, solidsM }: Stack, { from, to }: Pick<CoatCells, 'from' | 'to'>): number {
  let sum = 0;
  for (let i = from; i < to; i++) sum += solidsM[i]! * (held.water[i]! + held.fast[i]! + held.middle[i]! + held.slow[i]!);
  return sum;
}
