/** Part of an order as the search holds it, and which of two that end alike is kept. */

export type Label = {
  done: number;
  /** The variant laid last, and what was laid before it. */
  last: number;
  before: Label | undefined;
  starts: Float64Array;
  /** By place: the latest start that all laid before it bear. */
  dues: Float64Array;
  /** By place: its variant, or −1. */
  chosen: Int8Array;
  now: number;
  /** Seconds to spare at what is due next. */
  spare: number;
};

/** Seconds that are none. */
export const SLACK = 1e-9;

/** From the first place to the last. */
export function orderOf(label: Label): number[] {
  const order: number[] = [];
  for (let at: Label | undefined = label; at && at.last >= 0; at = at.before) order.push(at.last);
  return order.reverse();
}

/** The labels of one layer, none of them worse than another that ends alike. */
export class Layer {
  private readonly groups = new Map<string, Label[]>();
  private readonly openOf: (done: number) => number;

  /** @param openOf bits of what is on and still waits for a neighbour */
  constructor(openOf: (done: number) => number) {
    this.openOf = openOf;
  }

  add(label: Label): boolean {
    const open = this.openOf(label.done);
    const places: number[] = [];
    let key = `${label.done} ${label.last}`;
    for (let i = 0; open >> i !== 0; i += 1) {
      if (!(open & (1 << i))) continue;
      places.push(i);
      key += ` ${label.chosen[i]}`;
    }
    const isNoOlder = (one: Label, other: Label): boolean => {
      for (const i of places)
        if (one.now - one.starts[i]! > other.now - other.starts[i]! + SLACK) return false;
      return true;
    };
    const group = this.groups.get(key);
    if (!group) this.groups.set(key, [label]);
    else {
      for (const other of group) if (isNoOlder(other, label)) return false;
      this.groups.set(key, [...group.filter((other) => !isNoOlder(label, other)), label]);
    }
    return true;
  }

  all(): Label[] {
    return [...this.groups.values()].flat();
  }
}
