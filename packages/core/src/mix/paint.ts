/** The paint as it is mixed: from its class, and whatever is known better, to what gun and film work with. The one maker of paint. */
import { HARDENER_SPEED } from '../inForce/cure.ts';
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import { MEDIUM_REDUCER, mixtureOf, type Mixture } from '../material/mixture.ts';
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
  /** Reducer in the mix over the class's standard; 1 where its class has none. */
  reducerShare: number;
};

const LIKELY_FACTOR: [number, number] = [0.05, 20];

/** @param materialC temperature of the paint in the cup, °C */
export function paintOf(material: { class: MaterialClass } & MixedFrom, materialC: number): Paint {
  const facts = MATERIALS[material.class];
  const parts = material.recipe ? partsIn(material.recipe, facts) : facts.mix;
  const [, hardener, thinner] = parts;
  const slowFraction = material.grade ? slowFractionForDesign(designTemperatureC(material.grade)) : MEDIUM_REDUCER;
  const mixture = withKnown(mixtureOf(facts, parts, { slowFraction }), facts, material);
  const modelPaS = viscosityPaS(facts, mixture.solids, materialC);
  const measuredPaS =
    material.viscosityMm2PerS === undefined ? modelPaS : material.viscosityMm2PerS * 1e-6 * mixture.densityKgPerM3;
  const viscosityFactor = clamp(measuredPaS / modelPaS, ...LIKELY_FACTOR);
  const isReduced = thinner > 0 || material.hardenerSpeed === undefined;
  return {
    materialClass: material.class,
    mixture,
    densityKgPerM3: mixture.densityKgPerM3,
    viscosityPaS: modelPaS * viscosityFactor * facts.shearAtGun,
    viscosityFactor,
    // Where nothing is reduced, the hardener's own grade tells how quickly the film closes.
    gradeSlowFraction:
      isReduced || material.hardenerSpeed === undefined
        ? slowFraction
        : slowFractionForDesign(DESIGN_OF_SPEED_C[material.hardenerSpeed]),
    hardenerSpeed: HARDENER_SPEED[material.hardenerSpeed ?? 'medium'],
    isTwoPack: hardener > 0,
    reducerShare: reducerShareOf(parts, facts.mix),
  };
}

/** Parts by volume: paint, hardener, and all that thins. What has no role is paint first, and thins after. */
function partsIn(recipe: Recipe, { waterFraction }: MaterialFacts): [number, number, number] {
  const parts: [number, number, number] = [0, 0, 0];
  sharesOf(recipe).forEach(({ role, share }, i) => {
    const place =
      role === 'paint' || (role === undefined && i === 0) ? 0 : role === 'hardener' && waterFraction === undefined ? 1 : 2;
    parts[place] += share;
  });
  return parts;
}

/** Solids and density that were given beat the class's. */
function withKnown(mixture: Mixture, facts: MaterialFacts, { volumeSolidsPercent, densityGPerMl }: MixedFrom): Mixture {
  const solids = volumeSolidsPercent === undefined ? mixture.solids : clamp(volumeSolidsPercent / 100, 0.01, 0.98);
  const volatileDensity = (mixture.volatileMassFraction * mixture.densityKgPerM3) / (1 - mixture.solids);
  const density =
    densityGPerMl === undefined ? solids * facts.solidsDensityKgPerM3 + (1 - solids) * volatileDensity : densityGPerMl * 1000;
  return {
    ...mixture,
    solids,
    densityKgPerM3: density,
    volatileMassFraction: Math.min(0.99, ((1 - solids) * volatileDensity) / density),
  };
}

function reducerShareOf(parts: readonly number[], standard: readonly number[]): number {
  const of = ([paint = 1, hardener = 0, thinner = 0]: readonly number[]) => thinner / Math.max(1e-9, paint + hardener);
  return of(standard) > 0 ? of(parts) / of(standard) : 1 + of(parts);
}
