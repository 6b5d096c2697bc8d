/** Where a coat stands in the ruled order, from making ready to cleaning the gun. Pure. */
import { takenWishes } from '@orthochrom/contract/plan/takenPlan.ts';
import type { Mix, TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat, PlanWishes } from '@orthochrom/contract/shop/coat.ts';

export const STEPS = [
  'prep',
  'gate',
  'air',
  'mix',
  'gun',
  'spray',
  'flash',
  'look',
  'clean',
] as const;
export type Step = (typeof STEPS)[number];

/** What a step that is looked at before its turn waits for. */
export type Awaited = 'gate' | 'pour' | 'coat' | 'flash';

/** @returns undefined where the step may be gone through, or was */
export function awaitedBy(
  step: Step,
  { state }: Pick<Coat, 'state'>,
  gatePassed: boolean,
): Awaited | undefined {
  const isOn = !['planned', 'taken', 'spraying'].includes(state);
  if (step === 'mix' || step === 'gun') return gatePassed ? undefined : 'gate';
  if (step === 'spray' && state !== 'spraying')
    return !gatePassed ? 'gate' : state === 'planned' ? 'pour' : undefined;
  if (step === 'flash') return isOn ? undefined : 'coat';
  if (step === 'look') return state === 'flashed' || state === 'looked' ? undefined : 'flash';
  return undefined;
}

/** The newest mix of the stage, past its pot life or not. */
export const newestMix = (mixes: Mix[], stageId: string): Mix | undefined =>
  mixes.filter((mix) => mix.stageId === stageId).at(-1);

/** The newest mix of the stage that has not outlived its pot life. */
export const liveMix = (mixes: Mix[], stageId: string, nowMs: number): Mix | undefined =>
  mixes
    .filter(
      (mix) =>
        mix.stageId === stageId && (!mix.potLifeEndsAt || Date.parse(mix.potLifeEndsAt) > nowMs),
    )
    .at(-1);

/**
 * What is in the cup was picked for a coat of this stage before: the next coat out of it starts
 * from that.
 */
export function wishesOfCup(
  { coats }: Pick<TicketWhole, 'coats'>,
  mix: Mix | undefined,
): PlanWishes {
  const mixedFor = coats.findLast(
    ({ stageId, planned }) => stageId === mix?.stageId && planned !== undefined,
  );
  if (!mixedFor) return {};
  const { wantedParts, hardenerId } = takenWishes(mixedFor);
  return { ...(wantedParts ? { wantedParts } : {}), ...(hardenerId ? { hardenerId } : {}) };
}

export const flashTimer = (timers: Timer[], coatId: string): Timer | undefined =>
  timers.find((timer) => timer.coatId === coatId && timer.kind === 'flash');

/** The step that is next for this coat. */
export function currentStep(
  whole: TicketWhole,
  coat: Coat,
  of: { isMadeReady: boolean; gatePassed: boolean; airSeen: boolean; hasMix: boolean },
): Step {
  if (coat.state === 'looked') return isLastOfStage(whole, coat) ? 'clean' : 'look';
  if (coat.state === 'flashed') return 'look';
  if (coat.state === 'sprayed') return 'flash';
  if (!of.isMadeReady && coat.state !== 'spraying') return 'prep';
  if (!of.gatePassed) return 'gate';
  if (coat.state === 'spraying') return 'spray';
  if (coat.state === 'taken') return of.hasMix ? 'gun' : 'mix';
  return of.airSeen ? 'mix' : 'air';
}

/** Nothing goes over it any more. */
export const isLastOfTicket = (
  { coats, ticket }: Pick<TicketWhole, 'coats' | 'ticket'>,
  coat: Coat,
): boolean => ticket.stages.at(-1)?.id === coat.stageId && isLastOfStage({ coats }, coat);

export const isLastOfStage = ({ coats }: Pick<TicketWhole, 'coats'>, coat: Coat): boolean =>
  !coats.some(({ stageId, ordinal }) => stageId === coat.stageId && ordinal > coat.ordinal);
