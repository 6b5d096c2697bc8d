/** What to expect in one line: the film, the wait, and what is most likely to want mending. */
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { RISK_NAME, riskWord } from '@orthochrom/contract/words/coatWords.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { RISKS } from '@orthochrom/core/coat/riskIntervals.ts';
import { usePainter } from '../../frame/painter.ts';
import styles from './ExpectStrip.module.css';
import type { Expected } from './useExpected.ts';

const SHOWN = 2;

type ExpectStripProps = {
  expected: Expected;
  plan: CoatPlan;
  /** The last coat of flake lies drier by intent: no foresight of full coats is said of it. */
  isControl: boolean;
};

export function ExpectStrip({ expected, plan, isControl }: ExpectStripProps) {
  const { film } = formatFor(usePainter().painter.units);
  const { answer, error, isStale } = expected;
  const { low, high, value } = plan.recoat.earliestMinutes;
  const wet = answer && film(answer.film.wetUm.value);
  const risks =
    answer && !isControl
      ? RISKS.flatMap((name) => {
          const risk = answer.risks[name];
          return risk ? [{ name, value: risk.value }] : [];
        })
          .sort((a, b) => b.value - a.value)
          .slice(0, SHOWN)
      : [];
  return (
    <div className={`card ${styles['strip']}`} aria-label="Expected, in short" aria-busy={isStale}>
      {error && <span role="alert">{error}</span>}
      {!answer && !error && <span className="quiet">Laying it in the model …</span>}
      {wet && answer && (
        <span>
          Wet film <strong>{wet.text}</strong> {wet.unit}
          <span className="quiet">
            , {film(answer.film.wetUm.low).text} to {film(answer.film.wetUm.high).text}
          </span>
        </span>
      )}
      <span>
        Flash <strong>{value.toFixed(0)}</strong> min
        <span className="quiet">
          , {low.toFixed(0)} to {high.toFixed(0)}
        </span>
      </span>
      {isControl && (
        <span className="quiet">drier by intent: it evens the flake, it hides nothing</span>
      )}
      {risks.map(({ name, value: risk }) => (
        <span key={name}>
          {RISK_NAME[name]} <strong className={styles[riskWord(risk)]}>{riskWord(risk)}</strong>
        </span>
      ))}
    </div>
  );
}
