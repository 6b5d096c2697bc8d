/** What happens where a new layer meets what is there: a shape, always with its word. */
import type { ReactNode } from 'react';
import type { PairOutcome } from '@orthochrom/core/layers/layerPairs.ts';
import { SEAM_WORD } from './foundWords.ts';
import styles from './Seam.module.css';

const SHAPE: Record<PairOutcome, ReactNode> = {
  holds: <path d="M4 13l5 5L20 6" />,
  sandFirst: (
    <>
      <circle cx="6" cy="8" r="1.6" />
      <circle cx="13" cy="6" r="1.6" />
      <circle cx="19" cy="11" r="1.6" />
      <circle cx="8" cy="16" r="1.6" />
      <circle cx="15" cy="17" r="1.6" />
    </>
  ),
  testPatch: <path d="M4 5h16v14H4zM4 12h16M12 5v14" />,
  unknown: <circle cx="12" cy="12" r="8" />,
  isolate: <path d="M3 9h18v6H3z" className={styles['filled']} />,
  noHold: <path d="M3 7h18M3 17h18" />,
  lifts: <path d="M2 16q4 -12 7 -4t6 -2 7 6" />,
};
const LEVEL: Record<PairOutcome, 'go' | 'caution' | 'stop'> = {
  holds: 'go',
  sandFirst: 'caution',
  testPatch: 'caution',
  unknown: 'caution',
  isolate: 'caution',
  noHold: 'stop',
  lifts: 'stop',
};

export function Seam({ outcome, over }: { outcome: PairOutcome; over?: string }) {
  return (
    <span className={`${styles['seam']} ${styles[LEVEL[outcome]]}`} data-seam={outcome}>
      <svg viewBox="0 0 24 24" aria-hidden="true">
        {SHAPE[outcome]}
      </svg>
      {over ? `${over}: ` : ''}
      {SEAM_WORD[outcome]}
    </span>
  );
}
