/** What comes after the last coat of a stage, and when: by its sheet, its air and its heat. */
import { FINISH_TARGETS } from '@orthochrom/core/trade/vocabulary.ts';
import { ask } from '../calculations/ask.ts';
import { cureCalculation } from '../calculations/cure.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Coat } from '../shop/coat.ts';
import type { LayerWork } from '../shop/layerWork.ts';
import type { HeatRead } from '../shop/heatRead.ts';
import { heatOn, readsSince } from './heatOn.ts';
import type { CoatPlan } from './planCoat.ts';
import type { PlanContext } from './planContext.ts';
import { climateFrom } from './planInputs.ts';
import { layerOf } from './recoatInputs.ts';

const MINUTE_MS = 60_000;

export type After = AnswerOf<'cure'>;

/** What was done to the layers of a ticket, and what was read while heat was on. */
export type DoneToIt = {
  works: readonly Pick<LayerWork, 'kind' | 'coatId' | 'at' | 'vehicleLimitC'>[];
  heatReads: readonly HeatRead[];
};

/** Heat that was begun on it, as it warms its panels; a reading beats the reckoning. */
function heated(
  context: PlanContext,
  coat: { id: string; endedMs: number },
  { works, heatReads }: DoneToIt,
): InputOf<'cure'>['bake'] {
  const begun = works.findLast(({ kind, coatId }) => kind === 'heated' && coatId === coat.id);
  if (!begun) return undefined;
  const reads = readsSince(context.ticket, heatReads, coat.id, begun.at);
  const { toC, holdMinutes, endMinute, openMinute } = heatOn(context, reads, begun);
  if (toC === undefined || !endMinute || !openMinute) return undefined;
  const fromMinute = Math.max(0, (Date.parse(begun.at) - coat.endedMs) / MINUTE_MS);
  return {
    toC,
    holdMinutes: holdMinutes!,
    endMinute: fromMinute + endMinute.value,
    openMinute: fromMinute + openMinute.value,
  };
}

/** Undefined before the coat is on. */
export function afterCoat(
  context: PlanContext,
  plan: Pick<CoatPlan, 'inUse'>,
  coat: Pick<Coat, 'id' | 'endedAt'>,
  done: DoneToIt,
): After | undefined {
  if (!coat.endedAt) return undefined;
  const { stage, ticket, room, air } = context;
  const hardenerSpeed = plan.inUse?.hardenerSpeed;
  const target = FINISH_TARGETS.find((one) =>
    ticket.panels.some(
      ({ id, finishTarget = 'factory' }) => stage.panelIds.includes(id) && finishTarget === one,
    ),
  );
  const bake = heated(context, { id: coat.id, endedMs: Date.parse(coat.endedAt) }, done);
  return ask(cureCalculation, {
    layer: layerOf(context),
    climate: climateFrom(room, air),
    ...(hardenerSpeed ? { hardenerSpeed } : {}),
    ...(bake ? { bake } : {}),
    ...(target ? { target } : {}),
    ...(stage.finish ? { finish: stage.finish } : {}),
  });
}
