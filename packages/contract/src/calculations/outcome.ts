/** A calculation asked with any JSON: answered, or refused in words. */
import { refusalOf, type RefusalReport } from '../quantity/refusal.ts';
import type { Calculation } from './define.ts';

export type Outcome<Answer = unknown> = { answer: Answer } | { error: RefusalReport };

export function outcomeOf<Input, Answer>(
  { input: schema, calculate }: Calculation<Input, Answer>,
  input: unknown,
): Outcome<Answer> {
  const parsed = schema.safeParse(input);
  return parsed.success
    ? { answer: calculate(parsed.data) }
    : { error: refusalOf(parsed.error, input) };
}
