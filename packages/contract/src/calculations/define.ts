/** One registry entry: its schemas, and its pure function from core. */
import type { z } from 'zod';
import { worded, type WordedAnswer } from '../words/worded.ts';

export type Calculation<Input = never, Answer = unknown> = {
  name: string;
  input: z.ZodType<Input>;
  answer: z.ZodType;
  calculate: (input: Input) => Answer;
};

/**
 * `compute` is the core's function; its codes get their words here, once for all doors. What an
 * answer looks like is made when somebody wants to know: no page does.
 */
export function defineCalculation<Input, CoreAnswer extends object>(
  name: string,
  entry: {
    input: z.ZodType<Input>;
    answer: () => z.ZodType;
    compute: (input: Input) => CoreAnswer;
  },
): Calculation<Input, WordedAnswer<CoreAnswer>> {
  const { input, answer, compute } = entry;
  let made: z.ZodType | undefined;
  return {
    name,
    input,
    get answer() {
      return (made ??= answer());
    },
    calculate: (given) => worded(compute(given)),
  };
}
