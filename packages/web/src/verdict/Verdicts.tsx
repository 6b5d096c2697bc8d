/**
 * Verdicts and reasons as a painter reads them: a word and a shape with each, never colour alone,
 * figures in their own units.
 */
import type { Level } from '@orthochrom/core/outcome/codes.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import type { WordedReason, WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import { leadOf, verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { saidOnce } from './saidOnce.ts';
import styles from './Verdicts.module.css';

const WORD: Record<Level, string> = { go: 'Go', caution: 'Care', stop: 'Stop' };

/** Round for go, triangle for care, square for stop. */
function Shape({ level }: { level: Level }) {
  return (
    <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true" className={styles['shape']}>
      {level === 'go' && <circle cx="8" cy="8" r="6.5" />}
      {level === 'caution' && <path d="M8 1.2 15.4 14.6H.6z" />}
      {level === 'stop' && <rect x="1.5" y="1.5" width="13" height="13" />}
    </svg>
  );
}

export function LevelBadge({ level, word }: { level: Level; word?: string }) {
  return (
    <span className={`${styles['badge']} ${styles[level]}`}>
      <Shape level={level} /> {word ?? WORD[level]}
    </span>
  );
}

/**
 * Said once on every screen where it belongs (safety/Standing.tsx): a caution that always fires is
 * no caution.
 */
const STANDING: ReadonlySet<string> = new Set(['two-pack-breathing']);

/** Which fault or harm would follow, and what to do instead. */
function Leads({ verdict: { code, params } }: { verdict: WordedVerdict }) {
  const { painter } = usePainter();
  const { follows, instead } = leadOf(code, params, formatFor(painter.units).inWords);
  if (!follows && !instead) return null;
  return (
    <p className={styles['leads']}>
      {follows && <span data-follows={follows.code}>{follows.text}</span>}{' '}
      {instead && <strong data-instead={instead.code}>{instead.text}</strong>}
    </p>
  );
}

const ORDER: Level[] = ['stop', 'caution', 'go'];

/** The worst first, each code once. */
export function VerdictList({
  verdicts,
  hideGo = false,
}: {
  verdicts: WordedVerdict[];
  hideGo?: boolean;
}) {
  const { painter } = usePainter();
  const { inWords } = formatFor(painter.units);
  const shown = saidOnce(
    verdicts.filter(({ level, code }) => !(hideGo && level === 'go') && !STANDING.has(code)),
  ).sort((a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level));
  if (shown.length === 0) return null;
  return (
    <ul className={styles['list']}>
      {shown.map((verdict) => (
        <li
          key={`${verdict.code}${verdict.message}`}
          className={`${styles['verdict']} ${styles[verdict.level]}`}
          data-code={verdict.code}
        >
          <LevelBadge level={verdict.level} />
          <div>
            {verdictMessage(verdict.code, verdict.params, inWords)}
            <Leads verdict={verdict} />
          </div>
        </li>
      ))}
    </ul>
  );
}

const SOURCE: Record<WordedReason['source'], string> = {
  dataSheet: 'sheet',
  model: 'model',
  rule: 'practice',
  record: 'your records',
};

/** Why: strongest first, each with whose word it is. */
export function ReasonList({ reasons }: { reasons: WordedReason[] }) {
  const { painter } = usePainter();
  const { inWords } = formatFor(painter.units);
  return (
    <ul className={styles['reasons']}>
      {reasons.map((reason, i) => (
        <li key={`${reason.code}${i}`}>
          <span className={styles['source']}>{SOURCE[reason.source]}</span>{' '}
          {reasonText(reason.code, reason.params, inWords)}
        </li>
      ))}
    </ul>
  );
}
