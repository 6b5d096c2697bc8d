/**
 * The calculations that take longer than a frame: a page asks a worker for them, which carries no
 * others with it.
 */
import { coat } from './calculations/coat.ts';
import { day } from './calculations/day.ts';
import type { Calculation } from './calculations/define.ts';
import { outcomeOf, type Outcome } from './calculations/outcome.ts';
import { route } from './calculations/route.ts';
import { setup } from './calculations/setup.ts';

const HEAVY = { coat, day, route, setup };
export type HeavyName = keyof typeof HEAVY;

export const heavyOutcome = (name: HeavyName, input: unknown): Outcome =>
  outcomeOf(HEAVY[name] as unknown as Calculation<unknown>, input);
