/** The paint as it is mixed: from its class, and whatever is known better, to what gun and film work with. */
import { slowFractionForDesign } from '../evaporation/solvents.ts';
import { MATERIALS, type MaterialClass, type MaterialData } from '../material/classes.ts';
import { MEDIUM_REDUCER, mixtureOf, type Mixture } from '../material/mixture.ts';
import { viscosityPaS } from '../material/rheology.ts';
import type { Finish } from '../evaporation/evaporationIndex.ts';
import type { SheetTimes } from '../film/wait.ts';
import type { Carrier } from '../air/climate.ts';
import type { Stage } from '../gun/gun.ts';
import type { GunSheet } from '../gun/way.ts';
import { sharesOf, type Recipe } from '../mix/recipe.ts';
import { designTemperatureC, type Grade, type Speed } from '../reducer/grade.ts';

/** What the shop saw of this product: each moves what the film is taken to do (MODEL 15). */
export type FilmTest =
  | {
      kind: 'touch';
      minutes: number;
      wetUm: number;
      airTemperatureC: number;
      relativeHumidityPercent: number;
      airSpeedMPerS?: number;
    }
  | { kind: 'ran'; combUm: number; slopeDeg?: number };
export type Material = {
  class: MaterialClass;
  recipe?: Recipe;
  grade?: Grade;
  hardenerSpeed?: Speed;
  viscosityMm2PerS?: number;
  densityGPerMl?: number;
  volumeSolidsPercent?: number;
  finish?: Finish;
  sheet?: { times: SheetTimes; gun?: GunSheet };
  tests?: FilmTest[];
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

const HARDENER_SPEED: Record<Speed, number> = { fast: 2, medium: 1, slow: 0.6, verySlow: 0.4 };
/** Where the hardener's speed is told, it is a grade of its own: the middle of its range. */
const GRADE_OF_SPEED_C: Record<Speed, number> = { fast: 16, medium: 21.5, slow: 28.5, verySlow: 34 };
const LIKELY_FACTOR: [number, number] = [0.05, 20];

export function paintOf(material: Material, materialC: number): Paint {
  const data = MATERIALS[material.class];
  const parts = material.recipe ? partsIn(material.recipe, data) : data.mix;
  const [, hardener, thinner] = parts;
  const slowFraction = material.grade ? slowFractionForDesign(designTemperatureC(material.grade)) : MEDIUM_REDUCER;
  const mixed = mixtureOf(data, parts, { slowFraction });
  const mixture = withKnown(mixed, data, material);
  const modelPaS = viscosityPaS(data, mixture.solids, materialC);
  const measuredPaS =
    material.viscosityMm2PerS === undefined ? modelPaS : material.viscosityMm2PerS * 1e-6 * mixture.densityKgPerM3;
  const viscosityFactor = Math.min(LIKELY_FACTOR[1], Math.max(LIKELY_FACTOR[0], measuredPaS / modelPaS));
  const isReduced = thinner > 0 || material.hardenerSpeed === undefined;
  return {
    materialClass: material.class,
    mixture,
    densityKgPerM3: mixture.densityKgPerM3,
    viscosityPaS: modelPaS * viscosityFactor * data.shearAtGun,
    viscosityFactor,
    gradeSlowFraction:
      isReduced || material.hardenerSpeed === undefined
        ? slowFraction
        : slowFractionForDesign(GRADE_OF_SPEED_C[material.hardenerSpeed]),
    hardenerSpeed: HARDENER_SPEED[material.hardenerSpeed ?? 'medium'],
    isTwoPack: hardener > 0,
    reducerShare: reducerShareOf(parts, data.mix),
  };
}

/** Parts by volume: paint, hardener, and all that thins. What has no role is paint first, and thins after. */
function partsIn(recipe: Recipe, { waterFraction }: MaterialData): [number, number, number] {
  const shares = sharesOf(recipe);
  const parts: [number, number, number] = [0, 0, 0];
  shares.forEach(({ role, share }, i) => {
    const place =
      role === 'paint' || (role === undefined && i === 0) ? 0 : role === 'hardener' && waterFraction === undefined ? 1 : 2;
    parts[place] += share;
  });
  return parts;
}

/** Solids and density that were given beat the class's. */
function withKnown(mixture: Mixture, data: MaterialData, { volumeSolidsPercent, densityGPerMl }: Material): Mixture {
  const solids = volumeSolidsPercent === undefined ? mixture.solids : Math.min(0.98, Math.max(0.01, volumeSolidsPercent / 100));
  const volatileDensity = (mixture.volatileMassFraction * mixture.densityKgPerM3) / (1 - mixture.solids);
  const density =
    densityGPerMl === undefined ? solids * data.solidsDensityKgPerM3 + (1 - solids) * volatileDensity : densityGPerMl * 1000;
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

/** Where a class of paint belongs in the work. */
export function stageOfClass(materialClass: MaterialClass): {
  stage: Stage;
  carrier: Carrier;
  build: boolean;
  highSolids: boolean;
} {
  const carrier: Carrier = MATERIALS[materialClass].waterFraction === undefined ? 'solvent' : 'waterborne';
  const stage: Stage = {
    solventBase: 'base',
    waterborneBase: 'base',
    clearMediumSolids: 'clear',
    clearHighSolids: 'clear',
    singleStage: 'singleStage',
    solventSealer: 'sealer',
    waterborneSealer: 'sealer',
    epoxyPrimer: 'primer',
    buildPrimer: 'primer',
  }[materialClass] as Stage;
  return { stage, carrier, build: materialClass === 'buildPrimer', highSolids: materialClass === 'clearHighSolids' };
}
