/** How bad the pictures show it, and the lamp over them: a light case is told like a bad one. */
import { Slider } from '@mantine/core';
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
      <div>
        <div className="label">
          The pictures show it <strong>{wordOf(severity)}</strong>
        </div>
        <Slider
          min={0.1}
          max={1}
          step={0.05}
          value={severity}
          onChange={setSeverity}
          label={null}
          size="lg"
          thumbSize={48}
          thumbLabel="How bad the pictures show it"
          thumbProps={{ 'aria-valuetext': wordOf(severity) }}
        />
      </div>
      <div>
        <div className="label">Move the lamp over them</div>
        <Slider
          min={LAMP_FROM}
          max={LAMP_TO}
          step={0.01}
          value={lampAt}
          onChange={setLampAt}
          label={null}
          size="lg"
          thumbSize={48}
          thumbLabel="Where the lamp stands over the pictures"
          thumbProps={{ 'aria-valuetext': `${Math.round(lampAt * 100)} % from the left` }}
        />
      </div>
    </div>
  );
}
