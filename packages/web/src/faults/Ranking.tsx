/**
 * What it may be, as bars that move with every answer; touch one to see which answer pushed it, and
 * how far.
 */
import type { Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import type { Log } from '@orthochrom/core/diagnosis/knowledge.ts';
import type { ReadingInfluence } from '@orthochrom/core/diagnosis/weights.ts';
import {
  answerLabel,
  faultName,
  faultWords,
  questionWords,
  readingName,
  readingValueText,
} from '@orthochrom/contract/words/faultWords.ts';
import { useState, type ReactNode } from 'react';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import {
  BAR_WIDTH,
  barOf,
  beliefWord,
  drawnPush,
  percentText,
  PUSH_WIDTH,
} from './rankingLayout.ts';
import styles from './Ranking.module.css';

const SHOWN = 6;

type RankingProps = {
  diagnosis: Diagnosis;
  log: Log;
  leansOf: (fault: string) => ReadingInfluence[];
  units: Units;
};

/** `leansOf` is asked only for what is opened: leaving out each reading in turn takes a moment. */
export function Ranking({ diagnosis, log, leansOf, units }: RankingProps) {
  const [open, setOpen] = useState<string>();
  const shown = diagnosis.faults.slice(0, SHOWN);
  return (
    <section className="card stack" aria-label="What it may be">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What it may be
      </h2>
      <ol className={styles['ranking']} aria-live="polite">
        {shown.map(({ id, probability, weights }) => (
          <li key={id} data-fault={id}>
            <button
              type="button"
              className={styles['fault']}
              aria-expanded={open === id}
              onClick={() => setOpen(open === id ? undefined : id)}
            >
              <span className={styles['name']}>{faultName(id)}</span>
              <span className={styles['value']}>
                <b>{percentText(probability)}</b> {beliefWord(probability)}
              </span>
              <svg
                viewBox={`0 0 ${BAR_WIDTH} 14`}
                preserveAspectRatio="none"
                className={styles['bar']}
                aria-hidden="true"
              >
                <rect width={BAR_WIDTH} height="14" className={styles['track']} />
                <rect width={barOf(probability)} height="14" className={styles['belief']} />
              </svg>
            </button>
            {open === id && (
              <div className={styles['why']}>
                <p>{faultWords(id).looks}</p>
                <ul>
                  {weights?.map(({ question, answer, logRatio }) => (
                    <PushRow key={question} logRatio={logRatio}>
                      {questionWords(question).ask} <i>{answerLabel(question, answer)}</i>
                    </PushRow>
                  ))}
                  {leansOf(id).map(({ reading, logRatio }) => (
                    <PushRow key={reading} logRatio={logRatio}>
                      {readingName(reading)}{' '}
                      <i>{readingValueText(reading, log[reading]!, units)}</i>
                    </PushRow>
                  ))}
                </ul>
                {faultWords(id)
                  .lookAlikes.slice(0, 2)
                  .map(({ with: other, check }) => (
                    <p key={other} className="quiet">
                      Not to be taken for {faultName(other).toLowerCase()}: {check}
                    </p>
                  ))}
              </div>
            )}
          </li>
        ))}
      </ol>
      <p className="quiet">
        Beliefs from a trainer’s estimates, not counted jobs. Touch one to see what pushed it.
      </p>
    </section>
  );
}

function PushRow({ logRatio, children }: { logRatio: number; children: ReactNode }) {
  const { x, width, speaksFor, times } = drawnPush(logRatio);
  return (
    <li>
      <svg viewBox={`0 0 ${PUSH_WIDTH} 12`} className={styles['push']} aria-hidden="true">
        <line x1={PUSH_WIDTH / 2} x2={PUSH_WIDTH / 2} y2="12" className={styles['zero']} />
        <rect
          x={x}
          width={width}
          y="1"
          height="10"
          className={speaksFor ? styles['for'] : styles['against']}
        />
      </svg>
      <span>
        <b>{times}</b> · {children}
      </span>
    </li>
  );
}
