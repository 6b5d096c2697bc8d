/** One question at a time, large, with drawings of what is meant. "Can't tell" is always there. */
import { Button } from '@mantine/core';
import { CANT_TELL } from '@orthochrom/contract/shapes/diagnosis.ts';
import { questionWords } from '@orthochrom/contract/words/faultWords.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { Drawing, describedAs } from './drawings/Drawing.tsx';
import { DRAWN_AS } from './drawings/drawnAs.ts';
import { HowBad } from './drawings/HowBad.tsx';
import styles from './QuestionCard.module.css';

type QuestionCardProps = {
  question: string;
  given: string | undefined;
  others: readonly string[];
  onAnswer: (answer: string) => void;
  onBack?: (() => void) | undefined;
  onAsk: (question: string) => void;
};

const MOST_OTHERS = 4;
const COST_WORDS: Record<number, string> = {
  1: 'a glance',
  2: 'half a minute',
  3: 'a tool',
  4: 'sanding',
  6: 'a test panel',
};

export function QuestionCard({
  question,
  given,
  others,
  onAnswer,
  onBack,
  onAsk,
}: QuestionCardProps) {
  const { ask, options } = questionWords(question);
  const { questions } = theKnowledge().files.questions;
  const known = questions.find(({ id }) => id === question);
  const isDrawn = question === 'q_burst' || Object.keys(DRAWN_AS[question] ?? {}).length > 0;
  const speaking = Object.entries(options).filter(([option]) => !known?.skips.includes(option));
  return (
    <section className={`card ${styles['card']}`} aria-label="Question">
      <h2 className={styles['ask']}>{ask}</h2>
      <p className="quiet">
        {known && known.tool !== 'none' ? `With: ${known.tool}` : 'With your eyes'},{' '}
        {COST_WORDS[known?.cost ?? 1]}
        {known?.film === 'dry' ? '; only on a dry film' : ''}
      </p>
      <div className={styles['options']} data-drawn={isDrawn} role="group" aria-label={ask}>
        {speaking.map(([option, label]) => (
          <button
            key={option}
            type="button"
            className={styles['option']}
            aria-pressed={given === option}
            onClick={() => onAnswer(option)}
            data-option={option}
            aria-description={describedAs(question, option)}
          >
            <Drawing question={question} option={option} />
            <span>{label}</span>
          </button>
        ))}
      </div>
      {speaking.some(([option]) => describedAs(question, option)) && <HowBad />}
      <div className={styles['foot']}>
        <Button
          size="lg"
          variant={given === CANT_TELL ? 'filled' : 'default'}
          aria-pressed={given === CANT_TELL}
          onClick={() => onAnswer(CANT_TELL)}
        >
          Can’t tell
        </Button>
        {onBack && (
          <Button size="lg" variant="default" onClick={onBack}>
            Back
          </Button>
        )}
      </div>
      {others.length > 0 && (
        <details className={styles['others']}>
          <summary>Ask me something else</summary>
          <ul>
            {others.slice(0, MOST_OTHERS).map((id) => (
              <li key={id}>
                <button type="button" onClick={() => onAsk(id)}>
                  {questionWords(id).ask}
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
