/** Which kind of paint a coat is of: the sheet's word, else what its stage usually is. Decided here and nowhere else. */
import { because } from '../outcome/told.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { Carrier, Stage } from '../trade/vocabulary.ts';
import type { InForce } from './inForce.ts';

export type ClassAsked = {
  stage: Stage;
  carrier: Carrier;
  /** The sheet's own word. */
  class?: MaterialClass | undefined;
  build?: boolean | undefined;
  highSolids?: boolean | undefined;
  /** The sheet's film: a filling primer is known by it. */
  wetFilmUm?: number | undefined;
};

/** A primer that is laid this thick fills. */
const BUILD_FILM_UM = 70;

export function classOf(asked: ClassAsked): InForce<MaterialClass> {
  if (asked.class)
    return { value: asked.class, source: 'sheet', reason: because('class-from-sheet', 'dataSheet', nameOf(asked.class)) };
  const value = usualClass(asked);
  // Waterborne primer, clear and single stage have no class of their own yet: the nearest stands in, and that is said.
  return MATERIALS[value].carrier === asked.carrier && MATERIALS[value].stage === placeOf(asked.stage)
    ? { value, source: 'practice', reason: because('class-by-stage', 'rule', nameOf(value)) }
    : { value, source: 'model', reason: because('class-stands-in', 'model', nameOf(value)) };
}

const nameOf = (value: MaterialClass) => ({ materialName: MATERIALS[value].name });

/** Ground and effect coats are of their base's kind. */
const placeOf = (stage: Stage): Stage => (stage === 'ground' || stage === 'effect' ? 'base' : stage);

function usualClass({ stage, carrier, build, highSolids, wetFilmUm = 0 }: ClassAsked): MaterialClass {
  const isWaterborne = carrier === 'waterborne';
  if (stage === 'clear') return highSolids ? 'clearHighSolids' : 'clearMediumSolids';
  if (stage === 'singleStage') return 'singleStage';
  if (stage === 'sealer') return isWaterborne ? 'waterborneSealer' : 'solventSealer';
  if (stage !== 'primer') return isWaterborne ? 'waterborneBase' : 'solventBase';
  if (isWaterborne) return 'waterborneSealer';
  return (build ?? wetFilmUm >= BUILD_FILM_UM) ? 'buildPrimer' : 'epoxyPrimer';
}
