/**
 * What a ticket asks of the forward model: every demo paint can be foreseen, its air and knobs move
 * it, what lies below counts.
 */
import { describe, expect, it } from 'vitest';
import { coatInput, layersBelow } from '../src/plan/coatInput.ts';
import type { PlanContext } from '../src/plan/planContext.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import { ask } from '../src/calculations/ask.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { answerOrRefuse, type InputOf } from '../src/registry.ts';
import { LAB_FORMAT, LabFile } from '../src/shop/labFile.ts';
import type { StagePlan, TicketWhole } from '../src/shop/ticket.ts';
import { contextFor, paints, products } from './demoContext.ts';

const expected = (
  context: PlanContext,
  more: Partial<InputOf<'coat'>['settings']> = {},
): InputOf<'coat'> => {
  const input = coatInput(context, planCoat(context));
  return { ...input, settings: { ...input.settings, ...more } };
};
const quick = (input: InputOf<'coat'>) => ask(coatCalculation, { ...input, spread: false });

describe('what to expect of a planned coat', () => {
  it.each(paints.map(({ id }) => id))(
    '%s is foreseen with the film that the plan aims at',
    (id) => {
      const context = contextFor(id, 22);
      const outcome = answerOrRefuse('coat', { ...expected(context), spread: false });
      expect(outcome).toHaveProperty('answer');
      const { film } = quick(expected(context));
      const aim = planCoat(context).setup.wetFilmUm;
      expect(film.wetUm.value).toBeCloseTo(aim, 6);
    },
  );
  it('moves with the air and with a knob', () => {
    const [cool, warm] = [17, 29].map((airC) =>
      quick(expected(contextFor('tarnside-clear-ms', airC))),
    );
    expect(warm!.flashReadyMinutes[0]!.value).toBeLessThan(cool!.flashReadyMinutes[0]!.value);
    const usual = contextFor('tarnside-clear-ms', 22);
    expect(quick(expected(usual, { gunSpeedMPerS: 0.3 })).film.wetUm.value).toBeGreaterThan(
      quick(expected(usual)).film.wetUm.value,
    );
  });
  it('goes into the oven only where nothing comes over it', () => {
    expect(expected(contextFor('tarnside-clear-ms', 22)).bake).toBeUndefined();
    expect(expected(contextFor('tarnside-clear-ms', 22, { isLastStage: true })).bake).toBeDefined();
  });
  it('counts the base of the same day, not one of last week, and never a sanded primer', () => {
    const base = paints.find(({ stages }) => stages?.includes('base'))!;
    const stage = (id: string, kind: StagePlan['kind']): StagePlan => ({
      ...contextFor(base.id, 22).stage,
      id,
      kind,
      sheetVersionId: base.id,
    });
    const whole = (kind: StagePlan['kind'], endedAt?: string) =>
      ({
        ticket: { stages: [stage('one', kind), stage('two', 'clear')] },
        coats: [{ stageId: 'one', ...(endedAt ? { endedAt } : {}) }],
        sheets: [{ id: base.id, sheet: products.get(base.id)! }],
      }) as unknown as TicketWhole;
    const nowMs = Date.parse('2026-03-02T12:00:00Z');
    const below = layersBelow(whole('base', '2026-03-02T11:00:00Z'), 'two', nowMs);
    expect(below).toHaveLength(2);
    expect(layersBelow(whole('base', '2026-02-20T11:00:00Z'), 'two', nowMs)).toEqual([]);
    expect(layersBelow(whole('primer'), 'two', nowMs)).toEqual([]);
    const clear = expected(contextFor('tarnside-clear-ms', 22, { isLastStage: true }));
    expect(quick({ ...clear, below }).risks.pop!.value).toBeGreaterThan(0);
  });
});

it('a lab file is two inputs of coat, and nothing else passes for one', () => {
  const a = expected(contextFor('tarnside-clear-ms', 22));
  const file = { format: LAB_FORMAT, version: 1, a, b: a };
  expect(LabFile.parse(JSON.parse(JSON.stringify(file)))).toEqual(JSON.parse(JSON.stringify(file)));
  expect(LabFile.safeParse({ ...file, version: 2 }).success).toBe(false);
  expect(
    LabFile.safeParse({
      ...file,
      a: { ...a, climate: { ...a.climate, relativeHumidityPercent: 140 } },
    }).success,
  ).toBe(false);
});
