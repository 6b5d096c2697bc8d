/** Changes to what stands on a panel; what is not told leaves no trace. Pure. */
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';

/** Without what is undefined: an answer taken back was never given. */
const told = <T extends object>(of: T): T =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined)) as T;

/** The tests with another answer of one of them; no trace where none is left. */
export const changedTests = (
  tests: NonNullable<FoundLayer['tests']>,
  test: keyof NonNullable<FoundLayer['tests']>,
  seen: string | undefined,
): FoundLayer['tests'] => {
  const next = told({ ...tests, [test]: seen });
  return Object.keys(next).length > 0 ? next : undefined;
};

/** What is on top was not sanded through. */
export const withLayer = (
  layers: readonly FoundLayer[],
  at: number,
  changes: Partial<FoundLayer>,
): FoundLayer[] =>
  layers.map((layer, i) => {
    const next = told(i === at ? { ...layer, ...changes } : layer);
    return i === layers.length - 1 ? told({ ...next, cutThrough: undefined }) : next;
  });
