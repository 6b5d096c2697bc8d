/**
 * One registry entry: its schemas, its pure function from core, and whether the browser runs it in
 * a worker.
 */
import type { z } from 'zod';
import { worded, type WordedAnswer } from '../words/worded.ts';

export type Calculation<Input = never, Answer = unknown> = {
  name: string;
  input: z.ZodType<Input>;
  answer: z.ZodType;
  calculate: (input: Input) => Answer;
  heavy: boolean;
};

/** `compute` is the core's function; its codes get their words here, once for all doors. */
export function defineCalculation<Input, CoreAnswer extends object>(
  name: string,
  entry: {
    input: z.ZodType<Input>;
    answer: z.ZodType;
    compute: (input: Input) => CoreAnswer;
    heavy?: boolean;
  },
): Calculation<Input, WordedAnswer<CoreAnswer>> {
  const { input, answer, compute, heavy = false } = entry;
  return { name, input, answer, calculate: (given) => worded(compute(given)), heavy };
}
