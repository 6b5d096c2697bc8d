/** The pieces a control column is made of: a group, a slider with its figure, a choice of few. */
import { SegmentedControl, Slider } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './Controls.module.css';
import type { LabSetup } from './labSetup.ts';

/** What every group of controls is given. */
export type GroupProps = {
  setup: LabSetup;
  other?: LabSetup | undefined;
  onChange: (setup: LabSetup) => void;
};
/** The other set-up's figure, to be shown where the two differ. */
export const atOther =
  (other: LabSetup | undefined) => (read: (from: LabSetup) => number | undefined) =>
    other ? read(other) : undefined;

export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={styles['group']} aria-label={title}>
      <h2 className={styles['title']}>{title}</h2>
      {children}
    </section>
  );
}

type KnobProps = {
  label: string;
  value: number;
  was?: number | undefined;
  from: number;
  to: number;
  step: number;
  write: (value: number) => string;
  onChange: (value: number) => void;
};

/** One slider with its figure; the other set-up's figure beside it where the two differ. */
export function Knob({ label, value, was, from, to, step, write, onChange }: KnobProps) {
  const differs = was !== undefined && Math.abs(was - value) > 1e-9;
  return (
    <div className={styles['knob']}>
      <div className={styles['head']}>
        <span>{label}</span>
        <span>
          {differs && <span className={styles['was']}>{write(was)}</span>}{' '}
          <strong>{write(value)}</strong>
        </span>
      </div>
      <Slider
        thumbLabel={label}
        thumbProps={{ 'aria-valuetext': write(value) }}
        label={null}
        min={Math.min(from, value)}
        max={Math.max(to, value)}
        step={step}
        value={value}
        onChange={(next) => onChange(Number(next.toFixed(3)))}
        size="md"
      />
    </div>
  );
}

type ChoiceProps<V extends string> = {
  label: string;
  value: V;
  data: (V | { value: V; label: string })[];
  onChange: (value: V) => void;
};
export function Choice<V extends string>({ label, value, data, onChange }: ChoiceProps<V>) {
  return (
    <div className={styles['knob']}>
      <div className={styles['head']}>
        <span>{label}</span>
      </div>
      <SegmentedControl
        fullWidth
        aria-label={label}
        value={value}
        data={data}
        onChange={(next) => onChange(next as V)}
      />
    </div>
  );
}
