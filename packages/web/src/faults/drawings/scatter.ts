/**
 * Places for the marks of a drawing: scattered, never twice the same pattern, always the same one.
 */
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';

export const WIDTH = 160;
export const HEIGHT = 100;

export type Mark = { x: number; y: number; size: number };

/** Marks that keep apart from one another, within a margin of the panel. */
export function scattered(
  seed: number,
  count: number,
  [least, most]: readonly [number, number],
  apart = 0,
): Mark[] {
  const draw = drawnFrom(seed);
  const marks: Mark[] = [];
  for (let tries = 0; marks.length < count && tries < count * 40; tries += 1) {
    const mark = {
      x: 10 + draw() * (WIDTH - 20),
      y: 10 + draw() * (HEIGHT - 20),
      size: least + draw() * (most - least),
    };
    if (marks.every(({ x, y }) => Math.hypot(x - mark.x, y - mark.y) >= apart)) marks.push(mark);
  }
  return marks;
}

/** The top of a film seen from the side: waves of one length and height about a level. */
export function wavePath(waveLength: number, height: number, level: number): string {
  const steps = Array.from({ length: WIDTH / 2 + 1 }, (_, i) => i * 2);
  return steps
    .map(
      (x, i) =>
        `${i === 0 ? 'M' : 'L'}${x} ${(level - height * Math.cos((2 * Math.PI * x) / waveLength)).toFixed(1)}`,
    )
    .join('');
}
