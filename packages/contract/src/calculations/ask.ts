/**
 * The typed door: live answers for input that the types already vouch for. What asks names the
 * calculation itself, so that a page carries those it asks and no others.
 */
import type { RefusalReport } from '../quantity/refusal.ts';
import type { Calculation } from './define.ts';
import { outcomeOf } from './outcome.ts';

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
 * Still parsed, for types know no ranges.
 * @throws RefusedInput
 */
export function ask<Input, Answer>(
  calculation: Calculation<Input, Answer>,
  input: NoInfer<Input>,
): Answer {
  const outcome = outcomeOf(calculation, input);
  if ('error' in outcome) throw new RefusedInput(outcome.error);
  return outcome.answer;
}
