/** Steps and ends that a figure is held to. */

/** Nearest multiple of `step`. */
export const toStep = (value: number, step: number): number => Math.round(value / step) * step;

/**
 * Largest multiple of `step` at or under the value (with a hair of tolerance for binary fractions).
 */
export const downToStep = (value: number, step: number): number =>
  Math.floor(value / step + 1e-9) * step;

/** Held between two ends. */
export const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));
