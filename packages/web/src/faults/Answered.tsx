/** What was answered so far: touch one to change it. */
import { CloseButton } from '@mantine/core';
import { CANT_TELL } from '@orthochrom/contract/shapes/diagnosis.ts';
import { answerLabel, questionWords } from '@orthochrom/contract/words/faultWords.ts';
import type { Observation } from './draft.ts';
import styles from './Answered.module.css';

export function Answered({
  answers,
  onAsk,
  onForget,
}: {
  answers: readonly Observation[];
  onAsk: (question: string) => void;
  onForget: (question: string) => void;
}) {
  if (answers.length === 0) return null;
  return (
    <section className="card" aria-label="Answered">
      <h3 className="label">Answered; touch one to change it</h3>
      <ul className={styles['answers']}>
        {answers.map(({ question, answer }) => (
          <li key={question}>
            <button type="button" onClick={() => onAsk(question)}>
              <span className="quiet">{questionWords(question).ask}</span>
              <strong>{answer === CANT_TELL ? 'Can’t tell' : answerLabel(question, answer)}</strong>
            </button>
            <CloseButton
              aria-label={`Take back: ${questionWords(question).ask}`}
              onClick={() => onForget(question)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
