/**
 * Abrasives by their grain, and the way from one scratch to a finer one.
 *
 *   a step of the ladder ≤ 1.75 in grain                                                  [grit-1]
 *
 * Source  grains: iso-6344-2021, from memory; the ladder: rule of thumb of the trade
 */

/** Mean grain of each P grade, µm. */
export const GRAIN_UM = {
  P80: 201,
  P100: 162,
  P120: 125,
  P150: 100,
  P180: 82,
  P220: 68,
  P240: 58.5,
  P280: 52.2,
  P320: 46.2,
  P360: 40.5,
  P400: 35,
  P500: 30.2,
  P600: 25.8,
  P800: 21.8,
  P1000: 18.3,
  P1200: 15.3,
  P1500: 12.6,
  P2000: 10.3,
  P2500: 8.4,
  P3000: 6,
} as const;
export type Grit = keyof typeof GRAIN_UM;
export const GRITS = Object.keys(GRAIN_UM) as Grit[];

export type GritBand = {
  /** Coarser and finer end of what to finish with. */
  finish: readonly [Grit, Grit];
  /** The coarsest scratch that the next coat hides. */
  hides: Grit;
};
/** The grades that a sanding goes through; the others lie too near one another. */
const RUNGS: readonly Grit[] = [
  ...(['P80', 'P120', 'P180', 'P240', 'P320', 'P400', 'P500'] as const),
  ...(['P600', 'P800', 'P1000', 'P1200', 'P1500', 'P2000', 'P3000'] as const),
];
const LARGEST_STEP = 1.75;

/**
 * From the scratch that is there into the band, coarse first; empty where it is there already.
 * [grit-1]
 */
export function gritLadder(scratch: Grit, { finish: [from, to] }: GritBand): Grit[] {
  const ladder: Grit[] = [];
  let at = GRAIN_UM[scratch];
  while (at > GRAIN_UM[from]) {
    const finer = RUNGS.filter((grit) => GRAIN_UM[grit] < at && GRAIN_UM[grit] >= GRAIN_UM[to]);
    const next = finer.findLast((grit) => at / GRAIN_UM[grit] <= LARGEST_STEP) ?? finer[0];
    if (next === undefined) break;
    ladder.push(next);
    at = GRAIN_UM[next];
  }
  return ladder;
}
