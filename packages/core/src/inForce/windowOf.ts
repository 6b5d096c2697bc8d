/** Until when a layer may still be coated without sanding. */
import { because } from '../outcome/verdicts.ts';
import { CURE_Q10, cureFactor } from './cure.ts';
import type { InForce } from './inForce.ts';
import type { Layer } from './timesOf.ts';

/**
 * Minutes since the layer; a two-pack film closes sooner in the warmth, never later than the sheet
 * says. Undefined: no sheet says.
 */
export function windowOf(
  { sheet, activated }: Layer,
  effectiveC: number,
): InForce<number> | undefined {
  if (sheet?.maxRecoatMinutes === undefined) return undefined;
  const share = activated ? Math.min(1, 1 / cureFactor(effectiveC, sheet.atC)) : 1;
  const latestMinutes = sheet.maxRecoatMinutes * share;
  return {
    value: latestMinutes,
    source: 'sheet',
    reason: because('window-from-sheet', 'dataSheet', {
      latestMinutes,
      sheetMinutes: sheet.maxRecoatMinutes,
      q10Factor: CURE_Q10,
    }),
  };
}
