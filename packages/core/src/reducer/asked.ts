/** What is asked of the reducer room, and what it answers. */
import type { Limits } from '../air/limits.ts';
import type { FinishAim } from '../evaporation/evaporationIndex.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type {
  AirMovement,
  Basis,
  Carrier,
  Finish,
  JobSize,
  Stage,
  Substrate,
  Surface,
} from '../trade/vocabulary.ts';
import type { AdjusterPoint } from './adjuster.ts';
import type { BlendPart } from './blend.ts';
import type { Grade } from './grade.ts';

export type Reduction = { sheetPercent: number; maxPercent: number; of: Basis };
export type ReducerInput = {
  airTemperatureC: number;
  relativeHumidityPercent: number;
  panelTemperatureC?: number;
  outdoorTemperatureC?: number;
  airMovement: AirMovement;
  airSpeedMPerS?: number;
  jobSize: JobSize;
  carrier: Carrier;
  stage: Stage;
  class?: MaterialClass;
  finish?: Finish;
  grades?: Grade[];
  hardeners?: Grade[];
  reduction?: Reduction;
  adjusterGrid?: AdjusterPoint[];
  substrate?: Substrate;
  surface?: Surface;
  preference?: FinishAim;
  limits?: Limits;
  /** What is mixed already: kept while it is near enough. */
  now?: BlendPart[];
  /** The painter's own pick, judged beside ours: another blend, another hardener, or both. */
  wanted?: { parts: BlendPart[]; reductionPercent?: number; hardener?: string };
};
export type ReducerChoice = {
  parts: BlendPart[];
  hardener?: string;
  reductionPercent?: number;
  of?: Basis;
  adjusterPercentOfPaint?: number;
  adjuster?: string;
};
/** How quick it is against what is wanted, and how long its edge stays open. */
export type Judged = { evaporationIndex: number; openTimeMinutes: Spread };
export type ReducerAnswer = Explained & {
  choice?: ReducerChoice;
  evaporationIndex?: number;
  openTimeMinutes?: Spread;
  alternatives: ({ parts: BlendPart[] } & Judged)[];
  /** `stepsSlower`: grades slower than ours, as the clock of waits counts them. */
  wanted?: Judged & { stepsSlower: number };
};
