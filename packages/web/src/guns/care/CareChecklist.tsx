/**
 * A round of care, item by item: done, or skipped with a word why. The drawing follows the item
 * that is next.
 */
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button, Checkbox, Textarea, TextInput } from '@mantine/core';
import type { CareKind } from '@orthochrom/core/gun/care.ts';
import { useState } from 'react';
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
};

export function CareChecklist({ gunId, kind, of, finish, onKept }: CareChecklistProps) {
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
  return (
    <div className="stack">
      <GunDrawing lit={next?.parts ?? []} />
      <ol className="stack" style={{ margin: 0, padding: 0, listStyle: 'none', gap: '0.15rem' }}>
        {items.map(({ key, text, why }) => {
          const answer = answers[key];
          return (
            <li key={key} style={{ padding: '0.55rem 0', borderBottom: '1px solid var(--rule)' }}>
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
                  description={why}
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
      <div className="row">
        <Button size="lg" loading={busy} disabled={isOpen} onClick={() => void save()}>
          {finish}
        </Button>
        <Button
          variant="default"
          onClick={() =>
            setAnswers(
              Object.fromEntries(items.map(({ key }) => [key, answers[key] ?? { answer: 'done' }])),
            )
          }
        >
          All done as listed
        </Button>
      </div>
    </div>
  );
}
