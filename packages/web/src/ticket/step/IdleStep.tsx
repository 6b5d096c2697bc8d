/** A step where nothing is to be done now: why, and the way to what is next. */
import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import type { Awaited, Step } from '../coatSteps.ts';
import { STEP_NAME } from '../../words/tradeNames.ts';
import { StepFrame } from './StepFrame.tsx';

export const AWAITED_WORDS: Record<Awaited, string> = {
  gate: 'The safety gate of this stage comes first: no recipe and no setting is shown before it has passed.',
  pour: 'Take the plan and pour first.',
  coat: 'The flash clock starts when the coat is on.',
  flash: 'Look at it once it has flashed and passed the touch test.',
};

export type ToNext = { next: Step; onNext: () => void };

export const NextStep = ({ next, onNext }: ToNext) => (
  <Button onClick={onNext}>What is next: {STEP_NAME[next]}</Button>
);

export function IdleStep({ children, ...toNext }: ToNext & { children: ReactNode }) {
  return (
    <StepFrame action={<NextStep {...toNext} />}>
      <p className="card">{children}</p>
    </StepFrame>
  );
}
