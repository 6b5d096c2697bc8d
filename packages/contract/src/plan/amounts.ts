/** How much ready mix is left to make, in which cups, and what a stage took. */
import type { RatioScale } from '@orthochrom/core/mix/cup.ts';
import { pourableMl, roundedToParts } from '@orthochrom/core/mix/pourable.ts';
import { GUNS } from '@orthochrom/core/trade/gunClasses.ts';
import { ask } from '../calculations/ask.ts';
import { quantityCalculation } from '../calculations/quantity.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { ShopSetup, StoredCup } from '../shop/setup.ts';
import type { Panel, TicketWhole } from '../shop/ticket.ts';
import { isOn } from './coatOrder.ts';
import { coatsPlanned } from './coatByCoat.ts';
import { filmShare } from './filmShare.ts';
import { panelSaid } from './layersFound.ts';
import { isBlendOnly, middle, recipeOf, type PlanContext } from './planContext.ts';

/** Lost beside the panel: less where the rim of a panel is counted by itself. */
const WASTE_PERCENT = { withRim: 5, without: 10 };
const CUP_AND_LINE_ML = 30;

type Need = Pick<PlanContext, 'ticket' | 'stage' | 'sheet' | 'gun' | 'coatPlan'> & {
  /** Which coat is the first of those that are counted. */
  ordinal?: number;
};

/** By so much the area counts less where its coats lie lighter than the stage's own. */
const paintedPanel = (panels: readonly Panel[], panel: Panel, share: number) => ({
  name: panelSaid(panels, panel),
  areaM2: panel.areaM2 * share,
  scope: panel.scope,
  ...(panel.spotM2 === undefined ? {} : { spotM2: Math.min(panel.spotM2, panel.areaM2) * share }),
  ...(panel.heightM === undefined ? {} : { heightM: panel.heightM }),
  ...(panel.lengthM === undefined ? {} : { lengthM: panel.lengthM }),
});

/** What a stage wants for so many coats: film of its sheet, transfer of its gun. */
export function needOf(
  { ticket, stage, sheet, gun, coatPlan, ordinal = 1 }: Need,
  coats: number,
): InputOf<'quantity'> {
  const panels = ticket.panels.filter(({ id }) => stage.panelIds.includes(id));
  const counted = coatPlan?.coats.slice(ordinal - 1, ordinal - 1 + coats) ?? [];
  const lieLighter = (panel: Panel): number =>
    counted.length === coats
      ? filmShare(counted, { panel, name: panelSaid(ticket.panels, panel), kind: stage.kind })
      : 1;
  const isMeasured = panels.length > 0 && panels.every(({ heightM }) => heightM !== undefined);
  return {
    panels: panels.map((panel) => paintedPanel(ticket.panels, panel, lieLighter(panel))),
    coats,
    // What melts edges goes where the colour fades, clear though it may be.
    ...(isBlendOnly(sheet, stage) ? {} : { stage: stage.kind }),
    wetFilmUm: middle(recipeOf({ sheet, stage }).wetFilmUm),
    transferEfficiencyPercent: GUNS[gun.gun.class].transferFraction * 100,
    wastePercent: isMeasured ? WASTE_PERCENT.withRim : WASTE_PERCENT.without,
    lineAndCupLossMl: CUP_AND_LINE_ML,
    ...(stage.finish ? { finish: stage.finish } : {}),
    ...(sheet.materialClass ? { class: sheet.materialClass } : {}),
    ...(sheet.strainerUm === undefined ? {} : { strainerUm: sheet.strainerUm }),
  };
}

/** The amount that is left to mix of this stage, by the painter's own hand. */
export function quantityInput(context: PlanContext): InputOf<'quantity'> {
  const { usages = [] } = context;
  return {
    ...needOf(context, context.coatsLeft),
    ...(usages.length > 0
      ? {
          history: usages.map(({ plannedMl, usedMl, counts }) => ({
            plannedMl,
            usedMl,
            ...(counts === undefined ? {} : { counts }),
          })),
        }
      : {}),
  };
}
export const quantityLeft = (context: PlanContext): AnswerOf<'quantity'> =>
  ask(quantityCalculation, quantityInput(context));

/** Ready mix for what is left of this stage, as a place to start from. */
export function readyMlFor(context: PlanContext): number {
  if (context.readyMl !== undefined) return context.readyMl;
  const needMl = pourableMl(quantityLeft(context).readyMl.value);
  const parts = recipeOf(context).parts.map(({ parts: share }) => share);
  return roundedToParts(needMl, parts, context.cup?.capacityMl, scaleFor(context)?.mlPerPart);
}

/**
 * What goes into each cup where one does not hold it all and cups end with a panel, each rounded up
 * to what can be poured; undefined for one cup, or an amount of the painter's own.
 */
export function lapCupsMl(
  context: PlanContext,
  { batches = [] }: Pick<AnswerOf<'quantity'>, 'batches'>,
): number[] | undefined {
  const { cup, readyMl } = context;
  if (!cup || readyMl !== undefined || batches.length < 2) return undefined;
  const parts = recipeOf(context).parts.map(({ parts: share }) => share);
  const mlPerPart = scaleFor(context)?.mlPerPart;
  return batches.map((batch) =>
    Math.min(cup.capacityMl, roundedToParts(batch.readyMl, parts, Infinity, mlPerPart)),
  );
}

/** The cup's printed scale for this recipe, if it has one. */
const scaleFor = (context: PlanContext): RatioScale | undefined => {
  const parts = recipeOf(context).parts.map(({ parts: share }) => share);
  return context.cup?.scales.find(
    ({ ratio }) =>
      ratio.length === parts.length &&
      ratio.every((share, i) => share * parts[0]! === parts[i]! * ratio[0]!),
  );
};

/** The smallest cup that takes it all in one batch; else the largest there is. */
export function cupFor(cups: readonly StoredCup[], context: PlanContext): StoredCup | undefined {
  const bySize = [...cups].sort((a, b) => a.capacityMl - b.capacityMl);
  return bySize.find((cup) => readyMlFor({ ...context, cup }) <= cup.capacityMl) ?? bySize.at(-1);
}

/**
 * What a stage was planned with, by nobody's factor, and what went through the gun. Undefined
 * before a coat of it is on, or where nothing was poured for it.
 */
export function usedOn(
  { ticket, coats, mixes, sheets }: Pick<TicketWhole, 'ticket' | 'coats' | 'mixes' | 'sheets'>,
  { guns }: Pick<ShopSetup, 'guns'>,
  { stageId, leftMl }: { stageId: string; leftMl: number },
): { plannedMl: number; usedMl: number } | undefined {
  const stage = ticket.stages.find(({ id }) => id === stageId);
  const sheet = sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  const laid = coats.filter((coat) => coat.stageId === stageId && isOn(coat));
  const gunId = laid.at(-1)?.gunId ?? stage?.gunId;
  const gun = guns.find(({ id }) => id === gunId) ?? guns[0];
  // What was mended in the cup was noted anew: the last word counts.
  const mended = mixes.map(({ correctedFromId }) => correctedFromId);
  const poured = mixes.filter((mix) => mix.stageId === stageId && !mended.includes(mix.id));
  const pouredMl = poured.reduce((sum, { readyMl }) => sum + readyMl, 0);
  if (!stage || !sheet || !gun || laid.length === 0 || pouredMl <= leftMl) return undefined;
  const coatPlan = coatsPlanned({ ticket, sheets }, stage, { way: {} });
  const need = needOf(
    { ticket, stage, sheet, gun, ...(coatPlan ? { coatPlan } : {}) },
    laid.length,
  );
  return {
    plannedMl: ask(quantityCalculation, { ...need, history: [] }).readyMl.value,
    usedMl: pouredMl - leftMl,
  };
}
