/**
 * Answers that take longer than a frame, from a worker. The newest question of a slot rules: one
 * that waits is dropped for it.
 */
import type { AnswerOf, CalculationName, InputOf } from '@orthochrom/contract/registry.ts';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { FilmMap } from '@orthochrom/core/gun/filmMap.ts';
import type { MapAsk } from '../lab/mapAsk.ts';
import type { HeavyAsk, HeavyReply } from './heavyWorker.ts';

type Question =
  { kind: 'calculation'; name: string; input: unknown } | { kind: 'map'; ask: MapAsk };
type Outcome = HeavyReply['outcome'];

/** One worker that answers one question at a time, and forgets all but the newest that wait. */
class Slot {
  private readonly worker = new Worker(new URL('./heavyWorker.ts', import.meta.url), {
    type: 'module',
  });
  private busy: ((outcome: Outcome) => void) | undefined;
  private waiting: { question: Question; done: (outcome: Outcome) => void } | undefined;
  private next = 1;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<HeavyReply>) =>
      this.answered(data.outcome),
    );
    this.worker.addEventListener('error', ({ message }) => this.answered({ error: { message } }));
  }

  ask(question: Question, done: (outcome: Outcome) => void): void {
    this.waiting = { question, done };
    if (!this.busy) this.begin();
  }

  close(): void {
    this.worker.terminate();
  }

  private begin(): void {
    if (!this.waiting) return;
    const { question, done } = this.waiting;
    this.waiting = undefined;
    this.busy = done;
    this.worker.postMessage({ id: this.next++, ...question } satisfies HeavyAsk);
  }

  private answered(outcome: Outcome): void {
    const done = this.busy;
    this.busy = undefined;
    done?.(outcome);
    this.begin();
  }
}

export type HeavyState<A> = { answer?: A; error?: string; isStale: boolean };

/**
 * The newest answer to a question that changes; the last one stays on screen, marked stale, until
 * the next is there.
 */
function useQuestion<A>(question: Question | undefined): HeavyState<A> {
  const key = useMemo(() => (question ? JSON.stringify(question) : undefined), [question]);
  const slot = useRef<Slot>(undefined);
  const [state, setState] = useState<{ key?: string; answer?: A; error?: string }>({});
  useEffect(
    () => () => {
      slot.current?.close();
      slot.current = undefined;
    },
    [],
  );
  useEffect(() => {
    if (key === undefined) return;
    // A worker is only begun once there is something to ask it.
    slot.current ??= new Slot();
    slot.current.ask(JSON.parse(key) as Question, (outcome) =>
      setState(
        'answer' in outcome
          ? { key, answer: outcome.answer as A }
          : { key, error: outcome.error.message },
      ),
    );
  }, [key]);
  return {
    ...(state.answer === undefined ? {} : { answer: state.answer }),
    ...(state.error === undefined ? {} : { error: state.error }),
    isStale: state.key !== key,
  };
}

export function useHeavy<N extends CalculationName>(
  name: N,
  input: InputOf<N> | undefined,
): HeavyState<AnswerOf<N>> {
  const question = useMemo(
    () => (input ? { kind: 'calculation' as const, name, input } : undefined),
    [name, input],
  );
  return useQuestion<AnswerOf<N>>(question);
}

export function useFilmMap(ask: MapAsk | undefined): HeavyState<FilmMap> {
  const question = useMemo(() => (ask ? { kind: 'map' as const, ask } : undefined), [ask]);
  return useQuestion<FilmMap>(question);
}
