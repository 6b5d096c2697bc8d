/** The ruled order of a coat as tabs: done, next, to come. */
import { CheckIcon } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { STEP_NAME } from '../words/tradeNames.ts';
import { STEPS, type Step } from './coatSteps.ts';
import styles from './StepTabs.module.css';

export function StepTabs({
  current,
  shown,
  onPick,
  done,
}: {
  current: Step;
  shown: Step;
  onPick: (step: Step) => void;
  /** Steps whose end does not follow from where the coat is. */
  done: Pick<Record<Step, boolean>, 'prep' | 'gate'>;
}) {
  const at = STEPS.indexOf(current);
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // On a phone the tabs are wider than the screen: the shown one is brought into view, sideways
    // only. Elsewhere nothing is measured: it would lay out the whole step a second time.
    if (!matchMedia('(max-width: 760px)').matches) return;
    const tab = list.current?.querySelector<HTMLElement>('[aria-current]');
    if (tab && list.current)
      list.current.scrollLeft =
        tab.offsetLeft -
        list.current.offsetLeft -
        list.current.clientWidth / 2 +
        tab.clientWidth / 2;
  }, [shown]);
  return (
    <ol className={styles['tabs']} ref={list}>
      {STEPS.map((step, i) => {
        const isDone = step === 'prep' || step === 'gate' ? done[step] : i < at;
        return (
          <li key={step}>
            <button
              type="button"
              onClick={() => onPick(step)}
              className={`${styles['tab']} ${step === shown ? styles['shown'] : ''} ${step === current ? styles['current'] : ''}`}
              aria-current={step === shown ? 'step' : undefined}
            >
              {isDone && <CheckIcon size={18} strokeWidth={3} aria-label="done" />}
              {STEP_NAME[step]}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
