/**
 * Is there an order in which no edge waits longer than W? Labels over sets of places, layer by
 * layer: of two that end alike, the one whose open edges are all as young or younger stays. A label
 * is dropped when what is left cannot be met in time even one after the other, earliest due first.
 *
 *   place k starts by D_k = min over laid i of (s_i + R_ik),  R = max(0, W − min c) over chains
 *
 * Source  wikum-1994: one machine with generalised precedence; floyd-1962: shortest chains;
 *         jackson-1955: earliest due date first
 */
import { Layer, orderOf, SLACK, type Label } from './labels.ts';
import { maskOf, type Job, type Order } from './orders.ts';

export type Budget = { labels: number };
export type Answer = { order: Order } | 'none' | 'unknown';

/** How long after one place another may start, over chains of neighbours, halves turned as best. */
function chains({ places, meets, variants }: Job, mostSeconds: number): Float64Array[] {
  const n = places.length;
  const within = Array.from({ length: n }, () => new Float64Array(n).fill(Infinity));
  meets.forEach((list, index) => {
    const after = variants[index]!.place;
    for (const { place, apartSeconds } of list) {
      const rest = Math.max(0, mostSeconds - apartSeconds);
      const known = within[place]![after]!;
      within[place]![after] = known === Infinity ? rest : Math.max(known, rest);
    }
  });
  for (let k = 0; k < n; k += 1)
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < n; j += 1)
        within[i]![j] = Math.min(within[i]![j]!, within[i]![k]! + within[k]![j]!);
  return within;
}

/** Looks for an order of these places within W; `width` labels a layer, or all. */
export function orderWithin(
  job: Job,
  members: number,
  mostSeconds: number,
  budget: Budget,
  width = Infinity,
): Answer {
  const search = new Search(job, members, mostSeconds);
  let layer: Label[] = [search.first()];
  let isWhole = true;
  for (let depth = 0; depth < search.size; depth += 1) {
    const next = new Layer((done) => search.openOf(done));
    for (const label of layer)
      for (const grown of search.grow(label)) {
        if (budget.labels <= 0) return 'unknown';
        if (next.add(grown)) budget.labels -= 1;
      }
    layer = next.all();
    if (layer.length > width) {
      layer = layer.sort((a, b) => b.spare - a.spare || a.now - b.now).slice(0, width);
      isWhole = false;
    }
    if (layer.length === 0) return isWhole ? 'none' : 'unknown';
  }
  return { order: orderOf(layer.sort((a, b) => a.now - b.now)[0]!) };
}

class Search {
  readonly job: Job;
  readonly size: number;
  private readonly mostSeconds: number;
  private readonly within: Float64Array[];
  private readonly members: number[];
  private readonly neighbours: number[];
  private readonly faces: number[];
  private readonly takes: number[];
  private readonly memberBits: number;
  /** Written over by every label that is tried. */
  private readonly duesThen: Float64Array;
  private readonly sorted: Int8Array;

  constructor(job: Job, members: number, mostSeconds: number) {
    this.job = job;
    this.mostSeconds = mostSeconds;
    this.within = chains(job, mostSeconds);
    this.memberBits = members;
    this.duesThen = new Float64Array(job.places.length).fill(Infinity);
    this.sorted = new Int8Array(job.places.length);
    this.members = job.places.map((_, i) => i).filter((i) => members & (1 << i));
    this.size = this.members.length;
    this.neighbours = job.places.map((_, i) =>
      job.edges.reduce((bits, { a, b }) => {
        const other = a === i ? b : b === i ? a : -1;
        return other >= 0 ? bits | ((1 << other) & members) : bits;
      }, 0),
    );
    this.faces = job.places.map(({ variants }) =>
      Math.min(...variants.map((index) => job.variants[index]!.totalSeconds)),
    );
    // The least that a place takes: the nearest way to it, and its face.
    this.takes = this.faces.map((seconds, k) => {
      const ways = this.members.filter((i) => i !== k).map((i) => job.moves[i]![k]!.seconds);
      return seconds + (ways.length > 0 ? Math.min(...ways) : 0);
    });
  }

  first(): Label {
    const n = this.job.places.length;
    const [starts, dues] = [new Float64Array(n), new Float64Array(n).fill(Infinity)];
    const chosen = new Int8Array(n).fill(-1);
    const label = { done: 0, last: -1, before: undefined, starts, dues, chosen };
    return { ...label, now: 0, spare: Infinity };
  }

  /** Bits of what is on and still waits for a neighbour. */
  openOf(done: number): number {
    let open = 0;
    for (const i of this.members)
      if (done & (1 << i) && this.neighbours[i]! & ~done) open |= 1 << i;
    return open;
  }

  *grow(label: Label): Generator<Label> {
    const { job } = this;
    const { last } = label;
    for (const place of this.members) {
      if (label.done & (1 << place)) continue;
      if (job.before[place]! & this.memberBits & ~label.done) continue;
      const { partner, variants } = job.places[place]!;
      const move = last < 0 ? 0 : job.moves[job.variants[last]!.place]![place]!.seconds;
      for (const index of variants) {
        const { isOut, totalSeconds } = job.variants[index]!;
        if (isOut && (partner === undefined || !(label.done & (1 << partner)))) continue;
        const start = label.now + move;
        if (!this.isMet(label, index, start)) continue;
        const grown = this.laidOn(label, index, start, totalSeconds);
        if (grown) yield grown;
      }
    }
  }

  /** Undefined where what is left could not be met in time: nothing is made for it. */
  private laidOn(
    label: Label,
    index: number,
    start: number,
    totalSeconds: number,
  ): Label | undefined {
    const { place } = this.job.variants[index]!;
    const row = this.within[place]!;
    const { dues: before } = label;
    for (const k of this.members) this.duesThen[k] = Math.min(before[k]!, start + row[k]!);
    const done = label.done | (1 << place);
    const now = start + totalSeconds;
    const spare = this.spareOf(done, this.duesThen, now);
    if (spare < -SLACK) return undefined;
    const [starts, dues, chosen] = [
      label.starts.slice(),
      this.duesThen.slice(),
      label.chosen.slice(),
    ];
    starts[place] = start;
    chosen[place] = index;
    return { done, last: index, before: label, starts, dues, chosen, now, spare };
  }

  private isMet({ chosen, starts }: Label, index: number, start: number): boolean {
    for (const { variant, place, apartSeconds } of this.job.meets[index]!)
      if (
        chosen[place] === variant &&
        start - starts[place]! + apartSeconds > this.mostSeconds + SLACK
      )
        return false;
    return true;
  }

  /** What is left in a row, earliest due date first: seconds to spare at the tightest. */
  private spareOf(done: number, dues: Float64Array, now: number): number {
    const { sorted, faces, takes } = this;
    let n = 0;
    for (const k of this.members) {
      if (done & (1 << k)) continue;
      const by = dues[k]! + faces[k]!;
      let at = n;
      for (; at > 0; at -= 1) {
        const before = sorted[at - 1]!;
        if (dues[before]! + faces[before]! <= by) break;
        sorted[at] = before;
      }
      sorted[at] = k;
      n += 1;
    }
    let clock = now;
    let spare = Infinity;
    for (let at = 0; at < n; at += 1) {
      const k = sorted[at]!;
      clock += takes[k]!;
      spare = Math.min(spare, dues[k]! + faces[k]! - clock);
    }
    return spare;
  }
}

/** All places of a job. */
export const allOf = (job: Job): number =>
  maskOf(
    job,
    job.places.map(({ variants }) => variants[0]!),
  );
