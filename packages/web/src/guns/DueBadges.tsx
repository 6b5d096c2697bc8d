import type { GunCareNow } from '@orthochrom/contract/shop/care.ts';
import { LevelBadge } from '../verdict/Verdicts.tsx';
import { timeText } from '../words/timeText.ts';

/** What a gun waits for; nothing where it waits for nothing. */
export function DueBadges({ care, nowMs }: { care: GunCareNow; nowMs: number }) {
  const cleanByMs = care.dirty?.cleanBy ? Date.parse(care.dirty.cleanBy) : undefined;
  const isSet = cleanByMs !== undefined && cleanByMs < nowMs;
  const due = care.due.filter(({ isDue }) => isDue);
  return (
    <div className="row" style={{ gap: '0.4rem' }}>
      {care.dirty && (
        <LevelBadge
          level={isSet ? 'stop' : 'caution'}
          word={
            cleanByMs === undefined
              ? 'Clean it now'
              : isSet
                ? 'Not cleaned, pot life over'
                : `Clean before ${timeText(cleanByMs)}`
          }
        />
      )}
      {due.map(({ what }) => (
        <LevelBadge
          key={what}
          level="caution"
          word={what === 'pattern' ? 'Pattern test due' : 'Service due'}
        />
      ))}
      {!care.dirty && due.length === 0 && <LevelBadge level="go" word="Clean, nothing due" />}
    </div>
  );
}
