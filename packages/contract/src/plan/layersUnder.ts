/** What lies under a coat on its own panels, and the faults in it that nobody has settled yet. */
import type { StagePlan, TicketWhole } from '../shop/ticket.ts';
import type { Coat, Seen } from '../shop/coat.ts';
import type { LayerWork } from '../shop/layerWork.ts';
import { faultName, LAYER_WORDS } from '../words/faultWords.ts';
import { SEEN_NAME } from '../words/seenWords.ts';
import { coatOrder, isOn } from './coatOrder.ts';

export type Laid = Pick<TicketWhole, 'ticket' | 'coats' | 'works' | 'found'>;
export type LayerFault = { key: string; name: string };

const stageOf = (
  { ticket }: Pick<Laid, 'ticket'>,
  { stageId }: Pick<Coat, 'stageId'>,
): StagePlan | undefined => ticket.stages.find(({ id }) => id === stageId);

/** Coats that are on, under this one, on any of its panels; the one directly below first. */
export function coatsUnder(of: Laid, coat: Pick<Coat, 'stageId' | 'ordinal'>): Coat[] {
  const order = coatOrder(of.ticket.stages);
  const panels = stageOf(of, coat)?.panelIds ?? [];
  const isShared = (below: Coat) =>
    stageOf(of, below)?.panelIds.some((id) => panels.includes(id)) ?? false;
  return of.coats
    .filter((below) => order(below, coat) < 0 && isOn(below) && isShared(below))
    .sort((a, b) => order(b, a));
}

/** "sealer, coat 1": where a fault was found, as a painter says it. */
export function layerSaid(
  of: Pick<Laid, 'ticket'>,
  coat: Pick<Coat, 'stageId' | 'ordinal'>,
): string {
  const stage = stageOf(of, coat);
  return stage ? `${LAYER_WORDS[stage.kind]}, coat ${coat.ordinal}` : 'a layer below';
}

export const seenKey = (seen: Seen): string => `seen:${seen}`;
const findingKey = (id: string): string => `finding:${id}`;

/** Every fault that was seen at the look or brought to the bench for this coat, settled or not. */
export function faultsOf(
  { found }: Pick<Laid, 'found'>,
  coat: Pick<Coat, 'id' | 'seen'>,
): LayerFault[] {
  return [
    ...coat.seen
      .filter((seen) => seen !== 'nothing')
      .map((seen) => ({ key: seenKey(seen), name: SEEN_NAME[seen] })),
    ...found
      .filter(({ coatId }) => coatId === coat.id)
      .map(({ id, fault }) => ({ key: findingKey(id), name: faultName(fault) })),
  ];
}

/** "orange peel, dust": as they stand in a sentence. */
export const namesOf = (faults: readonly LayerFault[]): string =>
  faults.map(({ name }) => name.toLowerCase()).join(', ');

/** What settled a fault of this coat; the newest word counts. */
const settledBy = (
  works: readonly LayerWork[],
  coatId: string,
  key: string,
): LayerWork | undefined =>
  works.findLast((work) => work.coatId === coatId && work.settles.includes(key));

export const unsettledOf = (
  of: Pick<Laid, 'found' | 'works'>,
  coat: Pick<Coat, 'id' | 'seen'>,
): LayerFault[] => faultsOf(of, coat).filter(({ key }) => !settledBy(of.works, coat.id, key));

/** Faults that were left as they are, each with the word why. */
export const leftOf = (
  of: Pick<Laid, 'found' | 'works'>,
  coat: Pick<Coat, 'id' | 'seen'>,
): (LayerFault & { why: string })[] =>
  faultsOf(of, coat).flatMap((fault) => {
    const work = settledBy(of.works, coat.id, fault.key);
    return work?.kind === 'left' ? [{ ...fault, why: work.why }] : [];
  });

/**
 * What opens or bleeds through the very next coat; texture, dust and stripes are held against the
 * next stage.
 */
const HOLDS_NEXT_COAT: ReadonlySet<string> = new Set(
  (['run', 'pops', 'fisheyes'] as const).map(seenKey),
);

/**
 * Whether a fault of `below` stands against `coat`: another stage always, the next coat of the same
 * stage where it would come through.
 */
export const holdsAgainst = (
  below: Pick<Coat, 'stageId'>,
  coat: Pick<Coat, 'stageId'>,
  { key }: LayerFault,
): boolean =>
  below.stageId !== coat.stageId || HOLDS_NEXT_COAT.has(key) || key.startsWith('finding:');

/** Sanded since it closed, or flattened: the window of this layer is open again. */
export const isSanded = (
  { works }: Pick<Laid, 'works'>,
  coat: Pick<Coat, 'id' | 'endedAt'>,
): boolean =>
  works.some(
    ({ coatId, kind, at }) =>
      coatId === coat.id &&
      (kind === 'sandedDry' || kind === 'sandedWet' || kind === 'flattened') &&
      Date.parse(at) >= Date.parse(coat.endedAt ?? ''),
  );
