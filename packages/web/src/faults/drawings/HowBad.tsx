/** How bad the pictures show it, and the lamp over them: a light case is told like a bad one. */
import { Slider } from '@mantine/core';
import type { ReactNode } from 'react';
import { useLamp } from '../../lamp/lamp.ts';
import styles from './Drawing.module.css';
import { useSeverity } from './severity.ts';

const WORDS: [number, string][] = [
  [0.3, 'hardly'],
  [0.6, 'plainly'],
  [0.85, 'badly'],
  [1, 'as bad as it gets'],
];
const wordOf = (severity: number): string => WORDS.find(([most]) => severity <= most)![1];

/** The second lamp stands half a picture further: past this the first leaves it to that one. */
const LAMP_FROM = 0.02;
const LAMP_TO = 0.45;

export function HowBad() {
  const [severity, setSeverity] = useSeverity();
  const [lampAt, setLampAt] = useLamp();
  return (
    <div className={styles['moved']}>
      <Moved
        head={
          <>
            The pictures show it <strong>{wordOf(severity)}</strong>
          </>
        }
        name="How bad the pictures show it"
        range={[0.1, 1, 0.05]}
        value={severity}
        said={wordOf(severity)}
        onChange={setSeverity}
      />
      <Moved
        head="Move the lamp over them"
        name="Where the lamp stands over the pictures"
        range={[LAMP_FROM, LAMP_TO, 0.01]}
        value={lampAt}
        said={`${Math.round(lampAt * 100)} % from the left`}
        onChange={setLampAt}
      />
    </div>
  );
}

type MovedProps = {
  head: ReactNode;
  name: string;
  range: readonly [least: number, most: number, step: number];
  value: number;
  said: string;
  onChange: (value: number) => void;
};

function Moved({ head, name, range: [min, max, step], value, said, onChange }: MovedProps) {
  return (
    <div>
      <div className="label">{head}</div>
      <Slider
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={onChange}
        label={null}
        size="lg"
        thumbSize={48}
        thumbLabel={name}
        thumbProps={{ 'aria-valuetext': said }}
      />
    </div>
  );
}
