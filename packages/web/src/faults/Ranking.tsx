/** What it may be, as bars that move with every answer; touch one to see which answer pushed it, and how far. */
import type { Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import { answerLabel, faultName, faultWords, questionWords } from '@orthochrom/contract/words/faultWords.ts';
import { useState } from 'react';
import { BAR_WIDTH, barOf, beliefWord, drawnPush, percentText, PUSH_WIDTH } from './rankingLayout.ts';
import styles from './Ranking.module.css';

const SHOWN = 6;

export function Ranking({ diagnosis }: { diagnosis: Diagnosis }) {
  const [open, setOpen] = useState<string>();
  const shown = diagnosis.faults.slice(0, SHOWN);
  return (
    <section className="card stack" aria-label="What it may be">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What it may be
      </h2>
      <ol className={styles['ranking']} aria-live="polite">
        {shown.map(({ id, probability, pushes }) => (
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
              <svg viewBox={`0 0 ${BAR_WIDTH} 14`} preserveAspectRatio="none" className={styles['bar']} aria-hidden="true">
                <rect width={BAR_WIDTH} height="14" className={styles['track']} />
                <rect width={barOf(probability)} height="14" className={styles['belief']} />
              </svg>
            </button>
            {open === id && (
              <div className={styles['why']}>
                <p>{faultWords(id).looks}</p>
                {pushes && pushes.length > 0 && (
                  <ul>
                    {pushes.map(drawnPush).map((push) => (
                      <li key={push.question}>
                        <svg viewBox={`0 0 ${PUSH_WIDTH} 12`} className={styles['push']} aria-hidden="true">
                          <line x1={PUSH_WIDTH / 2} x2={PUSH_WIDTH / 2} y2="12" className={styles['zero']} />
                          <rect
                            x={push.x}
                            width={push.width}
                            y="1"
                            height="10"
                            className={push.speaksFor ? styles['for'] : styles['against']}
                          />
                        </svg>
                        <span>
                          <b>{push.times}</b> · {questionWords(push.question).ask}{' '}
                          <i>{answerLabel(push.question, push.answer)}</i>
                        </span>
                      </li>
                    ))}
                  </ul>
                )}
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
      <p className="quiet">Beliefs from a trainer’s estimates, not counted jobs. Touch one to see what pushed it.</p>
    </section>
  );
}
