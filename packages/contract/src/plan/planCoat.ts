/**
 * The live plan of one coat: air, reducer, mix, gun and wait together. Never stored; taking it
 * freezes it.
 */
import { scaleColumns } from '@orthochrom/core/mix/cup.ts';
import { ask } from '../calculations/ask.ts';
import { climateCalculation } from '../calculations/climate.ts';
import { mixCalculation } from '../calculations/mix.ts';
import { quantityCalculation } from '../calculations/quantity.ts';
import { recoatCalculation } from '../calculations/recoat.ts';
import { reducerCalculation } from '../calculations/reducer.ts';
import { setupCalculation } from '../calculations/setup.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { StoredCup } from '../shop/setup.ts';
import { sprayMinutes } from './panels.ts';
import { recipeOf, type PlanContext } from './planContext.ts';
import { lapCupsMl, readyMlFor } from './amounts.ts';
import { gradeInUse, type GradeInUse } from './gradeInUse.ts';
import { howMuchInput } from './howMuch.ts';
import { climateFrom, climateInput, reducerInput, setupInput } from './planInputs.ts';
import { recoatInput } from './recoatInputs.ts';
import type { WordedVerdict } from '../words/worded.ts';
import { takenRecipe, type MixParts } from './takenRecipe.ts';

export type PlanInputs = {
  climate: InputOf<'climate'>;
  reducer: InputOf<'reducer'>;
  quantity: InputOf<'quantity'>;
  mix?: InputOf<'mix'>;
  setup: InputOf<'setup'>;
  recoat: InputOf<'recoat'>;
};
export type CoatPlan = {
  inputs: PlanInputs;
  climate: AnswerOf<'climate'>;
  reducer: AnswerOf<'reducer'>;
  /** How much, by panel, cup and tin. */
  quantity: AnswerOf<'quantity'>;
  mix?: AnswerOf<'mix'>;
  parts?: MixParts;
  /** What goes into the cup: the painter's pick where there is one. */
  inUse?: GradeInUse;
  setup: AnswerOf<'setup'>;
  recoat: AnswerOf<'recoat'>;
};

/** All coats that are left, with the waits between them. */
const allCoatsMinutes = (
  context: PlanContext,
  setup: CoatPlan['setup'],
  flashMinutes: number,
): number =>
  context.coatsLeft * sprayMinutes(context, setup.own ?? setup) +
  (context.coatsLeft - 1) * flashMinutes;

export function planCoat(context: PlanContext): CoatPlan {
  const climate = climateInput(context);
  const reducerQuestion = { ...reducerInput(context), risks: false };
  const reducer = ask(reducerCalculation, reducerQuestion);
  const inUse = gradeInUse(reducerQuestion, reducer);
  const parts = inUse && takenRecipe(context, inUse);
  // The best other plans cost a search: the gun card asks for them by itself.
  const setupQuestion = { ...setupInput(context, inUse, parts), plans: false };
  const setup = ask(setupCalculation, setupQuestion);
  const recoatQuestion = recoatInput(context, {
    minutesSince: 0,
    wetFilmUm: context.combedUm ?? setup.own?.wetFilmUm ?? setup.wetFilmUm,
    ...(inUse?.stepsSlower === undefined ? {} : { stepsSlower: inUse.stepsSlower }),
  });
  const recoat = ask(recoatCalculation, recoatQuestion);
  const quantityQuestion = howMuchInput(context, {
    parts,
    climate: recoatQuestion.climate,
    fluidMlPerMin: (setup.own ?? setup).fluidMlPerMin,
    flashMinutes: recoat.earliestMinutes.value,
  });
  const quantity = ask(quantityCalculation, quantityQuestion);
  const cupsMl = lapCupsMl(context, quantity);
  const mixQuestion =
    parts &&
    mixInput(context, parts, {
      cupsMl,
      // What is mixed cup by cup waits no longer than its own cup takes.
      sprayMinutes: cupsMl
        ? Math.max(...quantity.batches!.map(({ minutes = 0 }) => minutes))
        : allCoatsMinutes(context, setup, recoat.earliestMinutes.value),
      inUse,
    });
  return {
    inputs: {
      climate,
      reducer: reducerQuestion,
      quantity: quantityQuestion,
      ...(mixQuestion ? { mix: mixQuestion } : {}),
      setup: setupQuestion,
      recoat: recoatQuestion,
    },
    climate: ask(climateCalculation, climate),
    reducer,
    quantity,
    ...(mixQuestion ? { mix: ask(mixCalculation, mixQuestion) } : {}),
    ...(parts ? { parts } : {}),
    ...(inUse ? { inUse } : {}),
    setup,
    recoat,
  };
}

/** All that stops this coat, each reason once: while there is one, the plan cannot be taken. */
export function stopsOf({ climate, reducer, mix, setup }: CoatPlan): WordedVerdict[] {
  const all = [climate, reducer, mix, setup.own ?? setup]
    .flatMap((answer) => answer?.verdicts ?? [])
    .filter(({ level }) => level === 'stop');
  const key = ({ code, params }: WordedVerdict) => `${code}${JSON.stringify(params ?? {})}`;
  return all.filter((verdict, i) => all.findIndex((other) => key(other) === key(verdict)) === i);
}

/** Beyond what the sheet allows, and not stopped: the painter may, with a word why. */
export const wordWanted = (
  plan: CoatPlan,
  { ordinal }: Pick<PlanContext, 'ordinal'>,
): { most: number; coats: number } | undefined => {
  const { coatsWanted = 0, sheet } = plan.inputs.setup;
  const most = sheet?.coatsBand?.[1];
  return most !== undefined && ordinal > most ? { most, coats: coatsWanted } : undefined;
};

function mixInput(
  context: PlanContext,
  parts: MixParts,
  {
    cupsMl,
    sprayMinutes,
    inUse,
  }: {
    cupsMl: number[] | undefined;
    sprayMinutes: number;
    inUse: GradeInUse | undefined;
  },
): InputOf<'mix'> {
  const { potLife, blendOnly } = recipeOf(context);
  const { strainerUm } = context.sheet;
  const climate = climateFrom(context.room, context.air);
  const { vocLimitGPerL } = context.room.regionRules;
  return {
    recipe: parts.recipe,
    readyMl: cupsMl?.reduce((sum, ml) => sum + ml, 0) ?? readyMlFor(context),
    ...(cupsMl ? { batchesMl: cupsMl } : {}),
    ...(context.cup ? { cup: cupInput(context.cup, parts) } : {}),
    densitiesGPerMl: parts.densitiesGPerMl,
    vocGPerL: parts.vocGPerL,
    ...(vocLimitGPerL === undefined ? {} : { vocLimitGPerL }),
    ...(potLife ? { potLife } : {}),
    temperatureC: climate.materialTemperatureC ?? climate.airTemperatureC,
    sprayMinutes,
    sheet: parts.sheet,
    hardener: context.sheet.hardenerChemistry,
    ...(inUse?.hardenerSpeedFactor === undefined
      ? {}
      : { hardenerSpeedFactor: inUse.hardenerSpeedFactor }),
    ...(context.sheet.materialClass ? { class: context.sheet.materialClass } : {}),
    ...(context.stage.finish ? { finish: context.stage.finish } : {}),
    ...(strainerUm === undefined ? {} : { strainerUm }),
    ...(blendOnly ? { blendOnly } : {}),
  };
}

function cupInput(
  { capacityMl, marksMl, scales, strainerUm }: StoredCup,
  { recipe }: MixParts,
): NonNullable<InputOf<'mix'>['cup']> {
  const columns = recipe.additions ? undefined : scaleColumns(scales, recipe.parts, capacityMl);
  return {
    capacityMl,
    marksMl,
    ...(strainerUm === undefined ? {} : { strainerUm }),
    ...(columns ? { columns } : {}),
  };
}
