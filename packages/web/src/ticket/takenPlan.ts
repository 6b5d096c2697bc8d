/** The answers frozen when a plan was taken. */
import type { AnswerOf, CalculationName, InputOf } from '@orthochrom/contract/registry.ts';
import type { Coat } from '@orthochrom/contract/shop/ticket.ts';

const answer = <N extends CalculationName>(coat: Coat, name: N): AnswerOf<N> | undefined =>
  coat.planned?.answers[name] as AnswerOf<N> | undefined;
const input = <N extends CalculationName>(coat: Coat, name: N): InputOf<N> | undefined =>
  coat.planned?.inputs[name] as InputOf<N> | undefined;

export const takenMix = (coat: Coat) => answer(coat, 'mix');
export const takenMixInput = (coat: Coat) => input(coat, 'mix');
export const takenReducer = (coat: Coat) => answer(coat, 'reducer');
export const takenSetup = (coat: Coat) => answer(coat, 'setup');
export const takenRecoat = (coat: Coat) => answer(coat, 'recoat');
