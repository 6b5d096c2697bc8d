/**
 * Coats on a panel as cells of solids: what lies where, with which volatile in it. Lowest cell
 * first.
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { FilmFacts } from '../trade/materialFacts.ts';
import {
  eachVolatile,
  IN_FILM,
  paceOfGrade,
  VOLATILES,
  type InFilm,
  type Volatile,
} from '../evaporation/solvents.ts';
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
  /** Solids, m, of each cell; and over the distance from its middle to the next one's. */
  solidsM: Float64Array;
  perSpan: Float64Array;
  /** The volatiles that any of its coats brings, each by its number in VOLATILES. */
  volatiles: VolatileCells[];
  cure: Float64Array;
  /** Solids share of each cell, kept with what it holds. */
  solids: Float64Array;
  /** At the surface, per volume of solids, by volatile. */
  surface: Float64Array;
};
/**
 * One volatile in the stack: its volume per volume of solids, by cell, and what that was before the
 * last step.
 */
export type VolatileCells = {
  index: number;
  name: Volatile;
  film: InFilm;
  held: Float64Array;
  before: Float64Array;
};

/** Each cell over the one below it: fine where the film dries from. */
const REFINED = 0.72;

/** Volatile per solids as landed. */
export const landedHeld = ({ mixture, arrived }: LaidCoat): Record<Volatile, number> => {
  const perSolids = (1 - mixture.solids) / mixture.solids;
  return eachVolatile((name) => mixture.volatile[name] * perSolids * arrived[name]);
};

/** A panel with room for these coats, none of them laid. */
export function emptyStack(coats: readonly LaidCoat[], cellsPerCoat: number): Stack {
  const total = coats.length * cellsPerCoat;
  const zeros = () => new Float64Array(total);
  return {
    coats: [],
    cells: 0,
    solidsM: zeros(),
    perSpan: zeros(),
    volatiles: VOLATILES.map((name, index) => ({
      index,
      name,
      film: IN_FILM[name],
      held: zeros(),
      before: zeros(),
    })).filter(({ name }) => coats.some(({ mixture }) => mixture.volatile[name] > 0)),
    cure: zeros(),
    solids: zeros(),
    surface: new Float64Array(VOLATILES.length),
  };
}

/** Lays a coat on top. */
export function addCoat(stack: Stack, coat: LaidCoat, cellsPerCoat: number): void {
  const held = landedHeld(coat);
  const landedSolids = 1 / (1 + held.water + held.fast + held.middle + held.slow);
  const solidsM = coat.wetFilmM * landedSolids;
  const from = stack.cells;
  const unit = (1 - REFINED ** cellsPerCoat) / (1 - REFINED);
  for (let i = 0; i < cellsPerCoat; i++) {
    stack.solidsM[from + i] = (solidsM * REFINED ** i) / unit;
    stack.cure[from + i] = 0;
    stack.solids[from + i] = landedSolids;
    for (const volatile of stack.volatiles) volatile.held[from + i] = held[volatile.name];
  }
  stack.cells += cellsPerCoat;
  for (let i = Math.max(0, from - 1); i < stack.cells - 1; i++)
    stack.perSpan[i] = 2 / (stack.solidsM[i]! + stack.solidsM[i + 1]!);
  VOLATILES.forEach((name, index) => (stack.surface[index] = held[name]));
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

/** All volatile of a coat, m. */
export function volatileM(
  { volatiles, solidsM }: Stack,
  { from, to }: Pick<CoatCells, 'from' | 'to'>,
): number {
  let sum = 0;
  for (const { held } of volatiles) for (let i = from; i < to; i++) sum += solidsM[i]! * held[i]!;
  return sum;
}
