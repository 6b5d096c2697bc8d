import type { StoredSet } from '@orthochrom/contract/shop/setup.ts';

export const TRUST_NAME = {
  good: 'gauge trusted',
  doubtful: 'gauge doubtful',
  none: 'no gauge of its own',
} as const;

/** The sets of its size that it came after, oldest first. */
export const setsBefore = (sets: readonly StoredSet[], set: StoredSet): StoredSet[] =>
  sets
    .filter(
      ({ id, nozzleMm, retiredAt }) =>
        id !== set.id &&
        nozzleMm === set.nozzleMm &&
        retiredAt !== undefined &&
        retiredAt <= set.fittedSince,
    )
    .sort((a, b) => a.fittedSince.localeCompare(b.fittedSince));
