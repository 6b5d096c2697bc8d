/** Laws of the plan over all the shop's paints, guns and painters, in air drawn at random. */
import { HABITS, USUAL_HABITS } from '@orthochrom/core/gun/preferences.ts';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { planCoat, type CoatPlan } from '../src/plan/planCoat.ts';
import { cupFor } from '../src/plan/amounts.ts';
import { shortName, type PlanContext } from '../src/plan/planContext.ts';
import { VERDICTS } from '../src/words/verdictWords.ts';
import { contextFor, guns, paints, products } from './demoContext.ts';

const anyContext = fc
  .record({
    sheet: fc.constantFrom(...paints),
    gun: fc.constantFrom(...guns),
    airC: fc.double({ min: 4, max: 40, noNaN: true }),
    rh: fc.double({ min: 20, max: 95, noNaN: true }),
    coatsLeft: fc.integer({ min: 1, max: 3 }),
    jobSize: fc.constantFrom('spot', 'panel', 'side', 'overall' as const),
    areaM2: fc.double({ min: 0.1, max: 9, noNaN: true }),
    recipe: fc.nat(3),
    skill: fc.constantFrom('learner', 'able', 'expert' as const),
  })
  .map(({ sheet, gun, airC, rh, coatsLeft, jobSize, areaM2, recipe, skill }): PlanContext => {
    const context = contextFor(sheet.id, airC, { rh, gun, coatsLeft });
    const { name } = sheet.recipes![recipe % sheet.recipes!.length]!;
    const panels = context.ticket.panels.map((panel) => ({ ...panel, areaM2 }));
    return {
      ...context,
      ticket: { jobSize, panels },
      stage: { ...context.stage, recipeName: name },
      painter: { ...context.painter, skill },
    };
  });
const DRAWN = 500;
let planned: [CoatPlan, PlanContext][];
/** Planned once: every law is held over all of them. */
beforeAll(() => {
  planned = fc.sample(anyContext, DRAWN).map((context) => [planCoat(context), context]);
});
const law = (holds: (plan: CoatPlan, context: PlanContext) => void) =>
  fc.assert(
    fc.property(fc.constantFrom(...planned), ([plan, context]) => holds(plan, context)),
    { examples: planned.map((one) => [one]), numRuns: DRAWN },
  );
const recipeOf = ({ sheet, stage }: PlanContext) =>
  sheet.recipes!.find(({ name }) => name === stage.recipeName)!;
const verdictsOf = ({ climate, reducer, mix, setup, recoat }: CoatPlan) =>
  [climate, reducer, mix, setup, recoat].flatMap((answer) => answer?.verdicts ?? []);

describe('whatever the air, the paint and the gun', () => {
  it('a stop by the air leaves no grade, no hardener and nothing to pour', () => {
    law(({ reducer, mix }) => {
      if (reducer.verdicts.some(({ level }) => level === 'stop')) {
        expect(reducer.choice).toBeUndefined();
        expect(mix).toBeUndefined();
      }
    });
  });

  it('the cup holds the sheet’s own ratio, by volume and by weight', () => {
    law(({ mix, parts }, context) => {
      if (!mix?.components) return;
      const paint = mix.components.find(({ role }) => role === 'paint')!;
      const paintParts = recipeOf(context).parts.find(({ role }) => role === 'paint')!.parts;
      for (const part of recipeOf(context).parts) {
        const poured = mix.components
          .filter(({ role }) => role === part.role)
          .reduce((sum, { ml }) => sum + ml, 0);
        expect(poured / paint.ml).toBeCloseTo(part.parts / paintParts, 9);
      }
      for (const { name, ml, grams } of mix.components)
        expect(grams).toBeCloseTo(ml * parts!.densitiesGPerMl[name]!, 6);
    });
  });

  it('only products that the sheet names go into it', () => {
    law(({ reducer }, { sheet }) => {
      const named = [
        ...(sheet.grades ?? []),
        ...(sheet.hardeners ?? []),
        ...(sheet.recipes ?? []).flatMap(({ parts }) => parts.map(({ product }) => product)),
      ]
        .flatMap((id) => products.get(id) ?? [])
        .map(shortName);
      for (const { name } of reducer.choice?.parts ?? []) expect(named).toContain(name);
      if (reducer.choice?.hardener) expect(named).toContain(reducer.choice.hardener);
    });
  });

  it('no cup is filled over its top mark, and the batches make the whole', () => {
    law(({ mix }, { cup }) => {
      if (!mix?.batches) return;
      for (const { readyMl } of mix.batches)
        expect(readyMl).toBeLessThanOrEqual(cup!.capacityMl + 1e-6);
      expect(mix.batches.reduce((sum, { readyMl }) => sum + readyMl, 0)).toBeCloseTo(
        mix.readyMl!,
        6,
      );
    });
  });

  it('the wait is never under the sheet’s least', () => {
    law(({ recoat }, context) => {
      const { flashMinutes = 0, minFlashMinutes = flashMinutes / 2 } = recipeOf(context).times;
      expect(recoat.earliestMinutes.value).toBeGreaterThanOrEqual(minFlashMinutes - 1e-9);
      expect(recoat.earliestMinutes.low).toBeLessThanOrEqual(recoat.earliestMinutes.value);
      expect(recoat.earliestMinutes.high).toBeGreaterThanOrEqual(recoat.earliestMinutes.value);
    });
  });

  it('the gun stays inside what it may have, and inside the sheet or says so', () => {
    law(({ setup }, { gun, sheet }) => {
      const band = sheet.gunSheet?.[gun.gun.class]?.inletKPa;
      if (
        gun.gun.maxInletKPa !== undefined &&
        !setup.verdicts.some(({ code }) => code === 'inlet-over-gun')
      )
        expect(setup.inletKPa).toBeLessThanOrEqual(gun.gun.maxInletKPa);
      if (band) expect(setup.inletKPa).toBeLessThanOrEqual(band[1]);
      if (band && setup.inletKPa < Math.floor(band[0]))
        expect(setup.verdicts.map(({ code }) => code)).toContain('inlet-outside-band');
    });
  });

  it('every answer has its reasons, and every verdict its words and its level', () => {
    law((plan) => {
      for (const { code, level, message } of verdictsOf(plan)) {
        expect(VERDICTS.get(code)?.level).toBe(level);
        expect(message).not.toMatch(/[{}]|NaN|undefined/);
      }
      for (const answer of [
        plan.setup,
        plan.recoat,
        ...(plan.reducer.choice ? [plan.reducer] : []),
      ])
        expect(answer.reasons.length).toBeGreaterThan(0);
      for (const { text } of plan.reducer.reasons) expect(text).not.toMatch(/[{}]|NaN|undefined/);
    });
  });

  it('isocyanate never goes without its caution', () => {
    law(({ mix, setup }, { sheet }) => {
      if (sheet.hardenerChemistry !== 'isocyanate') return;
      expect(setup.verdicts.map(({ code }) => code)).toContain('two-pack-breathing');
      if (mix) expect(mix.verdicts.map(({ code }) => code)).toContain('two-pack-breathing');
    });
  });

  it('a habit nobody told is the usual one', () => {
    fc.assert(
      fc.property(anyContext, (context) => {
        const answersOf = (way: PlanContext['painter']['way']) => {
          const { inputs: _, ...answers } = planCoat({
            ...context,
            painter: { ...context.painter, way },
          });
          return answers;
        };
        expect(answersOf({})).toEqual(answersOf(USUAL_HABITS));
      }),
      { numRuns: 60 },
    );
  });

  // The gauge is read on the screen, and base is covered in the plan of its coats.
  it.each(['needle', 'fan', 'distance', 'clearReduction', 'grade'] as const)(
    'any other %s moves some plan: what is usual is no empty word',
    (habit) => {
      for (const value of HABITS[habit].filter((one) => one !== USUAL_HABITS[habit])) {
        // Where a sheet says it itself, the habit moves nothing.
        const isMoved = paints.some(({ id }) =>
          guns.some((gun) => {
            const context = contextFor(id, 24, { gun });
            const answersOf = (way: PlanContext['painter']['way']) => {
              const painter = { ...context.painter, way };
              const { reducer, mix, setup, recoat } = planCoat({ ...context, painter });
              return JSON.stringify({ reducer, mix, setup, recoat });
            };
            return answersOf({ [habit]: value }) !== answersOf({});
          }),
        );
        expect(isMoved, value).toBe(true);
      }
    },
  );

  it('the same question gets the same digits', () => {
    fc.assert(
      fc.property(
        anyContext,
        (context) => JSON.stringify(planCoat(context)) === JSON.stringify(planCoat(context)),
      ),
      { numRuns: 40 },
    );
  });
});

it('the cup taken is the smallest that holds the job in one go, else the largest', () => {
  const cups = [300, 600, 1300].map((capacityMl) => ({
    id: 'x',
    version: 1,
    name: `${capacityMl}`,
    capacityMl,
    marksMl: [],
    scales: [],
  }));
  const cupNamed = (readyMl: number) =>
    cupFor(cups, { ...contextFor('tarnside-single', 22), readyMl })?.name;
  expect([200, 300, 301, 900, 5000].map(cupNamed)).toEqual(['300', '300', '600', '1300', '1300']);
});
