/**
 * The judge of every tap, asked in the browser with the same words as on the server; the clock
 * ticks, so it is asked again.
 */
import { standingFor, stopsIn, type Tap } from '@orthochrom/contract/plan/standing.ts';
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import { useMemo } from 'react';
import { useNowMs } from '../api/serverClock.ts';
import type { CardProps } from './cardProps.ts';

const EVERY_MS = 15_000;

export type StandingNow = { verdicts: WordedVerdict[]; isStopped: boolean };

export function useStanding(
  tap: Tap,
  { whole, coat, context, plan }: Pick<CardProps, 'whole' | 'coat' | 'context' | 'plan'>,
): StandingNow {
  const nowMs = useNowMs(EVERY_MS);
  return useMemo(() => {
    const verdicts = standingFor(tap, whole, coat, context, nowMs, plan);
    return { verdicts, isStopped: stopsIn(verdicts).length > 0 };
  }, [tap, whole, coat, context, plan, nowMs]);
}
