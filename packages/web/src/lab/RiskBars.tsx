/** Risks as words first, then as bars with their spread; B stands under A where there is one. */
import { RISKS } from '@orthochrom/core/coat/riskIntervals.ts';
import { RISK_NAME, riskWord } from '@orthochrom/contract/words/coatWords.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import styles from './RiskBars.module.css';

type Risks = AnswerOf<'coat'>['risks'];
const SHOWN_FROM = 0.02;

export function RiskBars({
  sides,
  showAll = false,
}: {
  sides: { name: string; risks: Risks }[];
  showAll?: boolean;
}) {
  const [first] = sides;
  const names = RISKS.filter((name) => sides.some(({ risks }) => risks[name]))
    .filter((name) => showAll || sides.some(({ risks }) => (risks[name]?.value ?? 0) >= SHOWN_FROM))
    .sort((a, b) => (first!.risks[b]?.value ?? 0) - (first!.risks[a]?.value ?? 0));
  if (names.length === 0) return <p>Nothing is likely to want mending.</p>;
  return (
    <ul className={styles['risks']}>
      {names.map((name) => (
        <li key={name} data-risk={name}>
          <span className={styles['name']}>{RISK_NAME[name]}</span>
          <span className={styles['bars']}>
            {sides.map(({ name: side, risks }) => {
              const risk = risks[name];
              if (!risk) return null;
              const percent = (share: number) => `${(share * 100).toFixed(1)}%`;
              const word = riskWord(risk.value);
              return (
                <span key={side} className={`${styles['bar']} ${styles[word]}`}>
                  <span className={styles['track']}>
                    <span
                      className={styles['range']}
                      style={{
                        left: percent(risk.low),
                        width: percent(Math.max(0.004, risk.high - risk.low)),
                      }}
                    />
                    <span className={styles['point']} style={{ left: percent(risk.value) }} />
                  </span>
                  <span className={styles['word']}>
                    {sides.length > 1 && <b>{side} </b>}
                    {word}{' '}
                    <small>
                      {risk.value < 0.01 ? '< 1 %' : `${(risk.value * 100).toFixed(0)} %`}
                    </small>
                  </span>
                </span>
              );
            })}
          </span>
        </li>
      ))}
    </ul>
  );
}
