/** A drawing of what is meant by an answer; the words beside it say the same. */
import type { ReactNode } from 'react';
import { PatternPicture } from '../../guns/tests/PatternPicture.tsx';
import { HEIGHT, WIDTH } from './scatter.ts';
import { SECTIONS } from './Section.tsx';
import styles from './Drawing.module.css';
import { CloseUp } from './CloseUp.tsx';
import { SHOWN_AS } from './closeUps.ts';
import { DRAWN_AS, PATTERN_OF } from './drawnAs.ts';
import { useSeverity } from './severity.ts';
import { VIEWS } from './View.tsx';

export function Drawing({ question, option }: { question: string; option: string }): ReactNode {
  const [severity] = useSeverity();
  const pattern = PATTERN_OF[question]?.[option];
  if (pattern)
    return (
      <span className={styles['paper']} data-faint={option === 'thin_or_fading' ? 'on' : 'off'}>
        <PatternPicture pattern={pattern} severity={severity} />
      </span>
    );
  const name = DRAWN_AS[question]?.[option];
  const shown = name ? SHOWN_AS[name] : undefined;
  if (shown) return <CloseUp shown={shown} />;
  const drawn = name ? (SECTIONS[name] ?? VIEWS[name]) : undefined;
  if (!drawn) return null;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={styles['drawing']} aria-hidden="true">
      {drawn}
    </svg>
  );
}

/** What is to be seen in the close-up of an answer, for who does not see it. */
export const describedAs = (question: string, option: string): string | undefined =>
  SHOWN_AS[DRAWN_AS[question]?.[option] ?? '']?.described;
