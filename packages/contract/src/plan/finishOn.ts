/** From what was seen on the top coat to what is done about it, step by step, on a ticket. */
import { ask } from '../calculations/ask.ts';
import { finishCalculation } from '../calculations/finish.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Coat } from '../shop/coat.ts';
import type { FinishStepDone, FinishTold } from '../shop/finishStep.ts';
import type { TicketWhole } from '../shop/ticket.ts';
import { afterCoat } from './after.ts';
import { planCoat } from './planCoat.ts';
import type { PlanContext } from './planContext.ts';

const MINUTE_MS = 60_000;
export type FinishOn = AnswerOf<'finish'>;
type Finished = Pick<TicketWhole, 'works' | 'heatReads' | 'finishSteps'>;

/** Undefined on a coat that is never cut: what is under a clear is not polished. */
export function finishInput(
  context: PlanContext,
  whole: Finished,
  coat: Pick<Coat, 'id' | 'endedAt'>,
  told: FinishTold,
  nowMs: number,
): InputOf<'finish'> | undefined {
  const { stage, ticket, coatPlan } = context;
  if ((stage.kind !== 'clear' && stage.kind !== 'singleStage') || !coat.endedAt) return undefined;
  const polish = afterCoat(context, planCoat(context), coat, whole)?.polishMinute;
  if (!polish) return undefined;
  const { seen, grade, measuredUm, nail, likeNeighbour, bubbles } = told;
  const targets = ticket.panels
    .filter(({ id }) => stage.panelIds.includes(id))
    .map(({ finishTarget = 'factory' }) => finishTarget);
  const target = targets.includes('show') ? 'show' : (targets[0] ?? 'factory');
  const done = whole.finishSteps
    .filter((step) => step.coatId === coat.id && step.seen === seen)
    .map(({ step, leftUm }) => ({ step, ...(leftUm === undefined ? {} : { leftUm }) }));
  return {
    seen,
    ...(grade ? { grade } : {}),
    stage: stage.kind,
    target,
    nail,
    ...(likeNeighbour ? { likeNeighbour } : {}),
    ...(bubbles ? { bubbles } : {}),
    ...filmOf(measuredUm, coatPlan?.dryUm),
    minutesSince: Math.max(0, (nowMs - Date.parse(coat.endedAt)) / MINUTE_MS),
    polishMinute: polish.value,
    ...(done.length > 0 ? { done } : {}),
  };
}

/** What the gauge says goes before what the coats should have given. */
const filmOf = (measuredUm: number | undefined, estimatedUm: number | undefined) =>
  measuredUm !== undefined
    ? { measuredUm }
    : estimatedUm !== undefined && estimatedUm > 0
      ? { estimatedUm }
      : {};

/** The ladder as it stands now. */
export function finishOn(
  context: PlanContext,
  whole: Finished,
  coat: Pick<Coat, 'id' | 'endedAt'>,
  told: FinishTold,
  nowMs: number,
): FinishOn | undefined {
  const input = finishInput(context, whole, coat, told, nowMs);
  return input && ask(finishCalculation, input);
}

/** Whether a step is the very next one of the ladder. */
export const isNextStep = (answer: FinishOn | undefined, { step }: Pick<FinishStepDone, 'step'>) =>
  answer?.steps[0]?.step === step;
