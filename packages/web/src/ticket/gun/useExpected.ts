/** The coats still to come through the model, at the settings as they stand. */
import { coatInput, layersBelow } from '@orthochrom/contract/plan/coatInput.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useMemo } from 'react';
import { useNowMs } from '../../api/serverClock.ts';
import { useHeavy } from '../../heavy/heavy.ts';

export type Expected = ReturnType<typeof useExpected>;

export function useExpected(context: PlanContext, plan: CoatPlan, whole: TicketWhole) {
  const nowMs = useNowMs(600_000);
  const input = useMemo(
    () => coatInput(context, plan, layersBelow(whole, context.stage.id, nowMs)),
    [context, plan, whole, nowMs],
  );
  return { input, ...useHeavy('coat', input) };
}
