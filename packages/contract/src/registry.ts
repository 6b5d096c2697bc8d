/** The one registry behind all three doors: what Orthochrom works out, by name. */
import { z } from 'zod';
import { airlineCalculation } from './calculations/airline.ts';
import { climateCalculation } from './calculations/climate.ts';
import { coatCalculation } from './calculations/coat.ts';
import { coatPlanCalculation } from './calculations/coatPlan.ts';
import { compressorCalculation } from './calculations/compressor.ts';
import { convertCalculation } from './calculations/convert.ts';
import type { Calculation } from './calculations/define.ts';
import { cureCalculation } from './calculations/cure.ts';
import { dayCalculation } from './calculations/day.ts';
import { diagnoseCalculation } from './calculations/diagnose.ts';
import { finishCalculation } from './calculations/finish.ts';
import { gateCalculation } from './calculations/gate.ts';
import { groundCalculation } from './calculations/ground.ts';
import { heatCalculation } from './calculations/heat.ts';
import { kitCalculation } from './calculations/kit.ts';
import { layerCheckCalculation } from './calculations/layerCheck.ts';
import { mixCalculation } from './calculations/mix.ts';
import { outcomeOf, type Outcome } from './calculations/outcome.ts';
import { overlapCalculation } from './calculations/overlap.ts';
import { prepCalculation } from './calculations/prep.ts';
import { pourCheckCalculation } from './calculations/pourCheck.ts';
import { pressureCalculation } from './calculations/pressure.ts';
import { quantityCalculation } from './calculations/quantity.ts';
import { recoatCalculation } from './calculations/recoat.ts';
import { reducerCalculation } from './calculations/reducer.ts';
import { routeCalculation } from './calculations/route.ts';
import { scheduleCalculation } from './calculations/schedule.ts';
import { setupCalculation } from './calculations/setup.ts';
import { tuneCalculation } from './calculations/tune.ts';
import { turnsCalculation } from './calculations/turns.ts';
import { viscosityCalculation } from './calculations/viscosity.ts';

export const registry = {
  convert: convertCalculation,
  climate: climateCalculation,
  viscosity: viscosityCalculation,
  gate: gateCalculation,
  reducer: reducerCalculation,
  mix: mixCalculation,
  pourCheck: pourCheckCalculation,
  kit: kitCalculation,
  quantity: quantityCalculation,
  ground: groundCalculation,
  layerCheck: layerCheckCalculation,
  prep: prepCalculation,
  airline: airlineCalculation,
  pressure: pressureCalculation,
  turns: turnsCalculation,
  overlap: overlapCalculation,
  compressor: compressorCalculation,
  coatPlan: coatPlanCalculation,
  setup: setupCalculation,
  tune: tuneCalculation,
  coat: coatCalculation,
  recoat: recoatCalculation,
  heat: heatCalculation,
  cure: cureCalculation,
  finish: finishCalculation,
  route: routeCalculation,
  schedule: scheduleCalculation,
  day: dayCalculation,
  diagnose: diagnoseCalculation,
};
export type CalculationName = keyof typeof registry;
export type InputOf<N extends CalculationName> = Parameters<(typeof registry)[N]['calculate']>[0];
export type AnswerOf<N extends CalculationName> = ReturnType<(typeof registry)[N]['calculate']>;

export const calculationNames = Object.keys(registry) as CalculationName[];
export const isCalculationName = (name: string): name is CalculationName =>
  Object.hasOwn(registry, name);

/** The open door: any JSON, answered or refused; the API and the command line stand on it. */
export function answerOrRefuse(name: string, input: unknown): Outcome {
  if (!isCalculationName(name))
    return {
      error: {
        code: 'unknown-calculation',
        message: `${name} is not a calculation. There are ${calculationNames.join(', ')}.`,
        path: [],
      },
    };
  return outcomeOf(registry[name] as unknown as Calculation<unknown>, input);
}

/** Both schemas of a calculation as JSON Schema. */
export const schemasOf = (name: CalculationName): { input: unknown; answer: unknown } => ({
  input: z.toJSONSchema(registry[name].input),
  answer: z.toJSONSchema(registry[name].answer),
});
