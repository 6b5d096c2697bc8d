/** What the forward simulation is asked with. */
import type { Climate } from '../air/climate.ts';
import type { Limits } from '../air/limits.ts';
import type { FilmTest } from '../calibration/productFit.ts';
import type { Gun, Settings } from '../gun/gun.ts';
import type { GunSheet } from '../gun/preferences.ts';
import type { Layer, SheetTimes } from '../inForce/timesOf.ts';
import type { MixedFrom } from '../mix/paint.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { Finish, Substrate } from '../trade/vocabulary.ts';
import type { UnsteadyHand } from './unsteadyHand.ts';

export type Material = { class: MaterialClass } & MixedFrom & {
    finish?: Finish | undefined;
    sheet?:
      | { times?: SheetTimes | undefined; gun?: GunSheet | undefined; limits?: Limits | undefined }
      | undefined;
    tests?: FilmTest[] | undefined;
  };
export type Bake = { afterMinutes: number; toC: number; rampCPerMin: number; holdMinutes: number };
export type CoatInput = {
  climate: Climate;
  material: Material;
  gun: Gun;
  settings: Settings;
  /**
   * `lapSeconds`: until the gun is back beside what it laid last; absent: out and home over this
   * panel, or round it.
   */
  panel: {
    slopeDeg: number;
    lengthM?: number;
    heightM?: number;
    substrate?: Substrate;
    lapSeconds?: number;
  };
  coats: { flashMinutes: number; settings?: Settings }[];
  bake?: Bake;
  below?: Layer[];
  technique?: UnsteadyHand;
  capLimitKPa?: number;
  /** False: the best guess alone, quickly; every spread is then of no width. */
  spread?: boolean;
  /** Ranks the single changes that would help; costs a run of the film for each. */
  rankChanges?: boolean;
};

/** The coat as the waits see it. */
export const layerOfMaterial = (
  { class: materialClass, sheet }: Material,
  isTwoPack: boolean,
): Layer => {
  const { stage, carrier } = MATERIALS[materialClass];
  return { stage, carrier, class: materialClass, activated: isTwoPack, sheet: sheet?.times };
};
