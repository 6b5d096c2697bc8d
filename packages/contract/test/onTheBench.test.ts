/** What is poured, by whose word, and in which cups. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { additionsOf, additionsOnOffer, dosesBeyond } from '../src/plan/additions.ts';
import { lapCupsMl } from '../src/plan/amounts.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import type { PlanContext } from '../src/plan/planContext.ts';
import { pouredAfter, thinnedTo } from '../src/plan/toSeconds.ts';
import { answerOrRefuse } from '../src/registry.ts';
import type { Mix } from '../src/shop/ticket.ts';
import { contextFor, paints, products, sheets } from './demoContext.ts';

const of = (wanted: (sheet: (typeof sheets)[number]) => boolean): string => paints.find(wanted)!.id;
const SEALER = of(({ shades }) => shades !== undefined);
const CLEAR_THINNED = of(({ kind, reduction }) => kind === 'clear' && reduction!.maxPercent > 0);
const WATERBORNE = of(({ kind, carrier }) => kind === 'base' && carrier === 'waterborne');
const BUILD = of(({ recipes }) => recipes!.some(({ times }) => times.shrinkMinutes !== undefined));

describe('a shade made for a colour', () => {
  const { shades } = products.get(SEALER)!;
  const [light, dark] = [shades![0]!.name, shades![4]!.name];
  const tinted = (lightParts: number, darkParts: number): PlanContext => {
    const context = contextFor(SEALER, 22);
    const tint = [
      { name: light, parts: lightParts, product: SEALER },
      { name: dark, parts: darkParts, product: SEALER },
    ];
    return { ...context, stage: { ...context.stage, tint } };
  };
  it('stands in the paint’s part, hardener and reducer as printed', () => {
    const { recipe } = planCoat(tinted(3, 1)).parts!;
    expect(recipe.parts.map(({ parts }) => parts)).toEqual([2.25, 0.75, 1, 1]);
  });
  it('pours as much hardener as one shade does, to a tenth of a per cent', () => {
    const share = (context: PlanContext, role: string) => {
      const { components, readyMl } = planCoat(context).mix!;
      const own = components!.filter((part) => part.role === role);
      return own.reduce((sum, { ml }) => sum + ml, 0) / readyMl!;
    };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (a, b) => {
        for (const role of ['paint', 'hardener', 'reducer'])
          expect(share(tinted(a, b), role)).toBeCloseTo(share(contextFor(SEALER, 22), role), 3);
      }),
      { numRuns: 12 },
    );
  });
});

describe('a dose of the painter’s own', () => {
  const offered = (context: PlanContext) => additionsOnOffer(context, planCoat(context).inUse!);
  it('takes the place of the grid’s, and wants a word', () => {
    const context = contextFor(WATERBORNE, 22);
    const [ours] = offered(context);
    expect(ours!.role).toBe('adjuster');
    const dosed = {
      ...context,
      doses: [{ product: ours!.product, percent: ours!.percent + 7, of: 'paint' as const }],
    };
    const { inUse, mix } = planCoat(dosed);
    expect(mix!.components!.at(-1)!.percentOfPaint).toBeCloseTo(ours!.percent + 7, 6);
    expect(dosesBeyond(dosed, inUse!)).toHaveLength(1);
    const same = { ...context, doses: [{ ...ours!, of: 'paint' as const }] };
    expect(dosesBeyond(same, inUse!)).toEqual([]);
  });
  it('reduces a clear up to its sheet without a word, beyond it with one', () => {
    const context = contextFor(CLEAR_THINNED, 22);
    const { reduction } = context.sheet;
    const dosed = (percent: number) => ({
      ...context,
      doses: [{ product: 'reducer', percent, of: reduction!.of }],
    });
    expect(planCoat(context).mix!.components!.some(({ role }) => role === 'reducer')).toBe(false);
    const most = dosed(reduction!.maxPercent);
    const plan = planCoat(most);
    const poured = plan.mix!.components!.find(({ role }) => role === 'reducer')!;
    expect(poured.percentOfMix).toBeCloseTo(reduction!.maxPercent, 6);
    expect(dosesBeyond(most, plan.inUse!)).toEqual([]);
    expect(dosesBeyond(dosed(reduction!.maxPercent + 1), plan.inUse!)).toHaveLength(1);
  });
  it('of nothing at all pours nothing, and what nobody offers is not poured', () => {
    const context = contextFor(WATERBORNE, 22);
    const [ours] = offered(context);
    const { inUse } = planCoat(context);
    const none = {
      ...context,
      doses: [{ product: ours!.product, percent: 0, of: 'paint' as const }],
    };
    expect(additionsOf(none, inUse!)).toEqual([]);
    const strange = { ...context, doses: [{ product: 'soap', percent: 5, of: 'paint' as const }] };
    expect(additionsOf(strange, inUse!)).toEqual(additionsOf(context, inUse!));
  });
});

describe('cups that end with a panel', () => {
  const large = (areasM2: number[], capacityMl: number): PlanContext => {
    const context = contextFor(BUILD, 22);
    const panels = areasM2.map((areaM2, i) => ({
      ...context.ticket.panels[0]!,
      id: `p${i}`,
      name: `part ${i}`,
      areaM2,
    }));
    return {
      ...context,
      ticket: { ...context.ticket, panels },
      stage: { ...context.stage, panelIds: panels.map(({ id }) => id) },
      cup: { ...context.cup!, capacityMl },
    };
  };
  const areas = fc.array(fc.double({ min: 0.3, max: 2, noNaN: true }), {
    minLength: 1,
    maxLength: 7,
  });
  it('hold together what is mixed, each no more than it holds and no less than its panels want', () => {
    fc.assert(
      fc.property(areas, fc.constantFrom(600, 900, 1300), (areasM2, capacityMl) => {
        const context = large(areasM2, capacityMl);
        const { mix, quantity } = planCoat(context);
        const cupsMl = lapCupsMl(context, quantity);
        if (!cupsMl) return;
        expect(mix!.batches!.map(({ readyMl }) => readyMl)).toEqual(cupsMl);
        expect(cupsMl.reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(mix!.readyMl!, 6);
        cupsMl.forEach((ml, i) => {
          expect(ml).toBeLessThanOrEqual(capacityMl);
          expect(ml).toBeGreaterThanOrEqual(quantity.batches![i]!.readyMl - 1e-6);
        });
      }),
      { numRuns: 25 },
    );
  });
  it('are refused where they do not make the whole, or one runs over', () => {
    const base = {
      recipe: { parts: [{ name: 'P', parts: 1, role: 'paint' }] },
      readyMl: 900,
      cup: { capacityMl: 600 },
    };
    const pathOf = (batchesMl: number[]) => {
      const outcome = answerOrRefuse('mix', { ...base, batchesMl });
      return 'error' in outcome ? outcome.error.path : [];
    };
    expect(pathOf([400, 400])).toEqual(['batchesMl']);
    expect(pathOf([700, 200])).toEqual(['batchesMl', 0]);
    expect(pathOf([600, 300])).toEqual([]);
  });
});

describe('a mix timed through its cup', () => {
  const sheet = {
    ...products.get(CLEAR_THINNED)!,
    reduction: products.get(CLEAR_THINNED)!.reduction!,
  };
  const mix = (reducerMl: number): Mix =>
    ({
      recipe: {
        parts: [
          { name: 'Clear', parts: 2, role: 'paint' },
          { name: 'H', parts: 1, role: 'hardener' },
        ],
        additions: [{ name: 'T', percent: 2, of: 'finalMix', role: 'reducer' }],
      },
      poured: [
        { name: 'Clear', ml: 400 },
        { name: 'H', ml: 200 },
        { name: 'T', ml: reducerMl },
      ],
      readyMl: 600 + reducerMl,
    }) as Mix;
  const flowCup = { cup: 'din4', seconds: 24, measuredAtC: 21 } as const;
  it('is thinned in halves, never past its sheet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 12, max: 23.5, noNaN: true }),
        (reducerMl, wantedSeconds) => {
          const thinned = thinnedTo({ mix: mix(reducerMl), sheet, flowCup, wantedSeconds })!;
          const { maxPercent } = sheet.reduction;
          const addedMl = reducerMl + 2 * thinned.firstMl;
          const percent = (100 * addedMl) / (600 + addedMl);
          expect(percent).toBeLessThanOrEqual(
            Math.max(maxPercent, (100 * reducerMl) / (600 + reducerMl)) + 1e-6,
          );
          expect(thinned.firstMl).toBeLessThanOrEqual(thinned.wantedMl / 2 + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('has in it what was poured more, by volume or by weight', () => {
    expect(pouredAfter(mix(5), { name: 'T', ml: 3 })!.at(-1)).toEqual({ name: 'T', ml: 8 });
    const weighed = { poured: [{ name: 'T', grams: 10 }] };
    expect(pouredAfter(weighed, { name: 'T', ml: 5 }, { T: 0.8 })).toEqual([
      { name: 'T', grams: 14 },
    ]);
    expect(pouredAfter(weighed, { name: 'T', ml: 5 })).toBeUndefined();
  });
});
