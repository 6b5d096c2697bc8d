/** The live plan of one coat: air, reducer, mix, gun and wait together. Never stored; taking it freezes it. */
import { scaleColumns } from '@orthochrom/core/mix/cup.ts';
import { ask, type AnswerOf, type InputOf } from '../registry.ts';
import type { StoredCup } from '../shop/setup.ts';
import { recipeOf, stageAreaM2, type PlanContext } from './planContext.ts';
import { climateFrom, climateInput, readyMlFor, recoatInput, reducerInput, setupInput } from './planInputs.ts';
import type { WordedVerdict } from '../words/worded.ts';
import { takenRecipe, type MixParts } from './takenRecipe.ts';

export type PlanInputs = {
  climate: InputOf<'climate'>;
  reducer: InputOf<'reducer'>;
  mix?: InputOf<'mix'>;
  setup: InputOf<'setup'>;
  recoat: InputOf<'recoat'>;
};
export type CoatPlan = {
  inputs: PlanInputs;
  climate: AnswerOf<'climate'>;
  reducer: AnswerOf<'reducer'>;
  mix?: AnswerOf<'mix'>;
  parts?: MixParts;
  setup: AnswerOf<'setup'>;
  recoat: AnswerOf<'recoat'>;
};

/** Spraying takes about this long a square metre and coat, guns at rest included. */
const SPRAY_MINUTES_PER_M2 = 3;

/** About how long one coat of this stage takes to spray. */
export const sprayMinutes = (of: Pick<PlanContext, 'ticket' | 'stage'>): number => stageAreaM2(of) * SPRAY_MINUTES_PER_M2;

export function planCoat(context: PlanContext): CoatPlan {
  const climate = climateInput(context);
  const reducerQuestion = { ...reducerInput(context), risks: false };
  const reducer = ask('reducer', reducerQuestion);
  // The best other plans cost a search: the gun card asks for them by itself.
  const setupQuestion = { ...setupInput(context), plans: false };
  const setup = ask('setup', setupQuestion);
  const recoatQuestion = recoatInput(context, { minutesSince: 0, wetFilmUm: setup.wetFilmUm });
  const recoat = ask('recoat', recoatQuestion);
  const parts = reducer.choice && takenRecipe(context, pickedOf(context, reducer.choice));
  const mixQuestion = parts && mixInput(context, parts, recoat.earliestMinutes.value);
  return {
    inputs: {
      climate,
      reducer: reducerQuestion,
      ...(mixQuestion ? { mix: mixQuestion } : {}),
      setup: setupQuestion,
      recoat: recoatQuestion,
    },
    climate: ask('climate', climate),
    reducer,
    ...(mixQuestion ? { mix: ask('mix', mixQuestion) } : {}),
    ...(parts ? { parts } : {}),
    setup,
    recoat,
  };
}

/** All that stops this coat, each reason once: while there is one, the plan cannot be taken. */
export function stopsOf({ climate, reducer, mix, setup }: CoatPlan): WordedVerdict[] {
  const all = [climate, reducer, mix, setup].flatMap((answer) => answer?.verdicts ?? []).filter(({ level }) => level === 'stop');
  return all.filter(({ code }, i) => all.findIndex((other) => other.code === code) === i);
}

/** The painter's own pick goes into the cup; ours stays beside it. */
const pickedOf = ({ wantedParts }: PlanContext, choice: NonNullable<AnswerOf<'reducer'>['choice']>) =>
  wantedParts && choice.parts.length > 0 ? { ...choice, parts: wantedParts } : choice;

function mixInput(context: PlanContext, parts: MixParts, flashMinutes: number): InputOf<'mix'> {
  const { potLife } = recipeOf(context);
  const climate = climateFrom(context.room, context.air);
  const { vocLimitGPerL } = context.room.regionRules;
  return {
    recipe: parts.recipe,
    readyMl: readyMlFor(context),
    ...(context.cup ? { cup: cupInput(context.cup, parts) } : {}),
    densitiesGPerMl: parts.densitiesGPerMl,
    vocGPerL: parts.vocGPerL,
    ...(vocLimitGPerL === undefined ? {} : { vocLimitGPerL }),
    ...(potLife ? { potLife } : {}),
    temperatureC: climate.materialTemperatureC ?? climate.airTemperatureC,
    sprayMinutes: context.coatsLeft * sprayMinutes(context) + (context.coatsLeft - 1) * flashMinutes,
    sheet: parts.sheet,
    hardener: context.sheet.hardenerChemistry,
  };
}

function cupInput({ capacityMl, marksMl, scales }: StoredCup, { recipe }: MixParts): NonNullable<InputOf<'mix'>['cup']> {
  const columns = recipe.additions ? undefined : scaleColumns(scales, recipe.parts, capacityMl);
  return { capacityMl, marksMl, ...(columns ? { columns } : {}) };
}
