/** The whole of a round: every item, what was answered to it, and what is next. */
import { Button, Checkbox, Textarea, TextInput } from '@mantine/core';
import styles from './CareList.module.css';
import type { CareRound } from './useCareRound.ts';

export function CareList({ round }: { round: CareRound }) {
  const { kind, items, answers, next, note, set, setNote } = round;
  return (
    <>
      <ol className={styles['list']}>
        {items.map(({ key, text, why }) => {
          const answer = answers[key];
          return (
            <li key={key}>
              <div
                className="row"
                style={{
                  justifyContent: 'space-between',
                  flexWrap: 'nowrap',
                  alignItems: 'flex-start',
                }}
              >
                <Checkbox
                  size="lg"
                  checked={answer?.answer === 'done'}
                  onChange={(event) =>
                    set(key, event.currentTarget.checked ? { answer: 'done' } : undefined)
                  }
                  label={text}
                  description={key === next?.key ? why : undefined}
                  styles={{
                    label: { fontWeight: key === next?.key ? 700 : 400, fontSize: '1.05rem' },
                  }}
                />
                <Button
                  size="compact-md"
                  variant={answer?.answer === 'skipped' ? 'light' : 'subtle'}
                  aria-pressed={answer?.answer === 'skipped'}
                  aria-label={`Skip: ${text}`}
                  onClick={() =>
                    set(key, answer?.answer === 'skipped' ? undefined : { answer: 'skipped' })
                  }
                >
                  Skip
                </Button>
              </div>
              {answer?.answer === 'skipped' && (
                <TextInput
                  label="Skipped, because"
                  maxLength={200}
                  value={answer.reason ?? ''}
                  onChange={(event) =>
                    set(key, { answer: 'skipped', reason: event.currentTarget.value })
                  }
                />
              )}
            </li>
          );
        })}
      </ol>
      {(kind === 'serviced' || kind === 'firstUse') && (
        <Textarea
          label="Parts changed, and what was seen"
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.currentTarget.value)}
        />
      )}
    </>
  );
}
