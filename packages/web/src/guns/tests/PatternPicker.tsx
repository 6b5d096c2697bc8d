/** What was shot on paper, picked from drawings: touch the one that looks like yours. */
import { PATTERNS, type Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';
import { PatternPicture } from './PatternPicture.tsx';
import styles from './PatternPicker.module.css';

export const PATTERN_NAME: Record<Pattern, string> = {
  even: 'Even oval',
  heavyCentre: 'Heavy in the middle',
  split: 'Heavy at both ends',
  oneEndHeavy: 'Heavy at one end',
  crescent: 'Bent like a moon',
  tilted: 'Tilted',
  flutter: 'Broken, fluttering',
  narrow: 'Narrow, a spot',
};

export function PatternPicker({
  value,
  onPick,
}: {
  value: Pattern | undefined;
  onPick: (pattern: Pattern) => void;
}) {
  return (
    <div className={styles['patterns']} role="group" aria-label="Pattern on paper">
      {PATTERNS.map((pattern) => (
        <button
          key={pattern}
          type="button"
          className={styles['pattern']}
          aria-pressed={value === pattern}
          onClick={() => onPick(pattern)}
        >
          <PatternPicture pattern={pattern} />
          <span>{PATTERN_NAME[pattern]}</span>
        </button>
      ))}
    </div>
  );
}
