/**
 * Which grade, or half and half of two neighbours, dries as the job wants (MODEL 3.2): no new
 * blend for one degree.
 */
import { solventEvaporation } from '../evaporation/evaporationIndex.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import { bisect } from '../numerics/bisect.ts';
import { designTemperatureC, type Grade } from './grade.ts';

export type BlendPart = { name: string; fraction: number };
export type Surroundings = { effectiveC: number; airSpeedMPerS: number };

/**
 * Within this of the wanted rate a pure grade is good enough; what is mixed already stays within
 * the wider one.
 */
export const NEAR_ENOUGH_LOG = 0.14;
const STAYS_LOG = 0.22;

/** Is what is mixed near enough to stay? One degree is about 0.06. */
export const staysAsMixed = (evaporation: number, wanted: number): boolean =>
  Math.abs(Math.log(evaporation / wanted)) < STAYS_LOG;

/** Slow share of a blend by volume of its parts. */
export function slowFractionOf(parts: readonly BlendPart[], grades: readonly Grade[]): number {
  return parts.reduce((sum, part) => {
    const grade = grades.find(({ name }) => name === part.name);
    if (!grade) throw new RangeError(`${part.name} is not among the grades`);
    return sum + part.fraction * slowFractionForDesign(designTemperatureC(grade));
  }, 0);
}

/** A blend as the one grade that leaves as it does: its slow share turned round. */
export function gradeOfBlend(parts: readonly BlendPart[], grades: readonly Grade[]): Grade {
  const wanted = slowFractionOf(parts, grades);
  const designC = bisect(
    (temperatureC) => slowFractionForDesign(temperatureC) - wanted,
    ...DESIGN_RANGE_C,
  );
  const name = parts.map((part) => part.name).join(' + ');
  return { name, minC: designC - HALF_BAND_C, maxC: designC + HALF_BAND_C };
}
const DESIGN_RANGE_C: [number, number] = [-40, 90];
const HALF_BAND_C = 3;

/** How quickly a blend dries here; 1 is a grade at its own temperature. */
export const evaporationOf = (
  parts: readonly BlendPart[],
  grades: readonly Grade[],
  where: Surroundings,
): number => solventEvaporation({ slowFraction: slowFractionOf(parts, grades), ...where });

/** Quickest first. */
export const bySpeed = (grades: readonly Grade[]): Grade[] =>
  [...grades].sort((a, b) => designTemperatureC(a) - designTemperatureC(b));

/**
 * The grade, or the half of two neighbouring grades, whose evaporation is nearest to the wanted
 * one.
 */
export function blendFor(
  wanted: number,
  grades: readonly Grade[],
  where: Surroundings,
): BlendPart[] {
  const sorted = bySpeed(grades);
  const rates = sorted.map((grade) =>
    evaporationOf([{ name: grade.name, fraction: 1 }], sorted, where),
  );
  const pure = (index: number): BlendPart[] => [{ name: sorted[index]!.name, fraction: 1 }];
  const slower = rates.findIndex((rate) => rate < wanted);
  if (slower === 0) return pure(0);
  if (slower === -1) return pure(sorted.length - 1);
  const [quick, slow] = [rates[slower - 1]!, rates[slower]!];
  const slowShare = Math.log(quick / wanted) / Math.log(quick / slow);
  const isNear = (rate: number) => Math.abs(Math.log(rate / wanted)) < NEAR_ENOUGH_LOG;
  if (slowShare <= 0.25 || (slowShare < 0.5 && isNear(quick))) return pure(slower - 1);
  if (slowShare >= 0.75 || (slowShare >= 0.5 && isNear(slow))) return pure(slower);
  return [
    { name: sorted[slower - 1]!.name, fraction: 0.5 },
    { name: sorted[slower]!.name, fraction: 0.5 },
  ];
}
