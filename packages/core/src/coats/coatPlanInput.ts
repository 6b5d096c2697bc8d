/** What a plan for every coat of a stage is asked with, and what it answers. */
import type { History, Scope } from '../layers/foundLayer.ts';
import type { Band, Spread } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { SheetTimes } from '../inForce/timesOf.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { Carrier, Finish, FinishTarget, Stage } from '../trade/vocabulary.ts';

/** How a coat is laid, thinnest first. */
export const COAT_KINDS = ['mist', 'light', 'drop', 'medium', 'mediumWet', 'wet'] as const;
export type CoatKind = (typeof COAT_KINDS)[number];
/** What a coat is there for beside its stage's own film. */
export const COAT_ROLES = ['control', 'half', 'bed', 'fadeOut'] as const;
export type CoatRole = (typeof COAT_ROLES)[number];

/** What a sheet says of its coats one by one. */
export type CoatRule = {
  oneAndHalf?: boolean | undefined;
  halfAfterMinutes?: Band | undefined;
  lastCoat?:
    | { kind: 'drop' | 'mist'; filmFactor: number; distanceDeltaMm: number; onMatt: boolean }
    | undefined;
  blend?: { bed?: BlendCoat | undefined; last?: BlendCoat | undefined } | undefined;
  /** Coats more where it is to be cut flat. */
  extraToCut?: number | undefined;
};
export type BlendCoat = { recipe: string; filmFactor?: number | undefined };

/** What a coat lands on: a layer that was found, a ring, or this job's own coat. */
export type Over = History | 'cutThrough' | 'fresh';
export type CoatPanel = {
  name: string;
  areaM2: number;
  scope: Scope;
  over?: Over | undefined;
  /** From the joint the colour comes from. */
  lengthM?: number | undefined;
  joints?: 1 | 2 | undefined;
  spotM2?: number | undefined;
};
export type CoatPlanInput = {
  stage: Stage;
  carrier: Carrier;
  finish?: Finish | undefined;
  class?: MaterialClass | undefined;
  sheet?:
    | {
        recipe?: string | undefined;
        coats?: Band | undefined;
        wetFilmUm?: Band | undefined;
        volumeSolidsPercent?: number | undefined;
        times?: SheetTimes | undefined;
        coatRule?: CoatRule | undefined;
      }
    | undefined;
  panels: CoatPanel[];
  over?: Over | undefined;
  ground?: { name: string; coatsToHide: Spread; dryUmPerCoat: number } | undefined;
  card?: { coats: number } | undefined;
  target?: FinishTarget | undefined;
  /** Wished; with a word why it passes the sheet. */
  coats?: number | undefined;
  why?: string | undefined;
  way?: { baseCover?: 'coats' | 'oneAndHalf' | undefined } | undefined;
  isLastStage?: boolean | undefined;
};

export type CoatPreset = {
  fluidFactor: number;
  fanFactor: number;
  distanceFactor: number;
  inletFactor: number;
  distanceDeltaMm?: number;
  distanceMm?: number;
};
export type PanelInCoat = {
  name: string;
  scope: Scope;
  /** Share of its area that this coat takes. */
  areaFactor: number;
  reachM?: number;
  move?: { distanceDeltaMm: number; inletFactor: number; trigger: 'eased' };
};
export const COAT_WAITS = ['coat', 'next', 'bake', 'atOnce'] as const;
export type PlannedCoat = {
  coat: number;
  kind: CoatKind;
  role: Stage | CoatRole;
  wetFilmUm: number;
  filmFactor: number;
  dryUm: number;
  landedMl: number;
  recipe?: string;
  preset: CoatPreset;
  panels: PanelInCoat[];
  wait: { next: (typeof COAT_WAITS)[number]; minutes?: Band; matt?: boolean };
};
export const STOP_RULES = ['hiding', 'film', 'card', 'count'] as const;
export type CoatPlanAnswer = Explained & {
  least: number;
  most: number;
  coats: PlannedCoat[];
  dryUm: number;
  landedMl: number;
  /** Rims before the faces, or after them. */
  edges: 'first' | 'last';
  stop: {
    rule: (typeof STOP_RULES)[number];
    fromCoat: number;
    most: number;
    coatsToHide?: Spread;
  };
};
