/** A round of care as it is being answered: item by item, done, or skipped with a word why. */
import type { CareKind } from '@orthochrom/core/gun/care.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { ADDRESS, refresh } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { usePainter } from '../../frame/painter.ts';
import { isOpenIn, itemsOf, type CareAnswer, type CareAnswers } from './careWords.ts';

export type CareRoundOf = {
  gunId: string;
  kind: CareKind;
  of?: { coatId: string; ticketId: string };
  onKept: () => Promise<void> | void;
};

export function useCareRound({ gunId, kind, of, onKept }: CareRoundOf) {
  const { painter } = usePainter();
  const [busy, write] = useWrite();
  const [answers, setAnswers] = useState<CareAnswers>({});
  const [note, setNote] = useState('');
  const items = itemsOf(kind);
  const set = (key: string, answer: CareAnswer | undefined) =>
    setAnswers((now) => {
      const { [key]: _, ...rest } = now;
      return answer ? { ...rest, [key]: answer } : rest;
    });
  const doAll = () =>
    setAnswers(
      Object.fromEntries(items.map(({ key }) => [key, answers[key] ?? { answer: 'done' }])),
    );
  const save = () =>
    void write(async () => {
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
  return {
    kind,
    items,
    answers,
    note,
    busy,
    /** The item that is to be answered now. */
    next: items.find(({ key }) => !answers[key]),
    isOpen: items.some(({ key }) => isOpenIn(answers, key)),
    set,
    setNote,
    doAll,
    save,
  };
}
export type CareRound = ReturnType<typeof useCareRound>;
