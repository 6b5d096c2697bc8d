/** Straight lines between known points. */
import { clamp } from './rounding.ts';

/** From `a` at 0 to `b` at 1. */
export const between = (a: number, b: number, share: number): number => a + (b - a) * share;

/**
 * Straight lines through the points in any order, flat beyond their ends. @param points at least
 * one
 */
export function along(points: readonly (readonly [x: number, y: number])[], at: number): number {
  const sorted = [...points].sort((a, b) => a[0] - b[0]);
  const upper = sorted.findIndex(([x]) => x >= at);
  if (upper === -1) return sorted.at(-1)![1];
  const [x1, y1] = sorted[upper]!;
  const [x0, y0] = sorted[Math.max(0, upper - 1)]!;
  return x1 === x0 ? y1 : y0 + ((y1 - y0) * clamp(at - x0, 0, x1 - x0)) / (x1 - x0);
}
