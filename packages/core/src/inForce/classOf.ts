/**
 * Which kind of paint a coat is of: the sheet's word, else what its stage usually is. Decided here
 * and nowhere else.
 */
import { because } from '../outcome/verdicts.ts';
import { MATERIAL_CLASSES, MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { MaterialFacts } from '../trade/materialFacts.ts';
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

/**
 * Which class of paint it is taken as: the sheet's word, else by its stage; one that stands in for
 * another says so.
 */
export function classOf(asked: ClassAsked): InForce<MaterialClass> {
  if (asked.class)
    return {
      value: asked.class,
      source: 'sheet',
      reason: because('class-from-sheet', 'dataSheet', nameOf(asked.class)),
    };
  const { stage, carrier } = { ...asked, stage: placeOf(asked.stage) };
  const own = classesWith((facts) => facts.stage === stage && facts.carrier === carrier);
  if (own.length > 0) {
    const value = likest(own, asked);
    return { value, source: 'practice', reason: because('class-by-stage', 'rule', nameOf(value)) };
  }
  // The stage has no class of this carrier yet: the nearest stands in, and that is said.
  const named = classesWith(
    (facts) => facts.carrier === carrier && facts.standsInFor?.includes(stage),
  );
  const value = likest(
    named.length > 0 ? named : classesWith((facts) => facts.stage === stage),
    asked,
  );
  return { value, source: 'model', reason: because('class-stands-in', 'model', nameOf(value)) };
}

const nameOf = (value: MaterialClass) => ({ materialName: value });
const classesWith = (has: (facts: MaterialFacts) => boolean | undefined) =>
  MATERIAL_CLASSES.filter((materialClass) => has(MATERIALS[materialClass]));

/** Ground and effect coats are of their base's kind. */
const placeOf = (stage: Stage): Stage =>
  stage === 'ground' || stage === 'effect' ? 'base' : stage;

/** Of several, the one that fills or is full of solids where this one is. */
function likest(
  classes: MaterialClass[],
  { build, highSolids = false, wetFilmUm = 0 }: ClassAsked,
): MaterialClass {
  const fills = build ?? wetFilmUm >= BUILD_FILM_UM;
  const isLike = (facts: MaterialFacts) =>
    facts.isHighSolids === highSolids && facts.isBuild === fills;
  return (
    classes.find((materialClass) => isLike(MATERIALS[materialClass])) ??
    classes.find((materialClass) => MATERIALS[materialClass].isHighSolids === highSolids) ??
    classes[0]!
  );
}
