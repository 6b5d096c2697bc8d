/** What was frozen when a plan was taken: its answers, its inputs, and the painter's wishes. */
import type { AnswerOf, CalculationName, InputOf } from '../registry.ts';
import type { Coat, PlanWishes } from '../shop/coat.ts';

type Taken = Pick<Coat, 'planned'>;
const answer = <N extends CalculationName>({ planned }: Taken, name: N): AnswerOf<N> | undefined =>
  planned?.answers[name] as AnswerOf<N> | undefined;
const input = <N extends CalculationName>({ planned }: Taken, name: N): InputOf<N> | undefined =>
  planned?.inputs[name] as InputOf<N> | undefined;

export const takenMix = (coat: Taken) => answer(coat, 'mix');
export const takenQuantity = (coat: Taken) => answer(coat, 'quantity');
export const takenMixInput = (coat: Taken) => input(coat, 'mix');
export const takenReducer = (coat: Taken) => answer(coat, 'reducer');
export const takenSetup = (coat: Taken) => answer(coat, 'setup');
export const takenRecoat = (coat: Taken) => answer(coat, 'recoat');

/**
 * The painter's wishes a plan was taken with; of plans taken before wishes were kept, as their
 * inputs tell.
 */
export function takenWishes(coat: Taken): PlanWishes {
  if (coat.planned?.wishes) return coat.planned.wishes;
  const setup = input(coat, 'setup');
  const wanted = input(coat, 'reducer')?.wanted?.parts;
  return {
    ...(setup ? { part: setup.part } : {}),
    ...(setup?.mist ? { mist: true } : {}),
    ...(wanted && wanted.length > 0 ? { wantedParts: wanted } : {}),
  };
}
