/** A knob's place as turns from closed; painters count from either end. */
import { clamp, toStep } from '../numerics/rounding.ts';
import { caution, type Ask, type WithVerdicts } from '../outcome/verdicts.ts';
import { GUNS, USUAL_GUN_CLASS } from '../trade/gunClasses.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

export const COUNTED_FROM = ['closed', 'open', 'unknown'] as const;
export type TurnsInput = {
  value: number;
  countedFrom: (typeof COUNTED_FROM)[number];
  fullTurns: number;
  forGun?: { fullTurns?: number };
};
export type TurnsAnswer = WithVerdicts & { turnsOut?: number; asks: Ask[]; start?: number };

/**
 * A start on another gun is a little under the same share of its travel: it is easier to open than
 * to mend a run.
 */
const CAREFUL = 0.9;

/** A knob's place from closed, of one counted from either end; asks where nobody said which. */
export function turnsOf({ value, countedFrom, fullTurns, forGun }: TurnsInput): TurnsAnswer {
  if (countedFrom === 'unknown')
    return {
      asks: [{ field: 'countedFrom', code: 'turns-counted-from', options: ['closed', 'open'] }],
      verdicts: [caution('turns-from-unknown', undefined, ['countedFrom'])],
    };
  const turnsOut = countedFrom === 'closed' ? value : fullTurns - value;
  if (!forGun) return { turnsOut, asks: [], verdicts: [] };
  const otherFull = forGun.fullTurns ?? GUNS[USUAL_GUN_CLASS].fullFluidTurns;
  const start = clamp(
    toStep((turnsOut / fullTurns) * otherFull * CAREFUL, KNOB_STEP_TURNS),
    Math.min(0.5, otherFull),
    otherFull,
  );
  return { turnsOut, start, asks: [], verdicts: [caution('turns-not-portable')] };
}
