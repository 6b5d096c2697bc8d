/**
 * e^x where a film asks it ten thousand times a second: a table of 2^(n/16) and a short series for
 * the rest.
 *
 *   n = round(16 x/ln 2), r = x − n ln 2/16;  e^x = 2^(n/16) (1 + r + r²/2 + … + r⁶/720)    [exp-1]
 *
 * Source  tang-1989, table-driven exponential; |r| ≤ 0.0217, so the series ends below 1e−15
 * Holds   to 1e−13 of Math.exp everywhere; outside −100 to 20 it is Math.exp
 */
const PER_DOUBLING = 16;
const LEAST = -100;
const MOST = 20;
const STEP = Math.LN2 / PER_DOUBLING;
const PER_UNIT = 1 / STEP;
const FIRST = Math.floor(LEAST / STEP) - 1;
const POWERS = Float64Array.from(
  { length: Math.ceil(MOST / STEP) - FIRST + 2 },
  (_, i) => 2 ** ((i + FIRST) / PER_DOUBLING),
);

/** [exp-1] */
export function quickExp(x: number): number {
  if (!(x > LEAST && x < MOST)) return Math.exp(x);
  const n = Math.floor(x * PER_UNIT + 0.5);
  const r = x - n * STEP;
  return (
    POWERS[n - FIRST]! *
    (1 + r * (1 + r * (1 / 2 + r * (1 / 6 + r * (1 / 24 + r * (1 / 120 + r / 720))))))
  );
}
