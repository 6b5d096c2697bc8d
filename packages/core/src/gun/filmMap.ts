/**
 * The film of a whole panel, pass by pass: each pass lays its profile where the hand really was, as
 * fast as it really went.
 *
 *   h(x, y) = Σ_p q f(2 (y − y_p(x))/W) (2/W)/v_p(x),   q = landed m³/s                     [map-1]
 *   y_p = edge + p·P + wander, v_p = v (1 + unsteadiness); both smooth along the pass, from a seed
 *                                                                                           [map-2]
 *   held through the turn: (2 t₁ + pause) v/H more where the gun turns,
 *     t₁ = √(H/a) or H/(2v) + v/(2a)
 *                                                                                           [map-3]
 *
 * Source  superposition; the turn from MODEL 10 with a hand that brakes at 3 m/s²
 */
import { drawnFrom } from '../numerics/drawn.ts';
import { passCount } from './overlap.ts';

export type FilmMapInput = {
  panelM: { length: number; height: number };
  cells: { columns: number; rows: number };
  /** Paint across the fan at s = 2y/W, area 1. */
  profile: (s: number) => number;
  fanWidthM: number;
  fanHeightM: number;
  stepM: number;
  landedM3PerS: number;
  gunSpeedMPerS: number;
  /** Spread of the hand up and down, m, and of its pace, share. */
  wanderM: number;
  unsteady: number;
  isTriggerHeld: boolean;
  /** How many passes are laid, the last perhaps in part; absent: all. */
  passesLaid?: number;
  seed: number;
};
export type FilmMap = { filmM: Float64Array; columns: number; rows: number; passes: number };

const TABLE = 512;
const BRAKE_M_PER_S2 = 3;
const PAUSE_SECONDS = 0.1;

/**
 * The film of a whole panel, cell by cell, m; the wander of the hand is drawn from the seed.
 * [map-1, map-2, map-3]
 */
export function filmMapOf(input: FilmMapInput): FilmMap {
  const { panelM, cells, fanWidthM, stepM, landedM3PerS, gunSpeedMPerS } = input;
  const { columns, rows } = cells;
  const passes = passCount(panelM.height, stepM);
  const filmM = new Float64Array(columns * rows);
  if (landedM3PerS <= 0) return { filmM, columns, rows, passes };
  const table = tableOf(input.profile);
  const cellM = { x: panelM.length / columns, y: panelM.height / rows };
  const laid = Math.min(passes, input.passesLaid ?? passes);
  const turn = input.isTriggerHeld ? turnShare(input.fanHeightM, gunSpeedMPerS) : 0;
  const perM = (landedM3PerS * 2) / fanWidthM / gunSpeedMPerS;
  const scale = TABLE / fanWidthM;
  const reach = fanWidthM / 2;
  for (let pass = 0; pass < laid; pass++) {
    const share = Math.min(1, laid - pass);
    const hand = handAlong(input, pass, columns);
    const isBack = pass % 2 === 1;
    for (let i = 0; i < Math.ceil(columns * share); i++) {
      const column = isBack ? columns - 1 - i : i;
      const x = (column + 0.5) * cellM.x;
      const centre = pass * stepM + hand.offsetM[column]!;
      const fromEnd = Math.min(x, panelM.length - x);
      const dwell = fromEnd < input.fanHeightM / 2 ? 1 + turn : 1;
      const amount = (perM * dwell) / hand.pace[column]!;
      const first = Math.max(0, Math.ceil((centre - reach) / cellM.y - 0.5));
      const last = Math.min(rows - 1, Math.floor((centre + reach) / cellM.y - 0.5));
      for (let row = first; row <= last; row++) {
        const place = ((row + 0.5) * cellM.y - centre + reach) * scale;
        const at = place | 0;
        const rest = place - at;
        filmM[row * columns + column] =
          filmM[row * columns + column]! +
          amount * (table[at]! * (1 - rest) + table[at + 1]! * rest);
      }
    }
  }
  return { filmM, columns, rows, passes };
}

/** The profile at even places across the fan, to be read between. */
function tableOf(profile: (s: number) => number): Float64Array {
  const table = new Float64Array(TABLE + 2);
  for (let i = 0; i <= TABLE; i++) table[i] = profile(-1 + (2 * i) / TABLE);
  return table;
}

/** Seconds in the turn over those it takes to cross the fan's depth. [map-3] */
function turnShare(fanHeightM: number, speed: number): number {
  const braking = speed ** 2 / (2 * BRAKE_M_PER_S2);
  const half =
    braking >= fanHeightM / 2
      ? Math.sqrt(fanHeightM / BRAKE_M_PER_S2)
      : fanHeightM / (2 * speed) + speed / (2 * BRAKE_M_PER_S2);
  return ((2 * half + PAUSE_SECONDS) * speed) / fanHeightM;
}

const WAVES = 3;
/** A hand wanders slowly: a few long waves with a phase of their own for each pass. [map-2] */
function handAlong(
  { seed, wanderM, unsteady }: FilmMapInput,
  pass: number,
  columns: number,
): { offsetM: Float64Array; pace: Float64Array } {
  const draw = drawnFrom(seed * 1009 + pass);
  const waves = Array.from({ length: WAVES }, (_, i) => ({
    turns: i + 0.5 + draw(),
    phase: 2 * Math.PI * draw(),
    pacePhase: 2 * Math.PI * draw(),
  }));
  const offsetM = new Float64Array(columns);
  const pace = new Float64Array(columns);
  const amplitude = Math.sqrt(2 / WAVES);
  for (let column = 0; column < columns; column++) {
    const along = (2 * Math.PI * column) / columns;
    let [up, quick] = [0, 0];
    for (const { turns, phase, pacePhase } of waves) {
      up += Math.sin(turns * along + phase);
      quick += Math.sin(turns * along + pacePhase);
    }
    offsetM[column] = wanderM * amplitude * up;
    pace[column] = Math.max(0.3, 1 + unsteady * amplitude * quick);
  }
  return { offsetM, pace };
}
