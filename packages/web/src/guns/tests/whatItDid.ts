/** What a test does to a gun's figures: the same set-up worked out without it and with it. Pure. */
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { setupCalculation } from '@orthochrom/contract/calculations/setup.ts';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { filmExpected } from '@orthochrom/core/coat/filmExpected.ts';
import { classOf } from '@orthochrom/core/inForce/classOf.ts';

type GunTest = NonNullable<NonNullable<StoredGun['gun']['nozzleSets']>[number]['tests']>[number];
export type Figure = { value: number; low: number; high: number };
export type Did = {
  name: 'fluidMlPerMin' | 'fanWidthMm' | 'capKPa' | 'wetUm';
  before: Figure;
  after: Figure;
};

/**
 * A coat this gun is used for, in air and hands like any other: only the gun differs between the
 * two.
 */
export function whatItDid(
  { gun, usedFor }: Pick<StoredGun, 'gun' | 'usedFor'>,
  nozzleMm: number,
  test: GunTest,
): Did[] {
  const stage: Stage = usedFor.find((kind) => kind === 'clear') ?? usedFor[0] ?? 'clear';
  const withTests = (more: GunTest[]) => ({
    ...gun,
    nozzlesMm: [nozzleMm],
    nozzleSets: (gun.nozzleSets ?? [])
      .filter((set) => set.nozzleMm === nozzleMm)
      .map((set) => ({ ...set, tests: [...(set.tests ?? []), ...more] })),
  });
  const setup = (more: GunTest[]) =>
    ask(setupCalculation, {
      gun: withTests(more),
      stage,
      carrier: 'solvent',
      place: 'booth',
      part: 'largePanel',
      hardener: 'none',
      plans: false,
    });
  const [before, after] = [setup([]), setup([test])];
  const settings = test.kind === 'comb' ? { ...test.settings, nozzleMm } : { nozzleMm };
  const film = (more: GunTest[]) =>
    filmExpected(withTests(more), classOf({ stage, carrier: 'solvent' }).value, settings);
  const [filmBefore, filmAfter] = [film([]), film([test])];
  return [
    ...(['fluidMlPerMin', 'fanWidthMm', 'capKPa'] as const).map((name) => ({
      name,
      before: before.ranges[name],
      after: after.ranges[name],
    })),
    ...(filmBefore && filmAfter
      ? [{ name: 'wetUm' as const, before: filmBefore, after: filmAfter }]
      : []),
  ].filter(
    ({ before: was, after: is }) =>
      Math.abs(is.value / was.value - 1) > 0.005 ||
      Math.abs((is.high - is.low) / (was.high - was.low) - 1) > 0.02,
  );
}

/** Measured over what a gun of this kind and size would give, before any test of this kind. */
export const surenessPercent = ({ value, low, high }: Figure): number =>
  ((high - low) / 2 / value) * 100;
