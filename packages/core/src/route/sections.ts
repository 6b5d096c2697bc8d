/**
 * Where no order holds every edge wet, or a gun does not manage the whole: sections that each hold,
 * broken at shut lines, never in a skin while that can be helped.
 *
 * Source  ours
 */
import { bestOrder } from './bestOrder.ts';
import { orderWithin } from './holdsWithin.ts';
import { laid, type Job, type Laid, type Order } from './orders.ts';
import { middle } from './places.ts';

const SECTION_LABELS = 1500;
const KIND_ORDER = ['middle', 'skin', 'gap'] as const;

export type Limits = { openSeconds: number; isCross: boolean; mostM2?: number | undefined };
export type Sections = { order: Order; laid: Laid; sections: number[] };

/** The sections of a job in the order of spraying, each by itself in its best order. */
export function inSections(job: Job, limits: Limits): Sections {
  const masks = inAirOrder(job, joined(job, limits))!;
  const order = masks.flatMap((members) => bestOrder(job, limits, members).found.order);
  const as = laid(job, order);
  if (!as) throw new Error('sections in the air’s order break no rule of the air');
  return { order, laid: as, sections: withoutNeedless(job, masks, as, order, limits) };
}

/** Joined along their edges, skins first, as long as both together still hold. */
function joined(job: Job, limits: Limits): number[] {
  const { openSeconds, mostM2 = Infinity } = limits;
  const tooMuch: number[] = [];
  const holds = (members: number): boolean => {
    if (areaOf(job, members) > mostM2) return false;
    if (tooMuch.some((known) => (members & known) === known)) return false;
    const budget = { labels: SECTION_LABELS };
    const isHeld = typeof orderWithin(job, members, openSeconds, budget) !== 'string';
    if (!isHeld) tooMuch.push(members);
    return isHeld;
  };
  let masks = job.places.map((_, i) => 1 << i);
  const edges = [...job.edges].sort(
    (a, b) => KIND_ORDER.indexOf(a.kind) - KIND_ORDER.indexOf(b.kind) || b.lengthM - a.lengthM,
  );
  for (let isJoined = true; isJoined;) {
    isJoined = false;
    for (const { a, b, kind } of edges) {
      const [one, other] = [a, b].map((i) => masks.find((mask) => mask & (1 << i))!);
      if (one === other) continue;
      const both = one! | other!;
      const next = [...masks.filter((mask) => mask !== one && mask !== other), both];
      const isKept = kind === 'middle' && areaOf(job, both) > mostM2 ? false : holds(both);
      if (!isKept || !inAirOrder(job, next)) continue;
      masks = next;
      isJoined = true;
    }
  }
  return masks;
}

const membersOf = ({ places }: Job, mask: number): number[] =>
  places.map((_, i) => i).filter((i) => mask & (1 << i));
const areaOf = (job: Job, mask: number): number =>
  membersOf(job, mask).reduce((sum, i) => sum + job.places[i]!.areaM2, 0);

/** Upstream sections first; undefined where two stand in each other's air. */
function inAirOrder(job: Job, masks: readonly number[]): number[] | undefined {
  const before = (mask: number): number =>
    membersOf(job, mask).reduce((bits, i) => bits | job.before[i]!, 0) & ~mask;
  const all = masks.reduce((bits, mask) => bits | mask, 0);
  const nose = (mask: number): number =>
    Math.min(...membersOf(job, mask).map((i) => middle(job.places[i]!.along)));
  const left = [...masks].sort((a, b) => nose(a) - nose(b) || a - b);
  const order: number[] = [];
  let done = 0;
  while (left.length > 0) {
    const at = left.findIndex((mask) => (before(mask) & all & ~done) === 0);
    if (at < 0) return undefined;
    const [next] = left.splice(at, 1);
    order.push(next!);
    done |= next!;
  }
  return order;
}

/** Sections between which nothing is lost are one, unless the gun does not manage both. */
function withoutNeedless(
  job: Job,
  masks: readonly number[],
  { starts }: Laid,
  order: Order,
  { openSeconds, mostM2 = Infinity }: Limits,
): number[] {
  const chosen = new Map(order.map((index) => [job.variants[index]!.place, index]));
  const isLostBetween = (one: number, other: number): boolean =>
    [...chosen].some(([after, index]) =>
      job.meets[index]!.some(({ place, variant, apartSeconds }) => {
        const parts = one & (1 << place) && other & (1 << after);
        const isMet = chosen.get(place) === variant && starts[after]! >= starts[place]!;
        return parts && isMet && starts[after]! - starts[place]! + apartSeconds > openSeconds;
      }),
    );
  return masks.reduce<number[]>((kept, mask) => {
    const last = kept.at(-1);
    const isOne =
      last !== undefined &&
      mostM2 === Infinity &&
      !isLostBetween(last, mask) &&
      !kept.some((other) => isLostBetween(other, mask));
    return isOne ? [...kept.slice(0, -1), last | mask] : [...kept, mask];
  }, []);
}
