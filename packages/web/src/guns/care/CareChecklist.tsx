/**
 * A round of care, item by item: done, or skipped with a word why. The drawing follows the item
 * that is next.
 */
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button, Checkbox, Textarea, TextInput } from '@mantine/core';
import styles from './CareChecklist.module.css';
import type { CareKind } from '@orthochrom/core/gun/care.ts';
import { useState, type ReactNode } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';
import { usePainter } from '../../frame/painter.ts';
import { itemsOf } from './careWords.ts';
import { GunDrawing } from './GunDrawing.tsx';

type Answer = { answer: 'done' | 'skipped'; reason?: string };
type CareChecklistProps = {
  gunId: string;
  kind: CareKind;
  of?: { coatId: string; ticketId: string };
  finish: string;
  onKept: () => Promise<void> | void;
  /** Where the parts stand, if not below each other. */
  frame?: (parts: Record<'drawing' | 'list' | 'action' | 'other', ReactNode>) => ReactNode;
};

export function CareChecklist({ gunId, kind, of, finish, onKept, frame }: CareChecklistProps) {
  const { painter } = usePainter();
  const [busy, write] = useWrite();
  const [answers, setAnswers] = useState<Record<string, Answer>>({});
  const [note, setNote] = useState('');
  const items = itemsOf(kind);
  const next = items.find(({ key }) => !answers[key]);
  const isOpen = items.some(
    ({ key }) =>
      !answers[key] || (answers[key].answer === 'skipped' && !answers[key].reason?.trim()),
  );
  const set = (key: string, answer: Answer | undefined) =>
    setAnswers((now) => {
      const { [key]: _, ...rest } = now;
      return answer ? { ...rest, [key]: answer } : rest;
    });
  const save = () =>
    write(async () => {
      await postJson(ADDRESS.care, {
        id: newId(),
        gunId,
        painterId: painter.id,
        kind,
        items: items.map(({ key }) => ({ key, ...answers[key] })),
        ...of,
        note,
      });
      await refresh('care');
      await refresh('guns');
      await onKept();
    });
  const drawing = <GunDrawing lit={next?.parts ?? []} />;
  const list = (
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
          autosize
          minRows={2}
          onChange={(event) => setNote(event.currentTarget.value)}
        />
      )}
    </>
  );
  const action = (
    <Button size="lg" loading={busy} disabled={isOpen} onClick={() => void save()}>
      {finish}
    </Button>
  );
  const other = (
    <Button
      size="lg"
      variant="default"
      onClick={() =>
        setAnswers(
          Object.fromEntries(items.map(({ key }) => [key, answers[key] ?? { answer: 'done' }])),
        )
      }
    >
      All done as listed
    </Button>
  );
  if (frame) return frame({ drawing, list, action, other });
  return (
    <div className="stack">
      {drawing}
      {list}
      <div className="row">
        {action}
        {other}
      </div>
    </div>
  );
}
