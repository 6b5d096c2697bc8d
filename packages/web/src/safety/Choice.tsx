import { SegmentedControl } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './GateQuestions.module.css';

type QuestionProps = { label: string; children: ReactNode; isWide?: boolean };

export function Question({ label, children, isWide }: QuestionProps) {
  return (
    <div className={`${styles['question']} ${isWide ? styles['wide'] : ''}`}>
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

export function Choice({ label, value, options, onChange }: ChoiceProps) {
  return (
    <SegmentedControl
      aria-label={label}
      value={value ?? ''}
      onChange={onChange}
      data={options.map(([key, word]) => ({ value: key, label: word }))}
      className={styles['choice']!}
    />
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
