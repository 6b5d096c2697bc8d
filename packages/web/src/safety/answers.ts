/** What a painter answers at the gate, and the same answers offered again: looked at anew, not typed anew. */
import { ask, type InputOf } from '@orthochrom/contract/registry.ts';
import { gateProduct } from '@orthochrom/contract/plan/gateProduct.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';

export type GateAnswersGiven = Pick<
  InputOf<'gate'>,
  'protection' | 'breathingAirChecked' | 'extraction' | 'ignition' | 'bystanders' | 'floor' | 'regionRules'
>;
export type Breathing = NonNullable<GateAnswersGiven['protection']>['breathing'];

/** Of an answer that was kept; minutes and vapour belong to their own moment and are asked again. */
export function answersAgain(kept: Record<string, unknown> | undefined): GateAnswersGiven {
  const { vapourCleared: _v, minutesSinceSpray: _m, ...answers } = kept ?? {};
  return answers as GateAnswersGiven;
}

/** The gate judged in the browser by the server's own rule. */
export const judgeGate = (
  of: { room: Room; sheet: Sheet; recipeName: string; step: InputOf<'gate'>['step']; minutesSinceSpray?: number },
  answers: GateAnswersGiven,
) =>
  ask('gate', {
    product: gateProduct(of.sheet, of.recipeName),
    place: of.room.place,
    region: of.room.region,
    roomExtraction: of.room.extraction,
    ...answers,
    regionRules: { ...of.room.regionRules, ...answers.regionRules },
    step: of.step,
    ...(of.minutesSinceSpray === undefined ? {} : { minutesSinceSpray: of.minutesSinceSpray }),
  });

/** Asked on the card, beside what the judge must have: nothing is poured before the floor and the breathing air were looked at. */
export const openQuestions = (asks: readonly unknown[], answers: GateAnswersGiven): number =>
  asks.length +
  (answers.floor === undefined ? 1 : 0) +
  (answers.protection?.breathing === 'airFed' && answers.breathingAirChecked === undefined ? 1 : 0);
