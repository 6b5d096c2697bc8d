/** One step, as large as the card: the verb with its figure, where, how, and what follows. */
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import { PREP_FOLLOWS } from '@orthochrom/contract/words/prepLeads.ts';
import type { ReactNode } from 'react';
import styles from './PrepCard.module.css';
import { stepHow, stepTitle } from './prepWords.ts';

type PrepStepLargeProps = {
  step: PrepStep;
  at: number;
  of: number;
  isHeld: boolean;
  /** What comes after it. */
  then: readonly PrepStep[];
  /** What the step is answered with beside a touch. */
  extra?: ReactNode;
  /** Its other answers. */
  children: ReactNode;
};

export function PrepStepLarge({ step, at, of, isHeld, then, extra, children }: PrepStepLargeProps) {
  const { panels, ladder = [], fault, again = [] } = step;
  return (
    <div className={`card ${styles['step']}`} data-step={step.key}>
      <div className="quiet">
        Step {at} of {of}
      </div>
      <div>
        <h3 className={`figure ${styles['title']}`}>{stepTitle(step)}</h3>
        <div className={styles['panels']}>
          {again.length > 0 ? `Once more: ${again.join(', ')}` : panels.join(', ')}
        </div>
      </div>
      {children && <div className={styles['others']}>{children}</div>}
      {extra}
      <div className="stack">
        {ladder.length > 0 && (
          <div
            className={styles['ladder']}
            role="img"
            aria-label={`Grits: ${ladder.join(', then ')}`}
          >
            {ladder.map((grit, i) => (
              <span
                key={grit}
                className={styles['rung']}
                style={{ paddingBottom: `${8 * (ladder.length - i)}px` }}
              >
                {grit}
              </span>
            ))}
          </div>
        )}
        <ol className={styles['how']}>
          {stepHow(step).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        <p className={styles['left']}>
          {fault
            ? `Without it: ${PREP_FOLLOWS[`left-${fault}`] ?? ''}`
            : 'This step is never left out.'}
          {!isHeld &&
            ' This list holds nothing up until a step of it is answered, or somebody says what stands on the panels.'}
          {then.length > 0 && ` Then: ${then.map((next) => small(stepTitle(next))).join(', ')}`}
        </p>
      </div>
    </div>
  );
}

/** Within a sentence; a grit keeps its capital. */
const small = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);
