/**
 * Every coat of a stage with a plan of its own: from the ticket's panels, what they land on, the
 * ground below and the sheet, for as many coats as the ticket has.
 */
import { FINISH_TARGETS } from '@orthochrom/core/trade/vocabulary.ts';
import { ask } from '../calculations/ask.ts';
import { coatPlanCalculation } from '../calculations/coatPlan.ts';
import { groundCalculation } from '../calculations/ground.ts';
import type { InputOf } from '../registry.ts';
import type { Painter } from '../shop/setup.ts';
import type { Panel, SheetVersion, StagePlan, Ticket } from '../shop/ticket.ts';
import { colourOver, groundInput } from './groundFor.ts';
import { isBlendOnly, recipeOf, type CoatsPlanned } from './planContext.ts';
import { panelSaid } from './layersFound.ts';

type On = {
  ticket: Pick<Ticket, 'panels' | 'stages'>;
  sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[];
};
type Over = NonNullable<InputOf<'coatPlan'>['over']>;

/** What the first coat of a stage lands on: this job's own paint, a ring, or what was found. */
function overOf({ ticket }: On, stage: StagePlan, { id, found = [] }: Panel): Over | undefined {
  const at = ticket.stages.findIndex((one) => one.id === stage.id);
  if (ticket.stages.slice(0, at).some(({ panelIds }) => panelIds.includes(id))) return 'fresh';
  if (found.some(({ cutThrough }) => cutThrough)) return 'cutThrough';
  return found.at(-1)?.history;
}

/** The coats that the ground below wants, of the one that is under this colour. */
function groundBelow(
  { ticket, sheets }: On,
  stage: StagePlan,
): InputOf<'coatPlan'>['ground'] | undefined {
  const at = ticket.stages.findIndex((one) => one.id === stage.id);
  const under = ticket.stages[at - 1];
  const sheet = sheets.find(({ id }) => id === under?.sheetVersionId)?.sheet;
  const over = under && colourOver(ticket.stages, under.id, sheets);
  if (!under || !sheet || over?.stage.id !== stage.id || !under.colourHex) return undefined;
  const name = under.colourName || 'ground';
  const input = groundInput({ stage: under, sheet }, over);
  const answer =
    input &&
    ask(groundCalculation, {
      ...input,
      grounds: [{ name, colour: under.colourHex }],
      tintWithTopcoat: false,
    });
  const coatsToHide = answer?.ranked[0]?.coatsToHide;
  return coatsToHide && { name, coatsToHide, dryUmPerCoat: input!.dryUmPerCoat };
}

/** Undefined where its sheet is missing, or it only melts edges: that is one coat of its own. */
export function coatPlanInput(
  on: On,
  stage: StagePlan,
  painter: Pick<Painter, 'way'>,
): InputOf<'coatPlan'> | undefined {
  const { ticket, sheets } = on;
  const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
  const panels = ticket.panels.filter(({ id }) => stage.panelIds.includes(id));
  if (!sheet || panels.length === 0 || isBlendOnly(sheet, stage)) return undefined;
  const recipe = recipeOf({ sheet, stage });
  // What goes under and over a fade is a stage of its own on a ticket.
  const { blend: _, ...coatRule } = recipe.coatRule ?? {};
  const ground = groundBelow(on, stage);
  const target = FINISH_TARGETS.find((one) =>
    panels.some(({ finishTarget = 'factory' }) => finishTarget === one),
  );
  return {
    stage: stage.kind,
    carrier: sheet.carrier,
    ...(stage.finish ? { finish: stage.finish } : {}),
    ...(sheet.materialClass ? { class: sheet.materialClass } : {}),
    sheet: {
      recipe: recipe.name,
      coats: recipe.coats,
      wetFilmUm: recipe.wetFilmUm,
      volumeSolidsPercent: recipe.volumeSolidsPercent,
      times: recipe.times,
      coatRule,
    },
    panels: panels.map((panel) => {
      const over = overOf(on, stage, panel);
      const { areaM2, scope, lengthM, spotM2 } = panel;
      return {
        name: panelSaid(ticket.panels, panel),
        areaM2,
        scope,
        ...(over ? { over } : {}),
        ...(lengthM === undefined ? {} : { lengthM }),
        ...(spotM2 === undefined ? {} : { spotM2: Math.min(spotM2, areaM2) }),
      };
    }),
    ...(ground ? { ground } : {}),
    ...(target ? { target } : {}),
    // So many coats as the ticket has; past the sheet each wants its word when it is taken.
    coats: stage.coats,
    why: 'planned on the ticket',
    way: painter.way,
    isLastStage: ticket.stages.at(-1)?.id === stage.id,
  };
}

export function coatsPlanned(
  on: On,
  stage: StagePlan,
  painter: Pick<Painter, 'way'>,
): CoatsPlanned | undefined {
  const input = coatPlanInput(on, stage, painter);
  return input && ask(coatPlanCalculation, input);
}
