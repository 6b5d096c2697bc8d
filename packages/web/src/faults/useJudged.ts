/** What the bench makes of a finding as it is typed, and what the model says of its coat. */
import { atBench } from '@orthochrom/contract/diagnosis/bench.ts';
import {
  coatAsTaken,
  modelledRisk,
  modelledSteps,
} from '@orthochrom/contract/diagnosis/modelledSteps.ts';
import { toldOf } from '@orthochrom/contract/calculations/diagnose.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { coatCalculation } from '@orthochrom/contract/calculations/coat.ts';
import { diagnoseInputOf } from '@orthochrom/contract/shop/finding.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { useMemo } from 'react';
import type { Draft } from './draft.ts';

/** A finding judged; on a coat of a ticket with its changes sized and the risk expected of it. */
export function useJudged(draft: Draft, whole: TicketWhole | undefined, units: Units) {
  const judged = useMemo(() => {
    const bench = atBench(diagnoseInputOf(draft));
    return { ...bench, answer: toldOf(bench, units) };
  }, [draft, units]);
  const coat = whole?.coats.find(({ id: coatId }) => coatId === draft.coatId);
  const steps = judged.diagnosis.changes.flatMap(({ steps: moves }) => moves).join(' ');
  const leads = judged.answer.decided ? judged.answer.faults[0]?.id : undefined;
  const modelled = useMemo(() => {
    const input = whole && coat && leads ? coatAsTaken(whole, coat) : undefined;
    if (!input || !leads) return { sized: [] };
    const asSprayed = ask(coatCalculation, input);
    const foreseen = modelledRisk(asSprayed, leads);
    return {
      sized: steps ? modelledSteps(input, asSprayed, [...new Set(steps.split(' '))]) : [],
      ...(foreseen ? { foreseen } : {}),
    };
  }, [whole, coat, steps, leads]);
  return { ...judged, coat, modelled };
}
