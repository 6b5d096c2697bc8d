/** Runs what is heavy off the page: the calculations that are, and the film map for the lab. */
import '../noStrings.ts';
import { heavyOutcome, type HeavyName } from '@orthochrom/contract/heavy.ts';
import { filmMapOf } from '@orthochrom/core/gun/filmMap.ts';
import { mapInputOf, type MapAsk } from '../lab/mapAsk.ts';

export type HeavyAsk = { id: number } & (
  | { kind: 'calculation'; name: HeavyName; input: unknown }
  | { kind: 'map'; ask: MapAsk }
);
export type HeavyReply = {
  id: number;
  outcome: { answer: unknown } | { error: { message: string } };
};

self.addEventListener('message', ({ data }: MessageEvent<HeavyAsk>) => {
  const reply = (outcome: HeavyReply['outcome']) =>
    self.postMessage({ id: data.id, outcome } satisfies HeavyReply);
  try {
    if (data.kind === 'map') reply({ answer: filmMapOf(mapInputOf(data.ask)) });
    else reply(heavyOutcome(data.name, data.input) as HeavyReply['outcome']);
  } catch (fault) {
    reply({
      error: { message: fault instanceof Error ? fault.message : 'The calculation failed.' },
    });
  }
});
