/** From a plan to what the waits are asked with. */
import type { InputOf } from '../registry.ts';
import { recipeOf, type PlanContext } from './planContext.ts';
import { climateFrom, classOfSheet } from './planInputs.ts';

/** The layer just laid, as the waits see it. */
export function layerOf(context: Pick<PlanContext, 'sheet' | 'stage'>): InputOf<'recoat'>['layer'] {
  const recipe = recipeOf(context);
  return {
    stage: context.stage.kind,
    carrier: context.sheet.carrier,
    ...classOfSheet(context.sheet),
    activated: recipe.parts.some(({ role }) => role === 'hardener'),
    sheet: recipe.times,
  };
}

function nextAfter(context: PlanContext): InputOf<'recoat'>['next'] {
  if (context.coatsLeft > 1) return 'coat';
  return context.isLastStage && recipeOf(context).times.beforeBakeMinutes !== undefined
    ? 'bake'
    : 'clear';
}

/** The wait after this coat: to the next coat of the stage, or to what comes over it. */
export function recoatInput(
  context: PlanContext,
  now: {
    minutesSince: number;
    wetFilmUm?: number;
    stepsSlower?: number;
    tests?: InputOf<'recoat'>['tests'];
  },
): InputOf<'recoat'> {
  const { sheet, over, mist } = context;
  return {
    layer: layerOf(context),
    climate: climateFrom(context.room, context.air),
    minutesSince: now.minutesSince,
    ...(now.wetFilmUm === undefined ? {} : { wetFilmUm: now.wetFilmUm }),
    ...(now.stepsSlower ? { reducer: { stepsSlower: now.stepsSlower } } : {}),
    next: nextAfter(context),
    ...(mist ? { mistCoat: true } : {}),
    ...(sheet.limits ? { limits: sheet.limits } : {}),
    ...(over
      ? { over: { carrier: over.carrier, ...(over.limits ? { limits: over.limits } : {}) } }
      : {}),
    ...(now.tests ? { tests: now.tests } : {}),
  };
}
