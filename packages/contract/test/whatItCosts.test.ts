/** What a litre and a job cost, by the tins of the shop. */
import { describe, expect, it } from 'vitest';
import { pricePerL } from '../src/plan/howMuch.ts';
import { kitOfTins, kitParts, sizesOfKit } from '../src/plan/kitFor.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import { contextFor, paints, products, sheets } from './demoContext.ts';

const of = (wanted: (sheet: (typeof sheets)[number]) => boolean): string => paints.find(wanted)!.id;
const SEALER = of(({ shades }) => shades !== undefined);

describe('what it costs', () => {
  it('is by the litre of the tin that is cheapest by the litre', () => {
    expect(pricePerL({ '500': 30, '4000': 160 })).toBe(40);
    expect(pricePerL({})).toBeUndefined();
  });
  it('is said only where every part has a price, and doubles with the prices', () => {
    const context = contextFor(SEALER, 22);
    const priced = (factor: number, products_ = [...products.keys()]) =>
      planCoat({
        ...context,
        prices: new Map(
          products_.map((id) => [
            id,
            Object.fromEntries(
              (products.get(id)!.packSizesMl ?? []).map((ml) => [ml, ml * factor]),
            ),
          ]),
        ),
      }).quantity;
    expect(priced(0.1, [SEALER]).cost).toBeUndefined();
    expect(priced(0.2).cost).toBeCloseTo(2 * priced(0.1).cost!, 6);
    // One price a millilitre all over: the ready litre costs a thousand of them.
    expect(priced(0.1).costPerReadyL).toBeCloseTo(100, 6);
  });
  it('of a kit takes tins that go with a whole tin of paint', () => {
    for (const sheet of paints)
      for (const recipe of sheet.recipes!) {
        const parts = kitParts(sheet, recipe, products)!;
        const sizes = sizesOfKit(parts, recipe, {});
        const kit = kitOfTins(sheet, recipe, { products, prices: new Map(), sizes: {} })!;
        const all = recipe.parts.reduce((sum, part) => sum + part.parts, 0);
        expect(kit.readyMl).toBeGreaterThanOrEqual(
          (sizes[0]! * all) / recipe.parts[0]!.parts - 1e-6,
        );
        expect(kit.pricePerReadyL).toBeUndefined();
      }
  });
});
