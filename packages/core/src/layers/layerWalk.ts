/** The stages of one panel, from the lowest up: what each does to what was found below it. */
import {
  isBarrier,
  stagesOf,
  touchedOf,
  type FoundLayer,
  type History,
  type PlannedStage,
  type TakenIn,
} from './foundLayer.ts';
import type { Grit } from './grit.ts';
import { gritUnder, keyFault, type KeyFault } from './keying.ts';
import { attackOn, holdOn, severer, severest, softened, type PairOutcome } from './layerPairs.ts';

export const PAIR_WHYS = [
  'unasked',
  'sound',
  'glossy',
  'scratchShows',
  'tooFineToHold',
  'attacked',
  'bleeds',
  'untested',
  'noBite',
  'comesOff',
  'patchOpen',
  'belowDoesNotHold',
] as const;
export type PairWhy = (typeof PAIR_WHYS)[number];
export type LayerPair = {
  panel: string;
  below: History | 'unasked';
  above: string;
  outcome: PairOutcome;
  why: PairWhy;
  grit?: readonly [Grit, Grit];
};

type Judged = { outcome: PairOutcome; layer: FoundLayer };
const worstOf = (layers: readonly FoundLayer[], of: (layer: FoundLayer) => PairOutcome): Judged =>
  layers
    .map((layer) => ({ layer, outcome: of(layer) }))
    // The top layer speaks where several say alike.
    .reduceRight((worst, one) => (severer(one.outcome, worst.outcome) > 0 ? one : worst));

/** A fresh coat inside its window wants no key. */
const keyWanted = ({ history, insideWindow }: FoundLayer): boolean =>
  !(history === 'fresh2k' && insideWindow === true);

const isDyed = ({ history, tests }: FoundLayer): boolean =>
  history === 'oldRedOrDye' || tests?.rub === 'tintsCloth';

function whyOf({ outcome, layer }: Judged): PairWhy {
  if (outcome === 'holds') return 'sound';
  if (outcome === 'unknown') return 'untested';
  if (outcome === 'lifts') return 'attacked';
  if (outcome === 'isolate') return isDyed(layer) ? 'bleeds' : 'attacked';
  return 'patchOpen';
}

/** Every stage of a panel over what was found on it, lowest first. */
export function walkLayers(panel: TakenIn, stages: readonly PlannedStage[]): LayerPair[] {
  const touched = touchedOf(panel);
  const own = stagesOf(panel, stages);
  const top = touched.at(-1);
  if (!top)
    return own.map(({ name }) => ({
      panel: panel.name,
      below: 'unasked',
      above: name,
      outcome: 'unknown',
      why: 'unasked',
    }));
  const pairs: LayerPair[] = [];
  let isShutOff = false;
  let isBarrierLifted = false;
  for (const stage of own) {
    const pair = pairOf(panel, stage, {
      touched,
      top,
      first: pairs[0],
      isShutOff,
      isBarrierLifted,
    });
    pairs.push(pair);
    isShutOff ||= isBarrier(stage) && severer(pair.outcome, 'noHold') < 0;
    isBarrierLifted ||= isBarrier(stage) && pair.outcome === 'lifts';
  }
  return pairs;
}

type Walked = {
  touched: FoundLayer[];
  top: FoundLayer;
  first: LayerPair | undefined;
  isShutOff: boolean;
  isBarrierLifted: boolean;
};

function pairOf(
  panel: TakenIn,
  stage: PlannedStage,
  { touched, top, first, isShutOff, isBarrierLifted }: Walked,
): LayerPair {
  const attacked = worstOf(touched, (layer) => {
    const attack = attackOn(layer, stage);
    return isShutOff ? softened(attack) : attack;
  });
  const said = ({ layer, outcome }: Judged, why: PairWhy, grit?: readonly [Grit, Grit]) => ({
    panel: panel.name,
    below: layer.history,
    above: stage.name,
    outcome,
    why,
    ...(grit ? { grit } : {}),
  });
  if (isBarrierLifted) return said({ layer: top, outcome: 'lifts' }, 'attacked');
  if (first) {
    const isLoose = first.outcome === 'noHold' && severer('noHold', attacked.outcome) > 0;
    return isLoose
      ? said({ layer: top, outcome: 'noHold' }, 'belowDoesNotHold')
      : said(attacked, whyOf(attacked));
  }
  const held = worstOf(touched, (layer) => holdOn(layer, stage));
  if (severer(held.outcome, attacked.outcome) > 0) {
    const comesOff = held.layer.tests?.tape === 'comesOff';
    if (held.outcome === 'noHold') return said(held, comesOff ? 'comesOff' : 'noBite');
    return said(held, 'patchOpen');
  }
  if (severest([attacked.outcome, held.outcome]) !== 'holds')
    return said(attacked, whyOf(attacked));
  const band = gritUnder(stage, top.history, panel.scope);
  const fault: KeyFault | undefined = keyWanted(top) ? keyFault(top.lastGrit, band) : undefined;
  return fault
    ? said({ layer: top, outcome: 'sandFirst' }, fault, band.finish)
    : said({ layer: top, outcome: 'holds' }, 'sound');
}
