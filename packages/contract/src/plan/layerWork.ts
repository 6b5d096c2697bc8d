/**
 * May this be done to the layer now: sanded, heated, polished? The same judge for the server and
 * the card.
 */
import { stop } from '@orthochrom/core/outcome/verdicts.ts';
import type { NextStep } from '@orthochrom/core/trade/vocabulary.ts';
import { ask } from '../calculations/ask.ts';
import { recoatCalculation } from '../calculations/recoat.ts';
import type { WorkKind } from '../shop/layerWork.ts';
import type { Coat } from '../shop/coat.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { askGate, type GateAnswersGiven } from './gateProduct.ts';
import { coatsUnder, layerSaid, namesOf, unsettledOf, type Laid } from './layersUnder.ts';
import { warmAirOn } from './heatOn.ts';
import type { PlanContext } from './planContext.ts';
import { recoatInput } from './recoatInputs.ts';

/** What the layer must bear for each kind of work; leaving a fault as it is asks nothing of it. */
const BEFORE: Partial<Record<WorkKind, NextStep>> = {
  sandedDry: 'sandDry',
  sandedWet: 'sandWet',
  flattened: 'sandDry',
  heated: 'bake',
  polished: 'polish',
};

const MINUTE_MS = 60_000;

/** Stops and cautions against this work on this coat at this moment. */
export function standingForWork(
  kind: WorkKind,
  whole: Laid,
  coat: Pick<Coat, 'id' | 'stageId' | 'ordinal' | 'endedAt' | 'seen'>,
  context: PlanContext,
  nowMs: number,
  answers: GateAnswersGiven = {},
): WordedVerdict[] {
  const minutesSince =
    coat.endedAt === undefined ? 0 : Math.max(0, (nowMs - Date.parse(coat.endedAt)) / MINUTE_MS);
  return [
    ...timeStops(kind, context, minutesSince),
    ...(kind === 'heated' ? heatGate(context, minutesSince, answers).verdicts : []),
    ...(kind === 'warmed' ? warmAirOn(context, { minutesSince }).verdicts : []),
    ...(kind === 'polished' ? polishStops(whole, coat) : []),
  ];
}

function timeStops(kind: WorkKind, context: PlanContext, minutesSince: number): WordedVerdict[] {
  const next = BEFORE[kind];
  if (!next) return [];
  const { verdicts } = ask(recoatCalculation, { ...recoatInput(context, { minutesSince }), next });
  return verdicts.filter(({ level }) => level === 'stop');
}

/** Heat waits for the vapour to be out, with the extraction running. */
export const heatGate = (
  { room, sheet, stage }: PlanContext,
  minutesSinceSpray: number,
  answers: GateAnswersGiven,
) =>
  askGate({ room, sheet, recipeName: stage.recipeName, step: 'bake', minutesSinceSpray }, answers);

/**
 * Polishing levels what lies in this coat; a crater stays, and nothing under it is reached.
 */
function polishStops(
  whole: Laid,
  coat: Pick<Coat, 'id' | 'stageId' | 'ordinal' | 'seen'>,
): WordedVerdict[] {
  const own = {
    layer: coat,
    faults: unsettledOf(whole, coat).filter(({ key }) => MUST_COME_OFF.has(key)),
  };
  const below = coatsUnder(whole, coat).map((under) => ({
    layer: under,
    faults: unsettledOf(whole, under),
  }));
  return [own, ...below]
    .filter(({ faults }) => faults.length > 0)
    .map(({ layer, faults }) =>
      wordVerdict(
        stop('fault-unsettled', { what: namesOf(faults), where: layerSaid(whole, layer) }),
      ),
    );
}
const MUST_COME_OFF: ReadonlySet<string> = new Set(['seen:pops', 'seen:fisheyes']);
