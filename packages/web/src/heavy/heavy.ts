/**
 * Answers that take longer than a frame, from workers that all cards share. The newest question of
 * a card rules: one that waits is dropped for it.
 */
import type { HeavyName } from '@orthochrom/contract/heavy.ts';
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { FilmMap } from '@orthochrom/core/gun/filmMap.ts';
import type { MapAsk } from '../lab/mapAsk.ts';
import { WorkerPool, type Question } from './workerPool.ts';

/** One core is left to the page itself. */
const MOST_WORKERS = 2;
const pool = new WorkerPool(
  Math.max(1, Math.min(MOST_WORKERS, (navigator.hardwareConcurrency ?? 2) - 1)),
  () => new Worker(new URL('./heavyWorker.ts', import.meta.url), { type: 'module' }),
);

/** A screen that will ask soon has the worker opened while its own cards are drawn. */
export const useWarmWorker = (): void => useEffect(() => pool.warmUp(), []);

export type HeavyState<A> = { answer?: A; error?: string; isStale: boolean };

/**
 * The newest answer to a question that changes; the last one stays on screen, marked stale, until
 * the next is there.
 */
function useQuestion<A>(question: Question | undefined): HeavyState<A> {
  const key = useMemo(() => (question ? JSON.stringify(question) : undefined), [question]);
  const asker = useRef({});
  const [state, setState] = useState<{ key?: string; answer?: A; error?: string }>({});
  useEffect(() => {
    if (key === undefined) return;
    const self = asker.current;
    let isHere = true;
    pool.ask(self, JSON.parse(key) as Question, (outcome) => {
      if (!isHere) return;
      setState(
        'answer' in outcome
          ? { key, answer: outcome.answer as A }
          : { key, error: outcome.error.message },
      );
    });
    return () => {
      isHere = false;
      pool.forget(self);
    };
  }, [key]);
  return {
    ...(state.answer === undefined ? {} : { answer: state.answer }),
    ...(state.error === undefined ? {} : { error: state.error }),
    isStale: state.key !== key,
  };
}

export function useHeavy<N extends HeavyName>(
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
