/**
 * Which tins cover an amount at the least cost; without prices the least bought, then the fewest.
 *
 *   best(u) = min over sizes s of best(u − s) + s,  u in steps of what all sizes share      [tin-1]
 *
 * Source  bellman-1957: covering by dynamic programming
 */
export type Tin = { sizeMl: number; count: number };
type Cover = { price: number; boughtMl: number; count: number; last: number };

/** Sizes are told apart to a tenth of a millilitre. */
const TENTHS = 10;
/** Longer than this, what is over is bought in the size that gives most for its price. */
const MOST_STEPS = 20_000;

const sharedBy = (a: number, b: number): number => (b === 0 ? a : sharedBy(b, a % b));
const isBetter = (a: Cover, b: Cover): boolean =>
  a.price !== b.price
    ? a.price < b.price
    : a.boughtMl !== b.boughtMl
      ? a.boughtMl < b.boughtMl
      : a.count < b.count;

/**
 * Tins of each size, the largest first. [tin-1]
 * @param sizesMl sizes on sale
 * @param priceOf price of one of a size; where one is unknown none counts
 */
export function tinsFor(
  needMl: number,
  sizesMl: readonly number[],
  priceOf: (sizeMl: number) => number | undefined = () => undefined,
): Tin[] {
  const sizes = [...new Set(sizesMl)].sort((a, b) => b - a);
  if (needMl <= 0 || sizes.length === 0) return [];
  const isPriced = sizes.every((size) => priceOf(size) !== undefined);
  const price = (size: number): number => (isPriced ? priceOf(size)! : 0);
  const steps = sizes.map((size) => Math.max(1, Math.round(size * TENTHS)));
  const stepMl = steps.reduce(sharedBy) / TENTHS;
  const dearness = (size: number): number => price(size) / size;
  const bulk = sizes.reduce((best, size) => (dearness(size) < dearness(best) ? size : best));
  const bulkCount = Math.max(0, Math.ceil((needMl - MOST_STEPS * stepMl) / bulk));
  const counts = coverWith(
    Math.ceil((needMl - bulkCount * bulk) / stepMl - 1e-9),
    sizes.map((sizeMl, i) => ({
      sizeMl,
      steps: steps[i]! / TENTHS / stepMl,
      price: price(sizeMl),
    })),
  );
  return sizes
    .map((sizeMl, i) => ({ sizeMl, count: counts[i]! + (sizeMl === bulk ? bulkCount : 0) }))
    .filter(({ count }) => count > 0);
}

function coverWith(
  needSteps: number,
  sizes: readonly { sizeMl: number; steps: number; price: number }[],
): number[] {
  const best: Cover[] = [{ price: 0, boughtMl: 0, count: 0, last: -1 }];
  for (let need = 1; need <= needSteps; need++)
    best.push(
      sizes
        .map(({ sizeMl, steps, price }, last): Cover => {
          const rest = best[Math.max(0, need - Math.round(steps))]!;
          return {
            price: rest.price + price,
            boughtMl: rest.boughtMl + sizeMl,
            count: rest.count + 1,
            last,
          };
        })
        .reduce((least, one) => (isBetter(one, least) ? one : least)),
    );
  const counts = sizes.map(() => 0);
  for (let need = Math.max(0, needSteps); need > 0;) {
    const { last } = best[need]!;
    counts[last]!++;
    need -= Math.round(sizes[last]!.steps);
  }
  return counts;
}
