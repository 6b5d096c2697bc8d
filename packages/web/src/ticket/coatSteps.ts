/** Where a coat stands in the ruled order: gate, air, mix, gun, spray, flash, look, clean. Pure. */
import type { Coat, GateRecord, Mix, TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';

export const STEPS = ['gate', 'air', 'mix', 'gun', 'spray', 'flash', 'look', 'clean'] as const;
export type Step = (typeof STEPS)[number];

const dayOf = (at: number, timeZone: string): string => new Date(at).toLocaleDateString('en-CA', { timeZone });

/** The newest answer for this room and painter (and this stage, where one is named), if it was given today. */
export function gateToday(
  gates: GateRecord[],
  of: { stageId?: string; roomId: string; painterId: string; nowMs: number; timeZone: string },
): GateRecord | undefined {
  const newest = gates
    .filter(
      (gate) =>
        (of.stageId === undefined || gate.stageId === of.stageId) && gate.roomId === of.roomId && gate.painterId === of.painterId,
    )
    .at(-1);
  return newest && dayOf(Date.parse(newest.answeredAt), of.timeZone) === dayOf(of.nowMs, of.timeZone) ? newest : undefined;
}

/** The newest mix of the stage that has not outlived its pot life. */
export const liveMix = (mixes: Mix[], stageId: string, nowMs: number): Mix | undefined =>
  mixes.filter((mix) => mix.stageId === stageId && (!mix.potLifeEndsAt || Date.parse(mix.potLifeEndsAt) > nowMs)).at(-1);

export const flashTimer = (timers: Timer[], coatId: string): Timer | undefined =>
  timers.find((timer) => timer.coatId === coatId && timer.kind === 'flash');

const isOn = ({ state }: Coat): boolean => state === 'flashed' || state === 'looked';

/** The coat to work on: the first that has not been looked at. */
export const nextCoat = (coats: Coat[]): Coat | undefined => coats.find(({ state }) => state !== 'looked');

/** The coat before this one on the ticket, if it is not touch-dry yet. */
export function blockingCoat(coats: Coat[], coat: Coat): Coat | undefined {
  return coats
    .slice(
      0,
      coats.findIndex(({ id }) => id === coat.id),
    )
    .find((before) => !isOn(before));
}

/** The step that is next for this coat. */
export function currentStep(
  whole: TicketWhole,
  coat: Coat,
  of: { gatePassed: boolean; airSeen: boolean; hasMix: boolean },
): Step {
  if (coat.state === 'looked') return isLastOfStage(whole, coat) ? 'clean' : 'look';
  if (coat.state === 'flashed') return 'look';
  if (coat.state === 'sprayed') return 'flash';
  if (!of.gatePassed) return 'gate';
  if (coat.state === 'spraying') return 'spray';
  if (coat.state === 'taken') return of.hasMix ? 'gun' : 'mix';
  return of.airSeen ? 'mix' : 'air';
}

export const isLastOfStage = ({ coats }: Pick<TicketWhole, 'coats'>, coat: Coat): boolean =>
  !coats.some(({ stageId, ordinal }) => stageId === coat.stageId && ordinal > coat.ordinal);
