/** Numbers between 0 and 1 from a seed, the same every time. Source: ettinger-2017 (mulberry32) */
/** A source of numbers from 0 up to 1; the same seed gives the same numbers. */
export function drawnFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
