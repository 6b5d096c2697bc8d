/**
 * The calculations that take longer than a frame: a page asks a worker for them, which carries no
 * others with it.
 */
import { coatCalculation } from './calculations/coat.ts';
import { dayCalculation } from './calculations/day.ts';
import type { Calculation } from './calculations/define.ts';
import { outcomeOf, type Outcome } from './calculations/outcome.ts';
import { routeCalculation } from './calculations/route.ts';
import { setupCalculation } from './calculations/setup.ts';

const HEAVY = {
  coat: coatCalculation,
  day: dayCalculation,
  route: routeCalculation,
  setup: setupCalculation,
};
export type HeavyName = keyof typeof HEAVY;

export const heavyOutcome = (name: HeavyName, input: unknown): Outcome =>
  outcomeOf(HEAVY[name] as unknown as Calculation<unknown>, input);
