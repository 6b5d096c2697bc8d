/**
 * The order of a job: every edge met wet; the least worst age there is, to one per cent; then,
 * while the worst stays near it, the least walk and the fewest habits broken.
 *
 * Source  ours; the search in holdsWithin.ts
 */
import { allOf, orderWithin, type Budget } from './holdsWithin.ts';
import { improved, type Aim, type Found } from './improve.ts';
import { laid, type Job, type Order } from './orders.ts';
import { middle } from './places.ts';

/** Counted, not timed: the same question gives the same digits. */
const ROUTE_LABELS = 10_000;
const BEAM_WIDTH = 40;
const TO_SHARE = 0.01;
const TO_SECONDS = 1;
const NEAR_LEAST = 1.1;
/** In a cross-draft half the open time is young enough. */
const CROSS_SHARE = 0.5;

export type Best = {
  found: Found;
  /** No order is better than this. */
  lowSeconds: number;
  leastSeconds: number;
  isProved: boolean;
  /** Every edge is met within the open time. */
  isHeld: boolean;
};

const ageThenCost: Aim = ({ worstSeconds, costM }) => [worstSeconds, costM];
const costUnder =
  (capSeconds: number): Aim =>
  ({ worstSeconds, costM }) => [Math.max(0, worstSeconds - capSeconds), costM];

const finer = (seconds: number): number => Math.max(TO_SECONDS, TO_SHARE * seconds);

/** Station by station as the air goes, lower first. */
export function stationByStation(job: Job, members: number): Found {
  const { places } = job;
  const order = places
    .map((_, i) => i)
    .filter((i) => members & (1 << i))
    .sort(
      (a, b) =>
        middle(places[a]!.along) - middle(places[b]!.along) ||
        middle(places[a]!.map.heightsM) - middle(places[b]!.map.heightsM) ||
        a - b,
    )
    .map((i) => places[i]!.variants[0]!);
  return foundAs(job, order);
}

function foundAs(job: Job, order: Order): Found {
  const as = laid(job, order);
  if (!as) throw new Error('an order along the air breaks no rule of the air');
  return { order, laid: as };
}

/** No edge of these can be younger than its two places in a row. */
function leastOfPairs({ edges, places, variants, meets, moves }: Job, members: number): number {
  const inRow = (one: number, other: number): number[] =>
    places[other]!.variants.flatMap((index) =>
      meets[index]!.filter(({ place }) => place === one).map(
        ({ variant, apartSeconds }) =>
          apartSeconds + variants[variant]!.totalSeconds + moves[one]![other]!.seconds,
      ),
    );
  const ages = edges
    .filter(({ a, b }) => members & (1 << a) && members & (1 << b))
    .map(({ a, b }) => Math.min(...inRow(a, b), ...inRow(b, a)));
  return Math.max(0, ...ages);
}

/** The best order of some places, or of all. */
export function bestOrder(
  job: Job,
  { openSeconds, isCross }: { openSeconds: number; isCross: boolean },
  members = allOf(job),
): Best {
  const start = improved(job, stationByStation(job, members), ageThenCost);
  const narrow = narrowed(job, members, start);
  const search = { labels: ROUTE_LABELS };
  const least = proved(job, members, narrow, openSeconds, search);
  const { worstSeconds } = least.found.laid;
  const capSeconds = Math.min(
    openSeconds,
    Math.max(NEAR_LEAST * worstSeconds, isCross ? CROSS_SHARE * openSeconds : 0),
  );
  if (!least.isHeld) return least;
  const found = [least.found, start, stationByStation(job, members)]
    .map((from) => improved(job, from, costUnder(capSeconds)))
    .filter(({ laid: { worstSeconds: worst } }) => worst <= capSeconds + 1e-9)
    .reduce((best, one) => (one.laid.costM < best.laid.costM - 1e-9 ? one : best));
  return { ...least, found };
}

/** Strides of a narrow search: wide ones first, while they find. */
const STRIDES = [8, 1] as const;

/** Good orders quickly, nothing proved: a narrow search, for as long as it finds. */
function narrowed(job: Job, members: number, start: Found): Found {
  let best = start;
  for (const stride of STRIDES)
    for (;;) {
      const { worstSeconds } = best.laid;
      const aim = worstSeconds - stride * finer(worstSeconds);
      if (aim <= 0) break;
      const answer = orderWithin(job, members, aim, { labels: Infinity }, BEAM_WIDTH);
      if (typeof answer === 'string') break;
      best = foundAs(job, answer.order);
    }
  return best;
}

function proved(
  job: Job,
  members: number,
  start: Found,
  openSeconds: number,
  budget: Budget,
): Best {
  let found = start;
  let low = leastOfPairs(job, members);
  const best = (isProved: boolean, isHeld: boolean): Best => ({
    found,
    lowSeconds: Math.min(low, found.laid.worstSeconds),
    leastSeconds: found.laid.worstSeconds,
    isProved,
    isHeld,
  });
  if (found.laid.worstSeconds > openSeconds) {
    const answer = orderWithin(job, members, openSeconds, budget);
    if (typeof answer === 'string') {
      if (answer === 'none') low = Math.max(low, openSeconds);
      return best(answer === 'none', false);
    }
    found = foundAs(job, answer.order);
  }
  while (found.laid.worstSeconds - low > finer(found.laid.worstSeconds)) {
    const middleSeconds = (low + found.laid.worstSeconds) / 2;
    const answer = orderWithin(job, members, middleSeconds, budget);
    if (answer === 'unknown') return best(false, true);
    if (answer === 'none') low = middleSeconds;
    else found = foundAs(job, answer.order);
  }
  return best(true, true);
}
