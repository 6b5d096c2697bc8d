/** A calculation asked with any JSON: answered, or refused in words. */
import { refusalOf, type RefusalReport } from '../quantity/refusal.ts';
import type { Calculation } from './define.ts';

export type Outcome = { answer: unknown } | { error: RefusalReport };

export function outcomeOf<Input>(
  { input: schema, calculate }: Calculation<Input>,
  input: unknown,
): Outcome {
  const parsed = schema.safeParse(input);
  return parsed.success
    ? { answer: calculate(parsed.data) }
    : { error: refusalOf(parsed.error, input) };
}
