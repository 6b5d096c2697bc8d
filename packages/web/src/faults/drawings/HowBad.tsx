/** Moves how bad the pictures show it, so that a light case is told as well as a bad one. */
import { Slider } from '@mantine/core';
import { useSeverity } from './severity.ts';

const WORDS: [number, string][] = [
  [0.3, 'hardly'],
  [0.6, 'plainly'],
  [0.85, 'badly'],
  [1, 'as bad as it gets'],
];
const wordOf = (severity: number): string => WORDS.find(([most]) => severity <= most)![1];

export function HowBad() {
  const [severity, setSeverity] = useSeverity();
  return (
    <div style={{ maxWidth: 460, marginBottom: '1.2rem' }}>
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
        thumbSize={34}
        thumbLabel="How bad the pictures show it"
        thumbProps={{ 'aria-valuetext': wordOf(severity) }}
      />
    </div>
  );
}
