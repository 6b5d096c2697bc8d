/** The whole list, run by run, with how far each step is; a touch shows one. */
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import styles from './PrepCard.module.css';
import { STATE_WORD, stepTitle } from './prepWords.ts';

type PrepStepsProps = {
  steps: readonly PrepStep[];
  shownKey: string | undefined;
  onPick: (key: string) => void;
};

export function PrepSteps({ steps, shownKey, onPick }: PrepStepsProps) {
  const sessions = [...new Set(steps.map(({ key }) => key.split('.')[0]!))];
  return sessions.map((session) => {
    const own = steps.filter(({ key }) => key.startsWith(`${session}.`));
    return (
      <section key={session}>
        <h3>Before the {own[0]!.stage}</h3>
        <ul className={styles['list']}>
          {own.map((step) => (
            <li key={step.key}>
              <button
                type="button"
                className={styles['entry']}
                aria-current={step.key === shownKey ? 'step' : undefined}
                onClick={() => onPick(step.key)}
              >
                <span>
                  {stepTitle(step)}
                  <br />
                  <span className="quiet">{step.panels.join(', ')}</span>
                </span>
                <span className={styles['state']}>
                  {step.again ? 'once more' : STATE_WORD[step.state]}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    );
  });
}
