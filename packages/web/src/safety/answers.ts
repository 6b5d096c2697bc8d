/**
 * What a painter answers at the gate, and the same answers offered again: looked at anew, not typed
 * anew.
 */
import type { GateAnswersGiven } from '@orthochrom/contract/plan/gateProduct.ts';

export type Breathing = NonNullable<GateAnswersGiven['protection']>['breathing'];

/**
 * Of an answer that was kept; minutes and vapour belong to their own moment and are asked again.
 */
export function answersAgain(kept: Record<string, unknown> | undefined): GateAnswersGiven {
  const { vapourCleared: _v, minutesSinceSpray: _m, ...answers } = kept ?? {};
  return answers as GateAnswersGiven;
}

/**
 * Asked on the card, beside what the judge must have: nothing is poured before the floor and the
 * breathing air were looked at.
 */
export const openQuestions = (asks: readonly unknown[], answers: GateAnswersGiven): number =>
  asks.length +
  (answers.floor === undefined ? 1 : 0) +
  (answers.protection?.breathing === 'airFed' && answers.breathingAirChecked === undefined ? 1 : 0);
