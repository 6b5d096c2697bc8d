/**
 * The paint as it is mixed: from its class, and whatever is known better, to what gun and film work
 * with. The one maker of paint.
 */
import { HARDENER_SPEED } from '../inForce/cure.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import { mixtureOf, type Mixture } from '../material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../evaporation/solvents.ts';
import { viscosityPaS } from '../material/rheology.ts';
import { clamp } from '../numerics/rounding.ts';
import { DESIGN_OF_SPEED_C, designTemperatureC, type Grade } from '../reducer/grade.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { MaterialFacts } from '../trade/materialFacts.ts';
import type { Speed } from '../trade/vocabulary.ts';
import { sharesOf, type Recipe } from './recipe.ts';

/** What is known of the mix beside its class; each beats the class. */
export type MixedFrom = {
  recipe?: Recipe | undefined;
  grade?: Grade | undefined;
  hardenerSpeed?: Speed | undefined;
  viscosityMm2PerS?: number | undefined;
  densityGPerMl?: number | undefined;
  volumeSolidsPercent?: number | undefined;
};
export type Paint = {
  materialClass: MaterialClass;
  mixture: Mixture;
  densityKgPerM3: number;
  /** At the shear of the tip, at the paint's temperature. */
  viscosityPaS: number;
  /** This can over its class. */
  viscosityFactor: number;
  gradeSlowFraction: number;
  hardenerSpeed: number;
  isTwoPack: boolean;
  /**
   * Solids of the sheet over those of its class as mixed: they move the dry film and nothing else.
   */
  solidsFactor: number;
  /** Reducer in the mix over the class's standard; 1 where its class has none. */
  reducerShare: number;
};

const LIKELY_FACTOR: [number, number] = [0.05, 20];

/** @param materialC temperature of the paint in the cup, °C */
export function paintOf(material: { class: MaterialClass } & MixedFrom, materialC: number): Paint {
  const facts = MATERIALS[material.class];
  const parts = material.recipe ? partsIn(material.recipe, facts) : facts.mix;
  const [, hardener, thinner] = parts;
  const slowFraction = material.grade
    ? slowFractionForDesign(designTemperatureC(material.grade))
    : MEDIUM_SLOW_FRACTION;
  const hardenerSlowFraction =
    material.hardenerSpeed === undefined
      ? undefined
      : slowFractionForDesign(DESIGN_OF_SPEED_C[material.hardenerSpeed]);
  const byClass = mixtureOf(facts, parts, {
    slowFraction,
    ...(hardenerSlowFraction === undefined ? {} : { hardenerSlowFraction }),
  });
  const mixture = ofDensity(byClass, material.densityGPerMl);
  const modelPaS = viscosityPaS(facts, mixture.solids, materialC);
  const measuredPaS =
    material.viscosityMm2PerS === undefined
      ? modelPaS
      : material.viscosityMm2PerS * 1e-6 * mixture.densityKgPerM3;
  const viscosityFactor = clamp(measuredPaS / modelPaS, ...LIKELY_FACTOR);
  return {
    materialClass: material.class,
    mixture,
    densityKgPerM3: mixture.densityKgPerM3,
    viscosityPaS: modelPaS * viscosityFactor * facts.shearAtGun,
    viscosityFactor,
    // Where nothing is reduced, the hardener's own grade tells how quickly the film closes.
    gradeSlowFraction: thinner > 0 ? slowFraction : (hardenerSlowFraction ?? slowFraction),
    hardenerSpeed: HARDENER_SPEED[material.hardenerSpeed ?? 'medium'],
    isTwoPack: hardener > 0,
    solidsFactor:
      material.volumeSolidsPercent === undefined
        ? 1
        : solidsOf(material.volumeSolidsPercent) / mixture.solids,
    reducerShare: reducerShareOf(parts, facts.mix),
  };
}

/**
 * Parts by volume: paint, hardener, and all that thins. What has no role is paint first, and thins
 * after.
 */
function partsIn(recipe: Recipe, { waterFraction }: MaterialFacts): [number, number, number] {
  const parts: [number, number, number] = [0, 0, 0];
  sharesOf(recipe).forEach(({ role, share }, i) => {
    const place =
      role === 'paint' || (role === undefined && i === 0)
        ? 0
        : role === 'hardener' && waterFraction === undefined
          ? 1
          : 2;
    parts[place] += share;
  });
  return parts;
}

const solidsOf = (percent: number): number => clamp(percent / 100, 0.01, 0.98);

/**
 * A density that was given beats the class's. What solids a sheet prints does not: its maker thins
 * to a viscosity.
 */
function ofDensity(mixture: Mixture, densityGPerMl: number | undefined): Mixture {
  if (densityGPerMl === undefined) return mixture;
  const densityKgPerM3 = densityGPerMl * 1000;
  const volatileMass = mixture.volatileMassFraction * mixture.densityKgPerM3;
  return {
    ...mixture,
    densityKgPerM3,
    volatileMassFraction: Math.min(0.99, volatileMass / densityKgPerM3),
  };
}

function reducerShareOf(parts: readonly number[], standard: readonly number[]): number {
  const of = ([paint = 1, hardener = 0, thinner = 0]: readonly number[]) =>
    thinner / Math.max(1e-9, paint + hardener);
  return of(standard) > 0 ? of(parts) / of(standard) : 1 + of(parts);
}
