/**
 * Hardener speed is a choice of its own: by the temperature the film works at (MODEL
 * 3.2).
 */
import { caution, type Verdict, term } from '../outcome/verdicts.ts';
import { bySpeed } from './blend.ts';
import { designTemperatureC, reaches, type Grade } from './grade.ts';

export type HardenerChoice = { hardener: Grade; verdicts: Verdict[] };

/**
 * The hardener whose band holds the temperature with its middle nearest; the slower of two equals.
 */
export function hardenerFor(hardeners: readonly Grade[], effectiveC: number): HardenerChoice {
  const sorted = bySpeed(hardeners);
  const fitting = sorted.filter((grade) => reaches(grade, effectiveC));
  const distanceC = (grade: Grade) => Math.abs(designTemperatureC(grade) - effectiveC);
  const hardener = (fitting.length > 0 ? fitting : sorted).reduce((best, grade) =>
    distanceC(grade) <= distanceC(best) ? grade : best,
  );
  if (fitting.length > 0) return { hardener, verdicts: [] };
  const better = effectiveC < designTemperatureC(hardener) ? 'fasterOne' : 'slowerOne';
  return {
    hardener,
    verdicts: [
      caution('hardener-speed-off', { hardener: hardener.name, effectiveC, better: term(better) }),
    ],
  };
}
