/**
 * Every lever moves its faults the way a painter says, over its whole range: asserted over coats
 * drawn at random.
 */
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coat, LEVER_ROWS } from './leverRows.ts';
import { rightCoat } from './rightCoats.ts';

/** Steps in time follow the film: two runs of nearly one coat differ by no more. */
const MESH_WANDERS = 1e-5;

describe('a lever and its fault', () => {
  it.each(LEVER_ROWS)(
    '$lever: $fault never falls, and rises',
    ({ in: wanted = {}, classes, at, of, slack = MESH_WANDERS }) => {
      let most = 0;
      // Even over the range: drawn as doubles, nearly all would lie next to nought.
      const share = fc.nat(1000).map((n) => n / 1000);
      fc.assert(
        fc.property(fc.integer(), fc.nat(100), share, share, (seed, pick, a, b) => {
          const materialClass = classes?.[pick % classes.length];
          const { input } = rightCoat(drawnFrom(seed), {
            ...wanted,
            ...(materialClass ? { class: materialClass } : {}),
          });
          const [little, much] = [Math.min(a, b), Math.max(a, b)].map((end) =>
            of(coat(at(input, end))),
          );
          expect(much!).toBeGreaterThanOrEqual(little! - slack);
          most = Math.max(most, much! - little!);
        }),
        { numRuns: 20 },
      );
      // A lever that moves nothing would hold as well.
      expect(most).toBeGreaterThan(0.001);
    },
  );

  it('solids on the sheet move the dry film, and nothing else', () =>
    fc.assert(
      fc.property(
        fc.integer(),
        fc.double({ min: 20, max: 75, noNaN: true }),
        (seed, volumeSolidsPercent) => {
          const { input } = rightCoat(drawnFrom(seed));
          const [byClass, bySheet] = [
            input,
            { ...input, material: { ...input.material, volumeSolidsPercent } },
          ].map(coat);
          const { dryUm: dry, ...film } = byClass!.film;
          const { dryUm: sheetDry, ...sheetFilm } = bySheet!.film;
          expect({ ...bySheet, film: sheetFilm }).toEqual({ ...byClass, film });
          const { mix, solids } = MATERIALS[input.material.class];
          const own =
            (mix[0] * solids.paint + mix[1] * solids.hardener) / (mix[0] + mix[1] + mix[2]);
          expect(sheetDry.value / dry.value).toBeCloseTo(volumeSolidsPercent / 100 / own, 6);
        },
      ),
      { numRuns: 20 },
    ));
});
