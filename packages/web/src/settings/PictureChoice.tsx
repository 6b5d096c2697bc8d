/** One way of working out of a few, each with its picture: touched, not read. */
import type { ReactNode } from 'react';
import styles from './PictureChoice.module.css';

export type Pictured<V extends string> = { value: V; word: string; picture: ReactNode };
type PictureChoiceProps<V extends string> = {
  label: string;
  value: V | undefined;
  options: readonly Pictured<V>[];
  onPick: (value: V) => void;
};

export function PictureChoice<V extends string>({
  label,
  value,
  options,
  onPick,
}: PictureChoiceProps<V>) {
  return (
    <div role="group" aria-label={label}>
      <div className={styles['label']}>{label}</div>
      <div className={styles['options']}>
        {options.map((option) => (
          <button
            key={option.value}
            type="button"
            className={styles['option']}
            aria-pressed={value === option.value}
            onClick={() => onPick(option.value)}
          >
            <span className={styles['picture']}>{option.picture}</span>
            <span>{option.word}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
