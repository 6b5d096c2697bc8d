/** What a reducer is chosen for: the grades that may be, how quickly it should dry, how much. */
import { barsFastGrades } from '../trade/vocabulary.ts';
import { solventEvaporation, wantedEvaporation } from '../evaporation/evaporationIndex.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import type { Surroundings } from './blend.ts';
import { designTemperatureC, speedOf, type Grade } from './grade.ts';
import type { Judged, ReducerChoice, ReducerInput } from './asked.ts';
import { openTimeMinutes } from './openTime.ts';

export const TOO_SLOW_INDEX = 1 / 1.5;
export const TOO_QUICK_INDEX = 1.5;

export type Job = {
  input: ReducerInput;
  where: Surroundings;
  wanted: number;
  grades: Grade[];
  allowed: Grade[];
  reduces: boolean;
};

/** The job as the reducer sees it: grades that may be, the rate it wants, whether it is reduced. */
export function jobOf(input: ReducerInput, where: Surroundings): Job {
  const grades = (input.grades ?? []).filter((grade) => (grade.carrier ?? 'solvent') === 'solvent');
  const isFastBarred = barsFastGrades(input.finish);
  return {
    input,
    where,
    wanted: wantedEvaporation(input),
    grades,
    allowed: isFastBarred ? grades.filter((grade) => speedOf(grade) !== 'fast') : grades,
    reduces:
      input.stage === 'clear'
        ? (input.reduction?.maxPercent ?? 0) > 0
        : input.reduction?.maxPercent !== 0,
  };
}

/** Where nothing is reduced, the hardener's own grade tells how quickly the film closes. */
export const hardenerEvaporation = (
  hardener: Grade | undefined,
  where: Surroundings,
): number | undefined =>
  hardener &&
  solventEvaporation({
    slowFraction: slowFractionForDesign(designTemperatureC(hardener)),
    ...where,
  });

/** How a rate of drying stands against the wanted one, and the open time that it gives. */
export const judge = (evaporation: number, wanted: number): Judged => ({
  evaporationIndex: evaporation / wanted,
  openTimeMinutes: openTimeMinutes(evaporation),
});

/** How much reducer, and of what it is a share: the sheet's. */
export function quantityOf({ input, reduces }: Job): Partial<ReducerChoice> {
  if (!reduces)
    return { reductionPercent: 0, ...(input.reduction ? { of: input.reduction.of } : {}) };
  return input.reduction
    ? { reductionPercent: input.reduction.sheetPercent, of: input.reduction.of }
    : {};
}
