/** How Records writes ratings, and what was found before the car. */
import type { TestPanel } from '@orthochrom/contract/shop/coat.ts';
import { turnsText } from '@orthochrom/contract/words/format.ts';

export const RATING_MARK = { good: '● good', fair: '▲ fair', poor: '■ poor' } as const;

/** "good, needle 2½ turns out", or why there was none. */
export const testPanelSaid = ({ skippedBecause, fluidTurnsOut }: TestPanel): string => {
  if (skippedBecause !== undefined) return `left out: ${skippedBecause}`;
  return fluidTurnsOut === undefined
    ? 'good'
    : `good, needle ${turnsText(fluidTurnsOut)} turns out`;
};
