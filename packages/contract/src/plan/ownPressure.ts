/**
 * A painter's own pressure held against what must never be: what the gun may have, and the limit
 * set for this place.
 */
import { ask } from '../calculations/ask.ts';
import { pressureCalculation } from '../calculations/pressure.ts';
import type { AnswerOf } from '../registry.ts';
import type { WordedVerdict } from '../words/worded.ts';
import type { PlanContext } from './planContext.ts';
import { limitOfPlace, gunSheetOf } from './planInputs.ts';
import { lineOf } from '../shop/compressedAir.ts';

type Reading = {
  valueKPa: number;
  at: 'inlet' | 'wall' | 'cap';
  fanTurnsOut: number;
  nozzleMm?: number;
};

export function ownPressure(
  context: Pick<PlanContext, 'gun' | 'stage' | 'room' | 'airLine' | 'sheet'>,
  { valueKPa, at, fanTurnsOut, nozzleMm }: Reading,
): AnswerOf<'pressure'> {
  const { gun, stage, room, airLine } = context;
  return ask(pressureCalculation, {
    value: valueKPa,
    unit: 'kPa',
    at,
    flowing: 'yes',
    gun: gun.gun,
    stage: stage.kind,
    carrier: context.sheet.carrier,
    ...(context.sheet.materialClass ? { class: context.sheet.materialClass } : {}),
    sheet: gunSheetOf(context),
    ...(nozzleMm === undefined ? {} : { nozzleMm }),
    fanTurnsOut: Math.min(fanTurnsOut, gun.gun.fullFanTurns ?? fanTurnsOut),
    ...(airLine ? { airline: lineOf(airLine) } : {}),
    ...limitOfPlace(gun, room),
  });
}

/** Advice may be overridden, a stop never. */
export const pressureStops = (answer: AnswerOf<'pressure'>): WordedVerdict[] =>
  answer.verdicts.filter(({ level }) => level === 'stop');
