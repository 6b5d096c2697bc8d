/**
 * The answer: what it is, and what to do now, on the next coat, on the next job, and to put it
 * right. Each with its reason and its caution.
 */
import type { RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import { RISK_NAME, riskWord } from '@orthochrom/contract/words/coatWords.ts';
import type { Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { ModelledStep } from '@orthochrom/contract/diagnosis/modelledSteps.ts';
import { inUnitsOf } from '@orthochrom/contract/words/measured.ts';
import { LAYER_WORDS, stepWords } from '@orthochrom/contract/words/faultWords.ts';
import type { ReactNode } from 'react';
import { turnsText, type Format } from '@orthochrom/contract/words/format.ts';
import { usePainter } from '../frame/painter.ts';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { percentText } from './rankingLayout.ts';
import { Bites, RepairCard } from './RepairCard.tsx';
import styles from './AnswerCard.module.css';

type AnswerCardProps = {
  answer: AnswerOf<'diagnose'>;
  diagnosis: Diagnosis;
  sized: ModelledStep[];
  /** What the model expected of this fault on the coat as it was sprayed. */
  foreseen?: { name: RiskName; probability: number };
  format: Format;
};

export function AnswerCard({ answer, diagnosis, sized, foreseen, format }: AnswerCardProps) {
  const {
    painter: { units },
  } = usePainter();
  const [fault] = answer.faults;
  if (!answer.decided || !fault) return <NotYet answer={answer} />;
  const root = answer.causes[0]?.layer;
  const schools = theKnowledge().files.pairs.schools.filter(({ faults }) =>
    faults.includes(fault.id),
  );
  return (
    <section className={`card ${styles['answer']}`} aria-label="Answer">
      <div className={styles['title']}>
        <h2 className="figure mid" style={{ whiteSpace: 'normal' }}>
          {fault.name}
        </h2>
        <span className="quiet">
          {percentText(fault.probability)} sure
          {answer.secondFault ? `; and ${answer.secondFault.name.toLowerCase()}` : ''}
          {root ? `; the root lies in the ${LAYER_WORDS[root]}` : ''}
        </span>
      </div>
      {foreseen && (
        <p className="quiet">
          Run with the settings and waits of this coat, and no heat, the model expects{' '}
          {RISK_NAME[foreseen.name].toLowerCase()} with {percentText(foreseen.probability)} (
          {riskWord(foreseen.probability)}). It stands beside the judgement and is no part of it.
        </p>
      )}
      <VerdictList verdicts={answer.verdicts} hideGo />
      <Block title="Now">
        {answer.now.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </Block>
      <Block title="Next coat">
        <NextCoat advice={answer.nextCoat} />
        {sized.map((size) => (
          <li key={size.step} className="quiet">
            {inUnitsOf(stepWords(size.step).step, units)}
            {toText(size, format)}: {sizedText(size, format)} (by the model, at the settings of this
            coat)
          </li>
        ))}
      </Block>
      <Block title="Next job">
        {answer.nextJob.map(({ setting, change, why }) => (
          <li key={`${setting}${change}`}>
            <b>{setting}.</b> {change}. <span className="quiet">Why: {why}.</span>
          </li>
        ))}
      </Block>
      {answer.repair && (
        <RepairCard
          repair={answer.repair}
          takesFilm={diagnosis.repair?.takesFilm ?? false}
          format={format}
        />
      )}
      <p className="quiet">{theKnowledge().files.safety.wording}</p>
      {schools.length > 0 && (
        <details>
          <summary>Where painters disagree about it: {schools.length}</summary>
          <ul className={styles['schools']}>
            {schools.map(({ id, clash, verdict }) => (
              <li key={id}>
                <b>{inUnitsOf(clash, units)}.</b> {inUnitsOf(verdict, units)}.
              </li>
            ))}
          </ul>
        </details>
      )}
      <ReasonList reasons={answer.reasons} />
    </section>
  );
}

function NotYet({ answer }: { answer: AnswerOf<'diagnose'> }) {
  return (
    <section className={`card ${styles['answer']}`} aria-label="Answer">
      <VerdictList verdicts={answer.verdicts} hideGo />
      <ul className={styles['list']}>
        {answer.now.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      {answer.nextCoat.length > 0 && (
        <Block title="Next coat">
          <NextCoat advice={answer.nextCoat} />
        </Block>
      )}
    </section>
  );
}

function NextCoat({ advice }: { advice: AnswerOf<'diagnose'>['nextCoat'] }) {
  return advice.map(({ text, caution }) => (
    <li key={text}>
      {text}
      {caution && <Bites>{caution}</Bites>}
    </li>
  ));
}

function Block({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className={styles['block']}>
      <h3>{title}</h3>
      <ul className={styles['list']}>{children}</ul>
    </div>
  );
}

/** The step with its figure on this coat, in the painter's units. */
function toText({ to }: ModelledStep, format: Format): string {
  if (!to) return '';
  const written = {
    inletKPa: () => format.joined(format.pressure(to.value)),
    distanceMm: () => format.joined(format.length(to.value)),
    fluidTurnsOut: () => `${turnsText(to.value)} turns`,
    fanTurnsOut: () => `${turnsText(to.value)} turns`,
    overlapPercent: () => `${to.value.toFixed(0)} %`,
    nozzleMm: () => `${to.value} mm`,
    wetFilmUm: () => format.joined(format.film(to.value)),
  }[to.setting];
  return `, to about ${written()}`;
}

function sizedText({ dropletUm, wetUm, sagMm }: ModelledStep, format: Format): string {
  const from = (pair: [number, number], write: (value: number) => string) =>
    `${write(pair[0])} to ${write(pair[1])}`;
  return [
    `drops ${from(dropletUm, (um) => um.toFixed(0))} µm`,
    `film ${from(wetUm, (um) => format.joined(format.film(um)))}`,
    ...(sagMm[0] > 0.05 || sagMm[1] > 0.05 ? [`sag ${from(sagMm, (mm) => mm.toFixed(1))} mm`] : []),
  ].join(', ');
}
