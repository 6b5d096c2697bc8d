/**
 * Local search: one or two places moved, two exchanged, a half turned, as long as it helps.
 *
 * Source  standard neighbourhoods of sequencing; ours
 */
import { laid, type Job, type Laid, type Order } from './orders.ts';

export type Found = { order: Order; laid: Laid };
/** Smaller is better, the first figure first. */
export type Aim = (laid: Laid) => readonly [number, number];

const SLACK = 1e-9;
const isBetter = (one: readonly [number, number], other: readonly [number, number]): boolean =>
  one[0] < other[0] - SLACK || (one[0] < other[0] + SLACK && one[1] < other[1] - SLACK);

function* neighbours({ variants, places }: Job, order: Order): Generator<Order> {
  const n = order.length;
  for (let size = 1; size <= 2; size += 1)
    for (let from = 0; from + size <= n; from += 1) {
      const rest = [...order.slice(0, from), ...order.slice(from + size)];
      const block = order.slice(from, from + size);
      for (let to = 0; to <= rest.length; to += 1)
        if (to !== from) yield [...rest.slice(0, to), ...block, ...rest.slice(to)];
    }
  for (let a = 0; a < n; a += 1)
    for (let b = a + 2; b < n; b += 1) {
      const swapped = [...order];
      [swapped[a], swapped[b]] = [order[b]!, order[a]!];
      yield swapped;
    }
  for (let k = 0; k < n; k += 1) {
    const { place } = variants[order[k]!]!;
    const turned = places[place]!.variants.find((other) => other !== order[k]);
    if (turned !== undefined) yield order.with(k, turned);
  }
}

/** The halves of a panel in an order where the air allows it: the second one may be picked up. */
function allowed(job: Job, order: Order): Found | undefined {
  const as = laid(job, order);
  if (as) return { order, laid: as };
  const seen = new Set<number>();
  const inward = order.map((index) => {
    const { place, isOut } = job.variants[index]!;
    const { partner, variants } = job.places[place]!;
    seen.add(place);
    return isOut && (partner === undefined || !seen.has(partner)) ? variants[0]! : index;
  });
  const again = laid(job, inward);
  return again && { order: inward, laid: again };
}

/** The best order that single steps from this one lead to. */
export function improved(job: Job, start: Found, aim: Aim): Found {
  let best = start;
  for (;;) {
    let step: Found | undefined;
    for (const order of neighbours(job, best.order)) {
      const found = allowed(job, order);
      if (found && isBetter(aim(found.laid), aim((step ?? best).laid))) step = found;
    }
    if (!step) return best;
    best = step;
  }
}
