/** A primer goes on shrinking for days after it may be sanded: what was blocked too soon sinks. */
import { caution } from '@orthochrom/core/outcome/verdicts.ts';
import type { Coat } from '../shop/coat.ts';
import type { SheetVersion } from '../shop/ticket.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { coatsUnder, layerSaid, type Laid } from './layersUnder.ts';
import { recipeOf } from './planContext.ts';

const MINUTE_MS = 60_000;
type On = Laid & { sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[] };

/** Minutes until a coat is done shrinking; nothing where its sheet does not say, or it is. */
export function shrinksFor(
  { ticket, sheets }: Pick<On, 'ticket' | 'sheets'>,
  { stageId, endedAt }: Pick<Coat, 'stageId' | 'endedAt'>,
  nowMs: number,
): number | undefined {
  const stage = ticket.stages.find(({ id }) => id === stageId);
  const sheet = sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  if (!stage || !sheet || !endedAt) return undefined;
  const { shrinkMinutes } = recipeOf({ sheet, stage }).times;
  const leftMinutes = (shrinkMinutes ?? 0) - (nowMs - Date.parse(endedAt)) / MINUTE_MS;
  return leftMinutes > 0 ? leftMinutes : undefined;
}

/**
 * Told before the first coat that goes over such a primer; restoration is the job that can wait.
 */
export function shrinkingBelow(
  on: On,
  coat: Pick<Coat, 'stageId' | 'ordinal'>,
  nowMs: number,
): WordedVerdict[] {
  const below = coatsUnder(on, coat).find(({ stageId }) => stageId !== coat.stageId);
  const leftMinutes = coat.ordinal === 1 && below ? shrinksFor(on, below, nowMs) : undefined;
  if (!below || leftMinutes === undefined) return [];
  const timing = on.ticket.timing ?? 'collision';
  return [
    wordVerdict(caution('still-shrinking', { where: layerSaid(on, below), leftMinutes, timing })),
  ];
}
