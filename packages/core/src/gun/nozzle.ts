/** Which of the gun's own nozzles suits this coat best. */
import { nozzleBandOf, type CoatOfGun } from '../inForce/nozzleBandOf.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, type Reason, type Verdict } from '../outcome/verdicts.ts';

export type NozzleInput = { ownMm: readonly number[]; coat: CoatOfGun; sheetMm?: Band | undefined };
export type NozzleChoice = { nozzleMm: number; wantedMm: Band; reasons: Reason[] };

/** Which of the gun's own tips, mm, is nearest to what this coat wants, and why. */
export function nozzleFor({ ownMm, coat, sheetMm }: NozzleInput): NozzleChoice {
  const { value: wantedMm, source } = nozzleBandOf(coat, sheetMm);
  const [lowMm, highMm] = wantedMm;
  const distance = (mm: number) =>
    Math.max(lowMm - mm, mm - highMm, 0) * 100 + Math.abs(mm - (lowMm + highMm) / 2);
  const nozzleMm = ownMm.reduce((best, mm) => (distance(mm) < distance(best) ? mm : best));
  return {
    nozzleMm,
    wantedMm,
    reasons: [
      because('nozzle-nearest-own', source === 'sheet' ? 'dataSheet' : 'rule', {
        nozzleMm,
        lowMm,
        highMm,
      }),
    ],
  };
}

/** Any tip, ours or the painter's own, against what the coat wants. */
export function nozzleVerdicts(nozzleMm: number, [lowMm, highMm]: Band): Verdict[] {
  if (nozzleMm >= lowMm - 1e-9 && nozzleMm <= highMm + 1e-9) return [];
  return [
    caution('nozzle-outside-sheet', {
      nozzleMm,
      lowMm,
      highMm,
      side: nozzleMm < lowMm ? 'small' : 'large',
    }),
  ];
}
