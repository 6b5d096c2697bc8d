/**
 * An order of places, what it costs, and how old its oldest edge gets. Costs are said as metres of
 * walk: lower before upper, along the car together, the hose not round the far end.
 *
 * Source  rule of thumb (the weights); ages in wetEdges.ts
 */
import { bodyMap, type Body } from '../body/bodyMap.ts';
import { isUpstream, mustComeBefore, type Air } from './airOrder.ts';
import type { Places } from './places.ts';
import type { CarEnd } from './routeInput.ts';
import { moveBetween, type Move } from './walk.ts';
import { wetEdgesOf, type WetEdges } from './wetEdges.ts';

/** Metres of walk that a painter would give to avoid it. */
const COST_M = { upperFirst: 8, downstreamFirst: 4, roundFarEnd: 4 } as const;

export type Job = Places &
  WetEdges & {
    moves: Move[][];
    /** Of every place: a bit for each that the air wants before it. */
    before: number[];
    /** Of every place: a bit for each that lies under it, and for each upstream across the car. */
    under: number[];
    upstreamAcross: number[];
    hoseAt?: CarEnd;
  };
/** Variants, one a place, in the order of spraying. */
export type Order = readonly number[];
export type Laid = {
  /** By place. */
  starts: number[];
  endSeconds: number;
  worstSeconds: number;
  walkM: number;
  costM: number;
};

/** Everything about a job that an order is judged by. */
export function jobOf(body: Body, places: Places, air: Air, hoseAt?: CarEnd): Job {
  const list = places.places;
  const lies = underEachOther(body, places);
  const hose = hoseAt && air.isTurned ? (hoseAt === 'front' ? 'rear' : 'front') : hoseAt;
  return {
    ...places,
    ...wetEdgesOf(body, places),
    moves: list.map((from) => list.map((to) => moveBetween(places, from, to))),
    before: mustComeBefore(list, air),
    under: lies,
    upstreamAcross: list.map((place) =>
      bitsOf(
        list,
        (other) =>
          air.isCross &&
          other.lane !== place.lane &&
          other.lane !== 'both' &&
          place.lane !== 'both' &&
          isUpstream(other.along, place.along),
      ),
    ),
    ...(hose ? { hoseAt: hose } : {}),
  };
}

const bitsOf = <T>(list: readonly T[], holds: (one: T) => boolean): number =>
  list.reduce((bits, one, i) => (holds(one) ? bits | (1 << i) : bits), 0);

/** Of every place, what lies under it: the lower one has its top there. */
function underEachOther(body: Body, { places }: Places): number[] {
  const under = places.map(() => 0);
  for (const { between, at } of bodyMap(body).edges) {
    const tops = [at[0] === 'top', at[1] === 'top'];
    if (tops[0] === tops[1]) continue;
    const [lower, upper] = tops[0] ? between : [between[1], between[0]];
    const side = tops[0] ? at[1] : at[0];
    places.forEach((high, i) => {
      if (high.panel !== upper || (high.side && side !== high.side && isSideEdge(side))) return;
      under[i]! |= bitsOf(places, ({ panel }) => panel === lower);
    });
  }
  return under;
}
const isSideEdge = (at: string): boolean => at === 'left' || at === 'right';

/**
 * Lays an order on the clock.
 * @returns undefined where the air forbids it, or a half is picked up in a middle that is not there
 */
export function laid(job: Job, order: Order): Laid | undefined {
  const { variants, places, moves, before } = job;
  const all = maskOf(job, order);
  const starts = new Array<number>(places.length).fill(0);
  const chosen = new Array<number>(places.length).fill(-1);
  let now = 0;
  let done = 0;
  let worstSeconds = 0;
  let walkM = 0;
  let costM = 0;
  for (let k = 0; k < order.length; k += 1) {
    const index = order[k]!;
    const { place, isOut, totalSeconds } = variants[index]!;
    if (before[place]! & all & ~done) return undefined;
    const { partner } = places[place]!;
    if (isOut && (partner === undefined || (done & (1 << partner)) === 0)) return undefined;
    if (k > 0) {
      const move = moves[variants[order[k - 1]!]!.place]![place]!;
      now += move.seconds;
      walkM += move.metres;
      if (move.round && job.hoseAt && move.round !== job.hoseAt) costM += COST_M.roundFarEnd;
    }
    starts[place] = now;
    for (const { variant, place: other, apartSeconds } of job.meets[index]!)
      if (chosen[other] === variant)
        worstSeconds = Math.max(worstSeconds, now - starts[other]! + apartSeconds);
    costM += costOf(job, place, all & ~done);
    done |= 1 << place;
    chosen[place] = index;
    now += totalSeconds;
  }
  return { starts, endSeconds: now, worstSeconds, walkM, costM: costM + walkM };
}

/** The places of an order, as bits. */
export const maskOf = ({ variants }: Job, order: Order): number =>
  order.reduce((bits, index) => bits | (1 << variants[index]!.place), 0);

function costOf(job: Job, place: number, missing: number): number {
  return (
    COST_M.upperFirst * bitCount(job.under[place]! & missing) +
    (job.upstreamAcross[place]! & missing ? COST_M.downstreamFirst : 0)
  );
}

function bitCount(bits: number): number {
  let count = 0;
  for (let rest = bits; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}
