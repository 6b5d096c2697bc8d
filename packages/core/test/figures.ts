/** Figures as the tests draw them, and how near an answer has to come to what is printed. */
import fc from 'fast-check';
import { expect } from 'vitest';

/** Any figure of a range, ends included. */
export const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Within a share of what is wanted: half a percent where the card prints three digits. */
export const within = (value: number | undefined, wanted: number, share = 0.005) =>
  expect(Math.abs(value! / wanted - 1), `${value} against ${wanted}`).toBeLessThanOrEqual(share);
