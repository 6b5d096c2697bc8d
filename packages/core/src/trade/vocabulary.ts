/**
 * The trade's own words, once: every list here is where its type and the contract's admission come
 * from.
 */
export const STAGES = [
  'primer',
  'sealer',
  'ground',
  'base',
  'effect',
  'clear',
  'singleStage',
] as const;
export type Stage = (typeof STAGES)[number];

export const CARRIERS = ['solvent', 'waterborne'] as const;
export type Carrier = (typeof CARRIERS)[number];

export const FINISHES = [
  'solid',
  'metallic',
  'silver',
  'pearl',
  'flake',
  'candy',
  'fluorescent',
] as const;
export type Finish = (typeof FINISHES)[number];

export const SUBSTRATES = ['metal', 'plastic', 'composite'] as const;
export type Substrate = (typeof SUBSTRATES)[number];

export const SURFACES = ['vertical', 'horizontal', 'both'] as const;
export type Surface = (typeof SURFACES)[number];

export const JOB_SIZES = ['spot', 'panel', 'side', 'overall'] as const;
export type JobSize = (typeof JOB_SIZES)[number];

export const PARTS = ['largePanel', 'smallPart', 'jamb', 'spot'] as const;
export type PartKind = (typeof PARTS)[number];

export const PLACES = ['booth', 'closedGarage', 'openGarage', 'outdoors'] as const;
export type Place = (typeof PLACES)[number];

/** Of the hardener in a mix. */
export const CHEMISTRIES = ['isocyanate', 'other', 'none', 'unknown'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];

export const AIR_MOVEMENTS = ['still', 'fan', 'crossdraft', 'downdraft'] as const;
export type AirMovement = (typeof AIR_MOVEMENTS)[number];

/** Named by the way the air moves through a room, a car's front being where its bonnet is. */
export const AIRFLOWS = ['rearToFront', 'frontToRear', 'downdraft', 'fanAtDoor', 'still'] as const;
export type Airflow = (typeof AIRFLOWS)[number];

/** How good a panel must look: a sill is no bonnet. */
export const FINISH_TARGETS = ['show', 'factory', 'low'] as const;
export type FinishTarget = (typeof FINISH_TARGETS)[number];

/** Whether a job may wait until its primer is done shrinking. */
export const TIMINGS = ['collision', 'restoration'] as const;
export type Timing = (typeof TIMINGS)[number];

export const EXTRACTIONS = ['on', 'off', 'ratedFan', 'householdFan'] as const;
export type Extraction = (typeof EXTRACTIONS)[number];

/** What a part of a mix is there for. */
export const ROLES = ['paint', 'hardener', 'reducer', 'adjuster', 'additive'] as const;
export type Role = (typeof ROLES)[number];

/** What a per cent is of. */
export const BASES = ['paint', 'mixSoFar', 'finalMix'] as const;
export type Basis = (typeof BASES)[number];

export const SPEEDS = ['fast', 'medium', 'slow', 'verySlow'] as const;
export type Speed = (typeof SPEEDS)[number];

export const ABILITIES = ['basic', 'good', 'fine'] as const;
export const SKILLS = ['learner', 'able', 'expert'] as const;
export type Skill = (typeof SKILLS)[number];

export const TRUSTS = ['good', 'doubtful', 'none'] as const;
export type Trust = (typeof TRUSTS)[number];

/** How wet a coat of a stage is laid. */
export const WETNESSES = ['light', 'medium', 'mediumWet', 'wet'] as const;
export type Wetness = (typeof WETNESSES)[number];

/** What may follow a coat. */
export const NEXT_STEPS = [
  'coat',
  'clear',
  'tape',
  'sandDry',
  'sandWet',
  'wipe',
  'bake',
  'polish',
] as const;
export type NextStep = (typeof NEXT_STEPS)[number];

/** Colours with flake in them, which stripe and cloud; a tinted clear does too. */
const EFFECT_FINISHES: readonly Finish[] = ['metallic', 'silver', 'pearl', 'flake', 'candy'];
/** Has flake that can lie unevenly. */
export const isEffect = (finish: Finish | undefined): boolean =>
  finish !== undefined && EFFECT_FINISHES.includes(finish);

/** Fine flake that a quick film freezes in clouds. */
const FAST_BARRED: readonly Finish[] = ['silver', 'metallic', 'pearl'];
/** Has flake that a quick grade freezes in clouds. */
export const barsFastGrades = (finish: Finish | undefined): boolean =>
  finish !== undefined && FAST_BARRED.includes(finish);
