/** Every coat of a ticket with a film, a distance and an amount of its own. */
import { describe, expect, it } from 'vitest';
import { needOf } from '../src/plan/amounts.ts';
import { coatPlanInput, coatsPlanned } from '../src/plan/coatByCoat.ts';
import { filmShare } from '../src/plan/filmShare.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import { recipeOf, type PlanContext } from '../src/plan/planContext.ts';
import { sinceLast } from '../src/plan/sinceLast.ts';
import { settingsNow } from '../src/plan/settingsNow.ts';
import { ask } from '../src/calculations/ask.ts';
import { quantityCalculation } from '../src/calculations/quantity.ts';
import type { Panel } from '../src/shop/ticket.ts';
import { contextFor, paints } from './demoContext.ts';

const SILVER = paints.find(({ recipes }) => recipes!.some(({ coatRule }) => coatRule?.lastCoat))!;
const CLEAR = paints.find(({ kind }) => kind === 'clear')!;

/** A stage of so many coats on these panels, at one of its coats. */
function contextAt(
  sheetId: string,
  ordinal: number,
  more: Partial<Panel> = {},
  coats = 3,
): PlanContext {
  const context = contextFor(sheetId, 22, { ordinal, coatsLeft: coats - ordinal + 1 });
  const panels = context.ticket.panels.map((panel) => ({ ...panel, ...more }));
  const stage = {
    ...context.stage,
    coats,
    finish: sheetId === SILVER.id ? ('silver' as const) : ('solid' as const),
  };
  const on = {
    ticket: { panels, stages: [stage] },
    sheets: [{ id: stage.sheetVersionId, sheet: context.sheet }],
  };
  const coatPlan = coatsPlanned(on, stage, context.painter)!;
  return { ...context, stage, ticket: { ...context.ticket, panels }, coatPlan };
}

describe('a ticket coat by coat', () => {
  it('lays silver’s last coat lighter, from further back, with less needle', () => {
    const [second, third] = [2, 3].map((ordinal) => planCoat(contextAt(SILVER.id, ordinal)).setup);
    expect(third!.wetFilmUm).toBeCloseTo(second!.wetFilmUm / 2, 0);
    expect(third!.distanceMm - second!.distanceMm).toBe(
      recipeOf(contextAt(SILVER.id, 1)).coatRule!.lastCoat!.distanceDeltaMm,
    );
    expect(third!.fluidTurnsOut).toBeLessThan(second!.fluidTurnsOut);
    const since = sinceLast(
      [
        {
          stageId: 's',
          ordinal: 2,
          gunId: 'g',
          planned: { answers: { setup: second } } as never,
          overrides: {},
        },
      ],
      { stageId: 's', ordinal: 3 },
      'g',
      settingsNow(third!, {}),
    )!;
    expect(since.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['distanceMm', 'wetFilmUm', 'fluidTurnsOut']),
    );
  });
  it('begins light over old paint, and as thick as ever over its own primer', () => {
    const film = (found: Panel['found']) =>
      planCoat(contextAt(SILVER.id, 1, { found })).setup.wetFilmUm;
    expect(film([{ history: 'aerosol1k' }])).toBeLessThan(film([{ history: 'factory' }]));
    expect(film(undefined)).toBe(film([{ history: 'factory' }]));
  });
  it('leaves a mist coat of the painter’s own as he wants it', () => {
    const mist = planCoat({ ...contextAt(SILVER.id, 3), mist: true }).inputs.setup;
    expect(mist.preset).toBeUndefined();
    expect(mist.sheet!.wetFilmUm).not.toBe(contextAt(SILVER.id, 3).coatPlan!.coats[2]!.wetFilmUm);
  });
  it('mixes what its coats land: lighter coats take less, a clear as much as ever', () => {
    for (const scope of ['full', 'blend'] as const) {
      const context = contextAt(SILVER.id, 1, { scope });
      const { coatPlan } = context;
      const need = ask(quantityCalculation, {
        ...needOf(context, 3),
        wastePercent: 0,
        lineAndCupLossMl: 0,
        transferEfficiencyPercent: 100,
        history: [],
      });
      expect(need.readyMl.value).toBeCloseTo(coatPlan!.landedMl, 6);
    }
    const clear = contextAt(CLEAR.id, 1, {}, 2);
    const [panel] = clear.ticket.panels;
    const share = filmShare(clear.coatPlan!.coats, {
      panel: panel!,
      name: clear.coatPlan!.coats[0]!.panels[0]!.name,
      kind: 'clear',
    });
    expect(share).toBeCloseTo(1, 9);
  });
  it('plans as many coats as the ticket has, past the sheet too, and says so', () => {
    for (let coats = 1; coats <= 6; coats++) {
      const { coatPlan } = contextAt(SILVER.id, 1, {}, coats);
      expect(coatPlan!.coats).toHaveLength(coats);
      const says = coatPlan!.verdicts.some(({ code }) => code === 'coats-over-sheet');
      expect(says).toBe(coats > coatPlan!.most);
    }
  });
  it('has no plan for what only melts an edge, or covers no panel', () => {
    const context = contextAt(SILVER.id, 1);
    const on = (recipeName: string, panelIds: string[]) => {
      const stage = { ...context.stage, recipeName, panelIds };
      return coatPlanInput(
        {
          ticket: { panels: context.ticket.panels, stages: [stage] },
          sheets: [{ id: stage.sheetVersionId, sheet: context.sheet }],
        },
        stage,
        context.painter,
      );
    };
    const melting = context.sheet.recipes!.find(({ blendOnly }) => blendOnly)!;
    expect(on(melting.name, context.stage.panelIds)).toBeUndefined();
    expect(on(context.stage.recipeName, [])).toBeUndefined();
  });
});
