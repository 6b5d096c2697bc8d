/**
 * The test panel before the car: which coats ask for one, and for which gun and tip it holds. The
 * server holds the trigger by it, the card asks by it.
 */
import { isEffect } from '@orthochrom/core/trade/vocabulary.ts';
import { caution, stop } from '@orthochrom/core/outcome/verdicts.ts';
import type { Coat } from '../shop/coat.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import type { PlanContext } from './planContext.ts';

export const TEST_PANEL_BECAUSE = {
  singleStage: 'Single stage is colour and gloss in one: nothing over it hides a wrong start.',
  clear: 'The clear is what is seen, and a run or peel in it is what is cut or done again.',
  effect: 'Silver, metallic and pearl show every wrong turn of a knob as clouds and stripes.',
  newProduct: 'Nothing of this product was sprayed here before.',
} as const;
type Because = keyof typeof TEST_PANEL_BECAUSE;

type OnTicket = { coats: readonly Coat[]; newProducts: readonly string[] };
type Judged = Pick<PlanContext, 'stage' | 'sheet'>;

/** Why this work wants a test panel; undefined where none is asked for. */
export function testPanelBecause(
  { stage, sheet }: Judged,
  { newProducts }: Pick<OnTicket, 'newProducts'>,
): Because | undefined {
  if (stage.kind === 'singleStage' || stage.kind === 'clear') return stage.kind;
  if (isEffect(stage.finish)) return 'effect';
  return newProducts.includes(sheet.id) ? 'newProduct' : undefined;
}

/** With the same gun and the same tip: another one is another start. */
const isSameGun = (a: Pick<Coat, 'gunId' | 'nozzleMm'>, b: Pick<Coat, 'gunId' | 'nozzleMm'>) =>
  a.gunId === b.gunId && a.nozzleMm === b.nozzleMm;

/** What was kept about a test panel that holds for this coat: its own, or an earlier coat's. */
export const testPanelOf = (
  { coats }: Pick<OnTicket, 'coats'>,
  coat: Pick<Coat, 'stageId' | 'gunId' | 'nozzleMm'>,
): Coat['testPanel'] =>
  coats.findLast(
    (other) =>
      other.stageId === coat.stageId && other.testPanel && isSameGun(other.testPanel, coat),
  )?.testPanel;

/** A coat of this stage already lies as this gun lays it. */
const isLaid = ({ coats }: Pick<OnTicket, 'coats'>, coat: Coat): boolean =>
  coats.some(
    (other) =>
      other.stageId === coat.stageId && other.endedAt !== undefined && isSameGun(other, coat),
  );

/** Whether the trigger waits for a test panel. */
export const wantsTestPanel = (judged: Judged, whole: OnTicket, coat: Coat): boolean =>
  testPanelBecause(judged, whole) !== undefined &&
  testPanelOf(whole, coat) === undefined &&
  !isLaid(whole, coat);

/** What it says at the trigger: a stop until it was sprayed, a caution where it was left out. */
export function testPanelStanding(judged: Judged, whole: OnTicket, coat: Coat): WordedVerdict[] {
  const because = testPanelBecause(judged, whole);
  if (!because) return [];
  if (wantsTestPanel(judged, whole, coat))
    return [wordVerdict(stop('test-panel-wanted', { because: TEST_PANEL_BECAUSE[because] }))];
  const why = testPanelOf(whole, coat)?.skippedBecause;
  return why === undefined ? [] : [wordVerdict(caution('test-panel-left-out', { why }))];
}
