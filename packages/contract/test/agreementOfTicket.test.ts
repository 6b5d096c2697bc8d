/**
 * One word in force, on the ticket: every card of a coat says what the doors say when they are
 * asked for themselves.
 */
import { lapSecondsOf } from '../src/plan/panels.ts';
import fc from 'fast-check';
import { airVerdictsOf } from '@orthochrom/core/inForce/airVerdictsOf.ts';
import { PARTS } from '@orthochrom/core/trade/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import { coatInput } from '../src/plan/coatInput.ts';
import { planCoat, type CoatPlan } from '../src/plan/planCoat.ts';
import { recipeOf, type PlanContext } from '../src/plan/planContext.ts';
import { ask } from '../src/calculations/ask.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { recoatCalculation } from '../src/calculations/recoat.ts';
import { setupCalculation } from '../src/calculations/setup.ts';
import type { InputOf } from '../src/registry.ts';
import { airOf, anyClimate, anyLimits, given, maybe, within } from './anyCoat.ts';
import { contextFor, guns, paints } from './demoContext.ts';

/** Small enough to be read where a law fails. */
const anyDrawn = fc.record({
  sheetId: fc.constantFrom(...paints.map(({ id }) => id)),
  gunName: fc.constantFrom(...guns.map(({ name }) => name)),
  climate: anyClimate,
  limits: anyLimits,
  leaflet: fc.boolean(),
  capLimitKPa: maybe(within(45, 90)),
  flashShare: within(0.5, 2),
  part: fc.constantFrom(...PARTS),
  mist: fc.boolean(),
  coatsLeft: fc.integer({ min: 1, max: 3 }),
  isLastStage: fc.boolean(),
  orientation: fc.constantFrom('upright' as const, 'slope' as const, 'flat' as const),
});
type Drawn = typeof anyDrawn extends fc.Arbitrary<infer T> ? T : never;

function contextOfDrawn({
  sheetId,
  gunName,
  climate,
  limits,
  leaflet,
  capLimitKPa,
  flashShare,
  part,
  mist,
  coatsLeft,
  isLastStage,
  orientation,
}: Drawn): PlanContext {
  const sheet = paints.find(({ id }) => id === sheetId)!;
  const gun = guns.find(({ name }) => name === gunName)!;
  const { airTemperatureC, relativeHumidityPercent: rh, panelTemperatureC, airMovement } = climate;
  const recipes = sheet.recipes!.map((recipe) => {
    const { flashMinutes, minFlashMinutes } = recipe.times;
    const times = given({
      ...recipe.times,
      flashMinutes: flashMinutes === undefined ? undefined : flashMinutes * Math.min(1, flashShare),
      minFlashMinutes:
        minFlashMinutes === undefined ? undefined : minFlashMinutes * Math.min(1, flashShare),
    });
    return { ...recipe, times } as typeof recipe;
  });
  const { limits: _, ...bare } = sheet;
  const made = { ...bare, recipes, ...(limits ? { limits } : {}) };
  const leafletInletKPa: [number, number] = [90, 260];
  const context = contextFor(sheet.id, airTemperatureC, {
    rh,
    coatsLeft,
    isLastStage,
    part,
    ...(mist ? { mist } : {}),
    gun: leaflet ? { ...gun, gun: { ...gun.gun, leafletInletKPa } } : gun,
  });
  const { capLimitKPa: _limit, ...room } = context.room;
  const panel = { ...context.air.panel!, value: panelTemperatureC! };
  return {
    ...context,
    sheet: made,
    room: {
      ...room,
      airMovement: airMovement!,
      ...(capLimitKPa === undefined ? {} : { capLimitKPa }),
    },
    air: { ...context.air, panel },
    ticket: {
      ...context.ticket,
      panels: context.ticket.panels.map((one) => ({ ...one, orientation })),
    },
  };
}
const law = (holds: (plan: CoatPlan, context: PlanContext) => void, numRuns = 120) =>
  fc.assert(
    fc.property(anyDrawn, (drawn) => {
      const context = contextOfDrawn(drawn);
      holds(planCoat(context), context);
    }),
    { numRuns },
  );
const climateOf = ({ room, air }: PlanContext): InputOf<'recoat'>['climate'] => ({
  airTemperatureC: air.air.value,
  relativeHumidityPercent: air.humidity.value,
  panelTemperatureC: air.panel!.value,
  airMovement: room.airMovement,
});

describe('on the ticket', () => {
  it('gun, wait and forecast are of one class', () => {
    law((plan, context) => {
      expect(coatInput(context, plan).material.class).toBe(plan.setup.class);
      const named = {
        ...plan.inputs.recoat,
        layer: { ...plan.inputs.recoat.layer, class: plan.setup.class },
      };
      expect(ask(recoatCalculation, named).earliestMinutes).toEqual(plan.recoat.earliestMinutes);
    });
  });

  it('the air is judged by one judge on the air, mix and flash cards and in the forecast', () => {
    law((plan, context) => {
      const { sheet } = context;
      const expected = airOf(
        airVerdictsOf(climateOf(context), { limits: sheet.limits, carrier: sheet.carrier }),
      );
      expect(airOf(plan.climate.verdicts)).toEqual(expected);
      expect(airOf(plan.reducer.verdicts)).toEqual(expected);
      if (plan.inputs.recoat.next === 'coat') expect(airOf(plan.recoat.verdicts)).toEqual(expected);
      expect(
        airOf(ask(coatCalculation, { ...coatInput(context, plan), spread: false }).verdicts),
      ).toEqual(expected);
    }, 60);
  });

  it('the flash of the timer is the one that the forecast lays its coats with, and the heat waits as long', () => {
    let baked = 0;
    law((plan, context) => {
      const { coats, bake } = coatInput(context, plan);
      for (const { flashMinutes } of coats)
        expect(flashMinutes).toBe(plan.recoat.earliestMinutes.value);
      if (bake) {
        baked += 1;
        expect(bake.afterMinutes).toBeGreaterThanOrEqual(
          recipeOf(context).times.beforeBakeMinutes!,
        );
        if (plan.inputs.recoat.next === 'bake')
          expect(bake.afterMinutes).toBe(plan.recoat.earliestMinutes.value);
      }
      if (context.mist && plan.inputs.recoat.next !== 'bake')
        expect(plan.recoat.earliestMinutes.value).toBeCloseTo(plan.recoat.floorMinutes, 9);
    });
    expect(baked).toBeGreaterThan(0);
  });

  it('the band of the gauge is the one that the tool’s own pressure and the painter’s are held to', () => {
    law((plan, context) => {
      const [lowKPa, highKPa] = plan.setup.inletBandKPa;
      const judged = (inletKPa: number) =>
        planCoat({ ...context, own: { ...ownOf(plan), inletKPa } }).setup.own!.verdicts.map(
          ({ code }) => code,
        );
      expect(judged((lowKPa + highKPa) / 2)).not.toContain('inlet-outside-band');
      expect(judged(highKPa + 8)).toContain('inlet-outside-band');
      if (lowKPa > 20) expect(judged(lowKPa - 8)).toContain('inlet-outside-band');
    }, 60);
  });

  it('a limit at the cap holds whichever way it is passed, and there is none where none is set', () => {
    law((plan, context) => {
      const { capLimitKPa } = plan.inputs.setup;
      if (capLimitKPa !== undefined)
        expect(plan.setup.capKPa).toBeLessThanOrEqual(capLimitKPa + 0.05);
      const { setup } = planCoat({ ...context, own: { ...ownOf(plan), fanTurnsOut: 0 } });
      const isStopped = setup.own!.verdicts.some(({ code }) => code === 'cap-over-legal-limit');
      expect(isStopped).toBe(capLimitKPa !== undefined && setup.own!.capKPa > capLimitKPa + 0.05);
    }, 60);
  });

  it('the risks of the set-up are those of the forecast', () => {
    law((plan, context) => {
      // In air that is stopped nobody sprays, and a coarse mesh may wander.
      if (plan.climate.verdicts.some(({ level }) => level === 'stop')) return;
      // As the card of other plans asks: with the round of the panels that the coat goes by.
      const lapSeconds = lapSecondsOf(context, plan.setup);
      const whole = ask(setupCalculation, {
        ...plan.inputs.setup,
        plans: true,
        ...(lapSeconds === undefined ? {} : { lapSeconds }),
      });
      if (!('risks' in whole) || !whole.risks) return;
      const input = coatInput(
        { ...context, isLastStage: false, coatsLeft: Math.min(3, plan.setup.coats) },
        plan,
      );
      // Two meshes of one model: the set-up searches on the coarse one.
      const { risks } = ask(coatCalculation, {
        ...input,
        coats: input.coats.map((one) => ({ ...one, flashMinutes: flashOf(plan) })),
      });
      for (const [name, { value }] of Object.entries(whole.risks))
        expect(
          Math.abs(value - (risks[name as keyof typeof risks]?.value ?? 0)),
          name,
        ).toBeLessThan(0.05);
    }, 30);
  });
});

const flashOf = ({ inputs }: CoatPlan): number =>
  ask(recoatCalculation, { ...inputs.recoat, next: 'coat' }).earliestMinutes.value;

function ownOf({ setup }: CoatPlan): NonNullable<PlanContext['own']> {
  const { nozzleMm, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, overlapPercent, wetFilmUm } =
    setup;
  return { nozzleMm, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, overlapPercent, wetFilmUm };
}
