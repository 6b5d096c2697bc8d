/** Single cases in which two rules once disagreed on one coat: each has one answer now. */
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import { describe, expect, it } from 'vitest';
import { coatInput } from '../src/plan/coatInput.ts';
import { planCoat, stopsOf } from '../src/plan/planCoat.ts';
import type { PlanContext } from '../src/plan/planContext.ts';
import { ask } from '../src/calculations/ask.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { pourCheckCalculation } from '../src/calculations/pourCheck.ts';
import { recoatCalculation } from '../src/calculations/recoat.ts';
import { reducerCalculation } from '../src/calculations/reducer.ts';
import type { InputOf } from '../src/registry.ts';
import { contextFor, products } from './demoContext.ts';

const codesOf = ({ verdicts }: { verdicts: readonly { code: string }[] }) =>
  verdicts.map(({ code }) => code);
const WARM = {
  airTemperatureC: 28,
  relativeHumidityPercent: 45,
  panelTemperatureC: 28,
  airMovement: 'downdraft' as const,
};

describe('the wait', () => {
  it('of a high-solids clear goes by the law of high solids', () => {
    const context = contextFor('tarnside-clear-hs', 18);
    const asMedium = {
      ...context,
      sheet: { ...context.sheet, materialClass: 'clearMediumSolids' as const },
    };
    const [hs, ms] = [context, asMedium].map((of) => planCoat(of).recoat.earliestMinutes.value);
    expect(Math.abs(hs! - ms!)).toBeGreaterThan(0.1);
  });

  it.each([
    ['base', 'solvent', 'solventBase'],
    ['clear', 'solvent', 'clearMediumSolids'],
    ['primer', 'waterborne', 'waterborneSealer'],
  ] as const)(
    'of a %s before heat, no sheet at hand, is its class’s own on timer and day alike',
    (stage, carrier, materialClass) => {
      const wait = ask(recoatCalculation, {
        layer: { stage, carrier },
        climate: WARM,
        minutesSince: 0,
        next: 'bake',
      });
      expect(wait.earliestMinutes.value).toBe(MATERIALS[materialClass].usualMinutes.last);
    },
  );

  it('without a sheet stands for 21 °C: there the usual minutes are not moved', () => {
    const climate = {
      ...WARM,
      airTemperatureC: 21,
      panelTemperatureC: 21,
      relativeHumidityPercent: 50,
    };
    const layer = { stage: 'base', carrier: 'solvent' } as const;
    const at = (airMovement: 'downdraft' | 'still') =>
      ask(recoatCalculation, {
        layer,
        climate: { ...climate, airMovement },
        minutesSince: 0,
        next: 'coat',
      }).earliestMinutes.value;
    const told = ask(recoatCalculation, {
      layer: {
        ...layer,
        sheet: { atC: 21, flashMinutes: MATERIALS.solventBase.usualMinutes.flash },
      },
      climate,
      minutesSince: 0,
      next: 'coat',
    }).earliestMinutes.value;
    expect(at('downdraft')).toBeCloseTo(told, 9);
  });

  it('of the forecast is never told under the sheet’s floor', () => {
    const context = contextFor('tarnside-sb-solid', 34, { rh: 30 });
    const least = context.sheet.recipes![0]!.times.minFlashMinutes!;
    const plan = planCoat(context);
    const input = coatInput(context, plan);
    const thin = ask(coatCalculation, {
      ...input,
      settings: { ...input.settings, gunSpeedMPerS: 1.6 },
    });
    const differs = thin.verdicts.find(({ code }) => code === 'model-and-sheet-differ');
    expect(Number(/\d+/.exec(differs!.message)![0])).toBeGreaterThanOrEqual(least);
  });

  it('after a mist coat is the mist coat’s', () => {
    const context = contextFor('tarnside-sb-metallic', 22, { mist: true });
    const { minFlashMinutes } = context.sheet.recipes![0]!.times;
    expect(planCoat(context).recoat.earliestMinutes.value).toBe(minFlashMinutes);
  });
});

describe('the air', () => {
  it('too damp for the sheet is so on the flash card as on the spray card', () => {
    const plan = planCoat(contextFor('tarnside-wb-base', 24, { rh: 78 }));
    expect(codesOf(plan.climate)).toContain('air-too-humid');
    expect(codesOf(plan.recoat)).toContain('air-too-humid');
  });
});

describe('the painter’s own', () => {
  const picked = (context: PlanContext, name: string) =>
    planCoat({ ...context, wantedParts: [{ name, fraction: 1 }] });

  it('fast grade in the heat has its own short edge, flash and cautions', () => {
    const context = contextFor('tarnside-sb-solid', 34, { rh: 40 });
    const [ours, own] = [planCoat(context), picked(context, 'T-10')];
    expect(own.reducer.wanted!.openTimeMinutes.value).toBeLessThan(
      ours.reducer.openTimeMinutes!.value * 0.7,
    );
    expect(own.recoat.earliestMinutes.value).toBeLessThan(ours.recoat.earliestMinutes.value);
    expect(coatInput(context, own).material.grade?.name).toBe('T-10');
    expect(coatInput(context, ours).material.grade?.name).not.toBe('T-10');
  });

  it('quick hardener shortens the pot life', () => {
    const context = contextFor('tarnside-clear-ms', 26);
    const [quick, slow] = ['tarnside-h-1', 'tarnside-h-3'].map(
      (hardenerId) => planCoat({ ...context, hardenerId }).mix!,
    );
    expect(quick!.potLifeMinutes!.value).toBeLessThan(slow!.potLifeMinutes!.value * 0.8);
  });
});

describe('a recipe', () => {
  const recipe = (id: string, name: string, rh = 50) => {
    const context = contextFor(id, 22, { rh });
    return { ...context, stage: { ...context.stage, recipeName: name } };
  };
  it('of 20 % pours 20 %, whatever the grid says of the air', () => {
    const { mix } = planCoat(recipe('tarnside-wb-sealer', '20 % adjuster'));
    const [paint, adjuster] = ['paint', 'adjuster'].map(
      (role) => mix!.components!.find((part) => part.role === role)!.ml,
    );
    expect(adjuster! / paint!).toBeCloseTo(0.2, 6);
  });

  it('keeps an additive that stands beside parts', () => {
    const context = contextFor('tarnside-sb-solid', 22);
    const additions = [
      { role: 'additive' as const, product: 'tarnside-w-5', percent: 3, of: 'finalMix' as const },
    ];
    const recipes = context.sheet.recipes!.map((one) => ({ ...one, additions }));
    const { mix } = planCoat({ ...context, sheet: { ...context.sheet, recipes } });
    const poured = mix!.components!.find(({ role }) => role === 'additive');
    expect(poured!.ml / mix!.readyMl!).toBeCloseTo(0.03, 3);
  });

  it('of a clear without reducer names none, and a reducer picked for it is stopped with why', () => {
    const context = contextFor('tarnside-clear-ms', 27);
    const plan = planCoat(context);
    expect(plan.mix!.components!.map(({ role }) => role)).toEqual(['paint', 'hardener']);
    expect(plan.inputs.reducer.grades ?? []).toEqual([]);
    const picked = planCoat({ ...context, wantedParts: [{ name: 'T-40', fraction: 1 }] });
    expect(picked.mix).toBeUndefined();
    expect(stopsOf(picked)[0]!.message).toMatch(/gives no reducer/);
  });

  it('of the grid is met at its points, to the last digit but one', () => {
    const { adjusterGrid } = products.get('tarnside-wb-base')!;
    for (const { airTemperatureC, relativeHumidityPercent, percentOfPaint } of adjusterGrid!) {
      const { choice, verdicts } = ask(reducerCalculation, {
        airTemperatureC: airTemperatureC + 4e-15 * airTemperatureC,
        relativeHumidityPercent: relativeHumidityPercent - 1e-14 * relativeHumidityPercent,
        airMovement: 'downdraft',
        jobSize: 'panel',
        carrier: 'waterborne',
        stage: 'base',
        adjusterGrid,
        panelTemperatureC: airTemperatureC,
        limits: { minPanelC: 10 },
      } as InputOf<'reducer'>);
      expect(verdicts.map(({ code }) => code)).not.toContain('adjuster-beyond-grid');
      expect(choice!.adjusterPercentOfPaint).toBeCloseTo(percentOfPaint, 6);
    }
  });

  it('mended beyond the cup goes into a larger pot where the shop has one', () => {
    const parts = [
      { name: 'Clear', parts: 4, role: 'paint' },
      { name: 'H', parts: 1, role: 'hardener' },
    ] as const;
    const check = (pots?: { name: string; capacityMl: number }[]) =>
      ask(pourCheckCalculation, {
        recipe: { parts: [...parts] },
        poured: [
          { name: 'Clear', ml: 400 },
          { name: 'H', ml: 180 },
        ],
        cup: { capacityMl: 600, marksMl: [] },
        ...(pots ? { pots } : {}),
      });
    expect(codesOf(check())).toContain('pour-lost');
    expect(codesOf(check([{ name: 'Pot 1300', capacityMl: 1300 }]))).toContain(
      'pour-off-larger-pot',
    );
  });

  it('beyond its sheet in coats is said', () => {
    const context = contextFor('tarnside-clear-hs', 22);
    const plan = planCoat({ ...context, stage: { ...context.stage, coats: 4 } });
    expect(codesOf(plan.setup)).toContain('coats-over-sheet');
    expect(codesOf(planCoat(context).setup)).not.toContain('coats-over-sheet');
  });
});
