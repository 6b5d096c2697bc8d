import { useId, type ReactNode } from 'react';
import styles from './GateQuestions.module.css';

type QuestionProps = {
  label: string;
  children: ReactNode;
  /** More words to choose from than yes and no. */
  isWide?: boolean;
  /** Stands by itself in its line where there is little room. */
  isWhole?: boolean;
  /** The same on an upright tablet. */
  isLong?: boolean;
};

export function Question({ label, children, isWide, isWhole, isLong }: QuestionProps) {
  const breadth = (isWhole && 'whole') || (isWide && 'wide') || (isLong && 'long');
  return (
    <div className={`${styles['question']} ${breadth ? styles[breadth] : ''}`}>
      <span>{label}</span>
      {children}
    </div>
  );
}

type ChoiceProps = {
  label: string;
  value: string | undefined;
  options: [string, string][];
  onChange: (value: string) => void;
};

/**
 * One of a few words. Plain radio buttons under the words: eight of them stand on the gate, and the
 * sliding ones each measure themselves before they are drawn.
 */
export function Choice({ label, value, options, onChange }: ChoiceProps) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className={styles['choice']}>
      {options.map(([key, word]) => (
        <label key={key} className={styles['option']} data-option>
          <input
            type="radio"
            name={name}
            value={key}
            checked={key === value}
            onChange={() => onChange(key)}
          />
          {word}
        </label>
      ))}
    </div>
  );
}

type YesNoProps = { label: string; value: boolean | undefined; onChange: (value: boolean) => void };

export function YesNo({ label, value, onChange }: YesNoProps) {
  return (
    <Choice
      label={label}
      value={value === undefined ? undefined : String(value)}
      options={[
        ['true', 'Yes'],
        ['false', 'No'],
      ]}
      onChange={(answer) => onChange(answer === 'true')}
    />
  );
}
