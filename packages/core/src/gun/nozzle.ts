/** Which of the gun's own nozzles suits this coat best (WORK C003–C006). */
import type { Carrier } from '../air/climate.ts';
import type { Band } from '../outcome/spread.ts';
import { because, caution, type Reason, type Verdict } from '../outcome/told.ts';
import type { Gun, Stage } from './gun.ts';
import { nozzleBandMm } from './practiceBands.ts';

export type NozzleInput = {
  gun: Gun;
  stage: Stage;
  carrier: Carrier;
  build?: boolean | undefined;
  sheet?: { nozzleMm?: Band | undefined } | undefined;
};
export type NozzleChoice = { nozzleMm: number; wantedMm: Band; verdicts: Verdict[]; reasons: Reason[] };

export function nozzleFor({ gun, stage, carrier, build, sheet }: NozzleInput): NozzleChoice {
  const wantedMm = sheet?.nozzleMm ?? nozzleBandMm(gun.class, stage, carrier, build);
  const [lowMm, highMm] = wantedMm;
  const distance = (mm: number) => Math.max(lowMm - mm, mm - highMm, 0) * 100 + Math.abs(mm - (lowMm + highMm) / 2);
  const nozzleMm = gun.nozzlesMm.reduce((best, mm) => (distance(mm) < distance(best) ? mm : best));
  const isOutside = nozzleMm < lowMm - 1e-9 || nozzleMm > highMm + 1e-9;
  const why =
    nozzleMm < lowMm
      ? 'Too small: only a spot, with the most reduction the sheet allows, and a test panel first.'
      : 'Too large: it builds too much and splashes. Close the needle, more air within the band, and a test panel first.';
  return {
    nozzleMm,
    wantedMm,
    verdicts: isOutside ? [caution('nozzle-outside-sheet', { nozzleMm, lowMm, highMm, why })] : [],
    reasons: [because('nozzle-nearest-own', sheet?.nozzleMm ? 'dataSheet' : 'rule', { nozzleMm, lowMm, highMm })],
  };
}
