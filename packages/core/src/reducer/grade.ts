/**
 * A reducer or hardener grade as its sheet bounds it, and what that means for its temperature and
 * speed (MODEL 3).
 */
import type { Carrier, Speed } from '../trade/vocabulary.ts';

export type Grade = {
  name: string;
  minC?: number;
  maxC?: number;
  speed?: Speed;
  carrier?: Carrier;
};

/** A one-ended grade is at its best this far inside its end. */
const INSIDE_END_C = 4.2;

/** Where only its speed is told: the middle of what such grades are made for. */
export const DESIGN_OF_SPEED_C: Record<Speed, number> = {
  fast: 16,
  medium: 21.5,
  slow: 28.5,
  verySlow: 34,
};

/** The temperature a grade is made for: the middle of its band. */
export function designTemperatureC({ minC, maxC }: Pick<Grade, 'minC' | 'maxC'>): number {
  if (minC !== undefined && maxC !== undefined) return (minC + maxC) / 2;
  if (minC !== undefined) return minC + INSIDE_END_C;
  if (maxC !== undefined) return maxC - INSIDE_END_C;
  throw new RangeError('a grade needs at least one end of its range');
}

/** The speed a sheet names, or the one its temperature implies. */
export function speedOf(grade: Grade): Speed {
  if (grade.speed) return grade.speed;
  const designC = designTemperatureC(grade);
  if (designC < 18) return 'fast';
  if (designC < 25) return 'medium';
  return designC < 32 ? 'slow' : 'verySlow';
}

/** True where the grade's own band holds the temperature. */
export const reaches = ({ minC, maxC }: Grade, temperatureC: number): boolean =>
  temperatureC >= (minC ?? -Infinity) && temperatureC <= (maxC ?? Infinity);
