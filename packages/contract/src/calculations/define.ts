/** One registry entry: its schemas, and its pure function from core. */
import type { z } from 'zod';
import { worded, type WordedAnswer } from '../words/worded.ts';

export type Calculation<Input = never, Answer = unknown> = {
  name: string;
  input: z.ZodType<Input>;
  answer: z.ZodType;
  calculate: (input: Input) => Answer;
};

/** `compute` is the core's function; its codes get their words here, once for all doors. */
export function defineCalculation<Input, CoreAnswer extends object>(
  name: string,
  entry: {
    input: z.ZodType<Input>;
    answer: z.ZodType;
    compute: (input: Input) => CoreAnswer;
  },
): Calculation<Input, WordedAnswer<CoreAnswer>> {
  const { input, answer, compute } = entry;
  return { name, input, answer, calculate: (given) => worded(compute(given)) };
}
