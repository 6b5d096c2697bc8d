/** How much to mix and buy: what is asked, and what is told. */
import type { Component, Cup } from '../mix/cup.ts';
import type { PotLife } from '../mix/potLife.ts';
import type { Recipe } from '../mix/recipe.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { GunClass } from '../trade/gunClasses.ts';
import type { Chemistry, Finish, Stage } from '../trade/vocabulary.ts';
import type { PainterFactor, UsedJob } from './painterFactor.ts';
import type { PaintedPanel, Passes } from './share.ts';

export type QuantityInput = Passes & {
  panels: PaintedPanel[];
  coats: number;
  /** Per coat, as landed; one of the two, unless stage and gun say it. */
  wetFilmUm?: number | undefined;
  dryFilmUm?: number | undefined;
  volumeSolidsPercent?: number | undefined;
  transferEfficiencyPercent?: number | undefined;
  stage?: Stage | undefined;
  gun?: { class: GunClass } | undefined;
  finish?: Finish | undefined;
  class?: MaterialClass | undefined;
  /** Mesh its sheet prints. */
  strainerUm?: number | undefined;
  wastePercent?: number | undefined;
  lineAndCupLossMl?: number | undefined;
  painterFactor?: Spread | undefined;
  history?: UsedJob[] | undefined;
  recipe?: Recipe | undefined;
  hardener?: Chemistry | undefined;
  cup?: Cup | undefined;
  /** Cups end where a panel ends. */
  laps?: boolean | undefined;
  cupResidueMl?: number | undefined;
  potLife?: PotLife | undefined;
  temperatureC?: number | undefined;
  fluidMlPerMin?: number | undefined;
  flashMinutes?: number | undefined;
  /** Held back for a second look. */
  reservePercent?: number | undefined;
  packSizesMl?: Record<string, number[]> | undefined;
  /** By product, then by size in ml. */
  packPrices?: Record<string, Record<string, number>> | undefined;
  pricePerL?: Record<string, number> | undefined;
  have?: { name: string; ml: number }[] | undefined;
};

export type QuantityBatch = {
  components: Component[];
  readyMl: number;
  fillToMl: number[];
  minutes?: number;
  covers?: { coat: number; panel: string }[];
};
type Amount = { name: string; ml: number };
export type QuantityAnswer = Explained & {
  readyMl: Spread;
  wetFilmUm: number;
  transferEfficiencyPercent: number;
  byPanel: { name: string; share: number; edge: number; ml: number }[];
  painterFactor: PainterFactor;
  components?: Component[];
  batches?: QuantityBatch[];
  packs?: { name: string; sizeMl: number; count: number }[];
  leftOver?: Amount[];
  short?: Amount[];
  cost?: number;
  costPerReadyL?: number;
  spend?: number;
  supplies: { what: string; count: number; why: string }[];
};
