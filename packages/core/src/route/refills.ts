/**
 * Where the cup is filled again: between places, never in a face, as seldom as the paint allows,
 * then where the oldest edge gets least older.
 *
 *   c fillings before a place: c_{k+1} − c_k is 0 or 1; c_b ≥ c_a + 1 where a … b need more than a
 *   filling; c_j − c_i ≤ ⌊(B − age_ij)/refill⌋. Longest paths give the least c.     [refill-1]
 *
 * Source  ours; differences bounded both ways: bellman-1958
 */
const FILLED_SHARE = 0.9;
/** Of a filling: the rest is air over it. */
export const fillingMl = (cupMl: number): number => FILLED_SHARE * cupMl;

export type Met = { i: number; j: number; ageSeconds: number };
export type Fillings = {
  /** By place in the order: fillings before it, the first one not counted. */
  before: number[];
  /** Places that take more than a filling. */
  runsOut: number[];
};

/**
 * @param needsMl by place in the order of spraying
 * @param met edges by places in that order, i before j
 */
export function fillingsOf(
  needsMl: readonly number[],
  fillMl: number,
  met: readonly Met[],
  refillSeconds: number,
): Fillings {
  const runsOut = needsMl.flatMap((ml, k) => (ml > fillMl ? [k] : []));
  const needs = needsMl.map((ml) => Math.min(ml, fillMl));
  const fewest = least(needs, fillMl, met, refillSeconds, Infinity)!;
  const ages = [
    ...new Set(
      met.flatMap(({ ageSeconds }) => needs.map((_, m) => ageSeconds + m * refillSeconds)),
    ),
  ].sort((a, b) => a - b);
  const best = ages
    .map((bound) => least(needs, fillMl, met, refillSeconds, bound))
    .find((before) => before && before.at(-1) === fewest.at(-1));
  return { before: best ?? fewest, runsOut };
}

const SLACK = 1e-6;

/** The least fillings before each place under a bound of ages; undefined where there is none. */
function least(
  needs: readonly number[],
  fillMl: number,
  met: readonly Met[],
  refillSeconds: number,
  boundSeconds: number,
): number[] | undefined {
  const n = needs.length;
  const most = met.map(({ i, j, ageSeconds }) => ({
    i,
    j,
    rises: Math.floor((boundSeconds - ageSeconds + SLACK) / refillSeconds),
  }));
  if (most.some(({ rises }) => rises < 0)) return undefined;
  const before = new Array<number>(n).fill(0);
  const raise = (k: number, to: number): boolean => {
    if (before[k]! >= to) return false;
    before[k] = to;
    return true;
  };
  for (let isMoved = true; isMoved;) {
    isMoved = false;
    for (let a = 0; a < n; a += 1) {
      let sum = 0;
      for (let b = a; b < n; b += 1) {
        sum += needs[b]!;
        if (sum > fillMl + SLACK) isMoved = raise(b, before[a]! + 1) || isMoved;
      }
      if (a > 0) {
        isMoved = raise(a, before[a - 1]!) || isMoved;
        isMoved = raise(a - 1, before[a]! - 1) || isMoved;
      }
    }
    for (const { i, j, rises } of most) isMoved = raise(i, before[j]! - rises) || isMoved;
    if (before[0]! > 0) return undefined;
  }
  return before;
}
