/** A job to be made ready, and how far that has come. */
import type { Place, Extraction } from '../trade/vocabulary.ts';
import type { PlannedStage, TakenIn } from '../layers/foundLayer.ts';
import type { Grit } from '../layers/grit.ts';
import type { LiftRisk } from '../layers/layerCheck.ts';
import type { Ask, Explained } from '../outcome/verdicts.ts';
import type { PrepKind } from './stepKinds.ts';

export const LAST_CLEANERS = ['degreaser', 'mildSolvent', 'water', 'household'] as const;
export const TACK_WAYS = ['tackOnly', 'blowAndTack'] as const;
export const LATE_FINDS = ['dent', 'scratch', 'pinhole', 'cutThrough', 'silicone'] as const;
export type LateFind = (typeof LATE_FINDS)[number];
export const SKIPPED = 'skipped';

export type PrepRoom = {
  place: Place;
  extraction?: Extraction | undefined;
  marginC?: number | undefined;
  relativeHumidityPercent?: number | undefined;
  wetFloor?: boolean | undefined;
  /** Since silicone was last used in it. */
  siliconeMonths?: number | undefined;
};
/**
 * `afterFinds`: how many of `lateFound` had been told when this was answered; what was answered
 * before a find is asked again.
 */
export type Answered = {
  key: string;
  answer: string;
  reason?: string | undefined;
  afterFinds?: number | undefined;
};
export type PrepInput = {
  panels: TakenIn[];
  /** Lowest first. */
  stages: PlannedStage[];
  way?: { tack?: (typeof TACK_WAYS)[number] | undefined } | undefined;
  cleaner?: (typeof LAST_CLEANERS)[number] | undefined;
  room?: PrepRoom | undefined;
  /** Of one key the last answer counts. */
  done?: Answered[] | undefined;
  lateFound?: { panel: string; what: LateFind }[] | undefined;
};

export const STEP_STATES = ['open', 'done', 'skipped', 'held', 'later'] as const;
export type StepState = (typeof STEP_STATES)[number];
export const SANDED_WET = ['dry', 'either'] as const;
export const SANDING_TOOLS = ['block', 'interfacePad', 'finePadAndPaste'] as const;
export const REACHES = ['pastTheCoat', 'edgeToEdge'] as const;
export const WIPED_WITH = ['soap', 'solvent', 'mildSolvent', 'water'] as const;

/** A step as the list has it, before it is answered. */
export type Step = {
  key: string;
  /** The stage it makes ready for. */
  stage: string;
  kind: PrepKind;
  panels: string[];
  grit?: readonly [Grit, Grit];
  ladder?: Grit[];
  around?: Grit;
  wet?: (typeof SANDED_WET)[number];
  tool?: (typeof SANDING_TOOLS)[number];
  reach?: (typeof REACHES)[number];
  wipe?: (typeof WIPED_WITH)[number];
  waitFor?: 'sandDry';
};
export type PrepStep = Step & {
  state: StepState;
  mayBeSkipped: boolean;
  gate?: { options: readonly string[]; passes: readonly string[] };
  /** Panels that it is to be done for once more. */
  again?: string[];
  /** What follows where it is left out. */
  fault?: string;
};
export type Supply = { what: string; count: number; why: string };
export type PrepAnswer = Explained & {
  steps: PrepStep[];
  sequence: string[];
  next?: string;
  /** Gates that are not passed. */
  heldBy: string[];
  ready: boolean;
  skipped: string[];
  /** Answers to keys that this list has not. */
  unused: string[];
  liftRisk: LiftRisk;
  asks: Ask[];
  supplies: Supply[];
};
