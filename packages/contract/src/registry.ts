/** The one registry behind all three doors: what Orthochrom works out, by name. */
import { z } from 'zod';
import { airline } from './calculations/airline.ts';
import { climate } from './calculations/climate.ts';
import { coat } from './calculations/coat.ts';
import { coatPlan } from './calculations/coatPlan.ts';
import { compressor } from './calculations/compressor.ts';
import { convert } from './calculations/convert.ts';
import type { Calculation } from './calculations/define.ts';
import { cure } from './calculations/cure.ts';
import { day } from './calculations/day.ts';
import { diagnose } from './calculations/diagnose.ts';
import { finish } from './calculations/finish.ts';
import { gate } from './calculations/gate.ts';
import { ground } from './calculations/ground.ts';
import { heat } from './calculations/heat.ts';
import { kit } from './calculations/kit.ts';
import { layerCheck } from './calculations/layerCheck.ts';
import { mix } from './calculations/mix.ts';
import { outcomeOf, type Outcome } from './calculations/outcome.ts';
import { overlap } from './calculations/overlap.ts';
import { prep } from './calculations/prep.ts';
import { pourCheck } from './calculations/pourCheck.ts';
import { pressure } from './calculations/pressure.ts';
import { quantity } from './calculations/quantity.ts';
import { recoat } from './calculations/recoat.ts';
import { reducer } from './calculations/reducer.ts';
import { route } from './calculations/route.ts';
import { schedule } from './calculations/schedule.ts';
import { setup } from './calculations/setup.ts';
import { tune } from './calculations/tune.ts';
import { turns } from './calculations/turns.ts';
import { viscosity } from './calculations/viscosity.ts';
import { refusalOf, type RefusalReport } from './quantity/refusal.ts';

/** Raised when a figure that is kept could come out differently for the same input. */
export const CALCULATION_VERSION = 7;

export const registry = {
  convert,
  climate,
  viscosity,
  gate,
  reducer,
  mix,
  pourCheck,
  kit,
  quantity,
  ground,
  layerCheck,
  prep,
  airline,
  pressure,
  turns,
  overlap,
  compressor,
  coatPlan,
  setup,
  tune,
  coat,
  recoat,
  heat,
  cure,
  finish,
  route,
  schedule,
  day,
  diagnose,
};
export type CalculationName = keyof typeof registry;
export type InputOf<N extends CalculationName> = Parameters<(typeof registry)[N]['calculate']>[0];
export type AnswerOf<N extends CalculationName> = ReturnType<(typeof registry)[N]['calculate']>;

export const calculationNames = Object.keys(registry) as CalculationName[];
export const isCalculationName = (name: string): name is CalculationName =>
  Object.hasOwn(registry, name);

/**
 * Input assembled from what somebody gave was refused by a calculation; the report says what, where
 * and what is allowed.
 */
export class RefusedInput extends Error {
  readonly report: RefusalReport;
  constructor(report: RefusalReport) {
    super(report.message);
    this.report = report;
  }
}

/**
 * The typed door: live answers for input that the types already vouch for; still parsed, for types
 * know no ranges.
 * @throws RefusedInput
 */
export function ask<N extends CalculationName>(name: N, input: InputOf<N>): AnswerOf<N> {
  const entry = registry[name] as unknown as Calculation<InputOf<N>, AnswerOf<N>>;
  const parsed = entry.input.safeParse(input);
  if (!parsed.success) throw new RefusedInput(refusalOf(parsed.error, input));
  return entry.calculate(parsed.data);
}

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
