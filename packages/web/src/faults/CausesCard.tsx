/**
 * Which cause, in which layer: what speaks for each, what against, and what was looked at and is
 * out.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { causeName, LAYER_WORDS } from '@orthochrom/contract/words/faultWords.ts';
import { percentText, timesText } from './rankingLayout.ts';
import styles from './CausesCard.module.css';

const SHOWN = 4;
const SHOWN_FROM = 0.04;

export function CausesCard({ answer }: { answer: AnswerOf<'diagnose'> }) {
  const causes = answer.causes
    .filter(({ probability }, i) => i === 0 || probability >= SHOWN_FROM)
    .slice(0, SHOWN);
  if (causes.length === 0) return null;
  return (
    <section className="card stack" aria-label="Likely causes">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Likely causes
      </h2>
      <ol className={styles['causes']}>
        {causes.map(({ id, name, probability, layer, evidence }) => (
          <li key={id} data-cause={id}>
            <div className={styles['head']}>
              <strong>{name}</strong>
              <b>{percentText(probability)}</b>
            </div>
            <div className="quiet">{layer ? `in the ${LAYER_WORDS[layer]}` : ''}</div>
            {evidence.length === 0 && (
              <div className="quiet">No reading speaks for or against it; it is only usual.</div>
            )}
            <ul>
              {evidence.map(({ text, weight }) => (
                <li key={text} data-speaks={weight > 0 ? 'for' : 'against'}>
                  <b>{weight > 0 ? '+' : '−'}</b> {text}{' '}
                  <span className="quiet">({timesText(weight)})</span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
      {answer.cleared.length > 0 && (
        <details>
          <summary>Looked at, and out: {answer.cleared.length}</summary>
          <ul className={styles['cleared']}>
            {answer.cleared.map(({ id, why }) => (
              <li key={id}>
                <s>{causeName(id)}</s> <span className="quiet">{why}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
