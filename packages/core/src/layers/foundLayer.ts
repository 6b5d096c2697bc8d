/** What stands on a panel before it is painted, and what is planned to go over it. */
import type { Carrier, Chemistry, Finish, Stage, Substrate } from '../trade/vocabulary.ts';
import type { Grit } from './grit.ts';

/** Where a layer came from: what solvent does to it goes by whether it is cross-linked. */
export const HISTORIES = [
  'factory',
  'known2k',
  'fresh2k',
  'aerosol1k',
  'thermoplastic',
  'unknownOld',
  'oldRedOrDye',
  'filler',
  'bareMetal',
  'barePlastic',
] as const;
export type History = (typeof HISTORIES)[number];

export const SCOPES = ['full', 'blend', 'spot', 'clearOnly', 'leave'] as const;
export type Scope = (typeof SCOPES)[number];

/** An X cut to the metal, taped and pulled back on itself. */
export const TAPE_PULLS = ['holds', 'edge', 'comesOff'] as const;
/** Ten double rubs with the strongest reducer of the plan, milder first. */
export const SOLVENT_RUBS = ['nothing', 'tacky', 'wrinkles', 'tintsCloth'] as const;
export const PATCHES = ['held', 'lifted'] as const;
export const FOUND_TEXTURES = ['none', 'peel', 'runs'] as const;
export type FoundTexture = (typeof FOUND_TEXTURES)[number];

export type LayerTests = {
  tape?: (typeof TAPE_PULLS)[number] | undefined;
  rub?: (typeof SOLVENT_RUBS)[number] | undefined;
  patch?: (typeof PATCHES)[number] | undefined;
};
export type FoundLayer = {
  history: History;
  dryUm?: number | undefined;
  /** The coarsest scratch in it; without, it was not sanded. */
  lastGrit?: Grit | undefined;
  texture?: FoundTexture | undefined;
  blockedFlat?: boolean | undefined;
  /** Laid open by sanding through what lies over it: a ring. */
  cutThrough?: boolean | undefined;
  /** Fresh two-pack that may still be gone over wet on wet. */
  insideWindow?: boolean | undefined;
  tests?: LayerTests | undefined;
};
export type TakenIn = {
  name: string;
  areaM2?: number | undefined;
  /** Without a word: full. */
  scope?: Scope | undefined;
  substrate?: Substrate | undefined;
  /** Lowest first. */
  found?: FoundLayer[] | undefined;
  foreign?: boolean | undefined;
  manyLayers?: boolean | undefined;
};
/** What a sheet may name as allowed to go over. */
export type Allowed = History | 'cutThrough';
export type PlannedStage = {
  name: string;
  stage: Stage;
  carrier: Carrier;
  activated?: boolean | undefined;
  hardener?: Chemistry | undefined;
  /** A build primer. */
  build?: boolean | undefined;
  finish?: Finish | undefined;
  /** Absent: all panels whose scope has it. */
  panels?: string[] | undefined;
  dryUm?: number | undefined;
  /** As its sheet prints it. */
  allowedOver?: Allowed[] | undefined;
  sheetGrit?: readonly [Grit, Grit] | undefined;
  /** As it looks, #rrggbb. */
  colour?: string | undefined;
  /** One of several shades that bear one code. */
  variant?: boolean | undefined;
  /** What its sheet wants what lies under it wiped with. */
  wipe?: 'solvent' | 'water' | undefined;
  /** What lies under it is sanded, though nobody must. */
  sandBelow?: boolean | undefined;
  /** This primer takes the next coat unsanded. */
  wetOnWet?: boolean | undefined;
};

const COLOUR: readonly Stage[] = ['ground', 'base', 'effect', 'singleStage'];
/** Ground, base, effect or single stage. */
export const isColour = ({ stage }: Pick<PlannedStage, 'stage'>): boolean => COLOUR.includes(stage);
const isUndercoat = ({ stage }: Pick<PlannedStage, 'stage'>): boolean =>
  stage === 'primer' || stage === 'sealer';

/**
 * How a stage attacks what lies below it, and what it shuts off: waterborne primer or sealer,
 * other waterborne, solvent primer or sealer with a hardener that is no isocyanate, other solvent
 * with hardener, solvent without.
 */
export type Attack = 'waterborneBarrier' | 'waterborne' | 'epoxy' | 'solventTwoPack' | 'solvent';
/** The way a stage attacks, by carrier and hardener. */
export function attackOf(stage: PlannedStage): Attack {
  if (stage.carrier === 'waterborne')
    return isUndercoat(stage) ? 'waterborneBarrier' : 'waterborne';
  if (isUndercoat(stage) && stage.hardener === 'other') return 'epoxy';
  const { activated = stage.hardener !== undefined && stage.hardener !== 'none' } = stage;
  return activated ? 'solventTwoPack' : 'solvent';
}
/** Shuts off what lies below it: a primer or sealer that links, or is carried by water. */
export const isBarrier = (stage: PlannedStage): boolean =>
  isUndercoat(stage) && attackOf(stage) !== 'solvent';

/** Whether a panel of this scope gets a stage: a blend no undercoat, clear only no colour. */
export function getsStage(scope: Scope, stage: Stage): boolean {
  if (scope === 'leave') return false;
  if (scope === 'clearOnly') return stage === 'clear';
  return scope !== 'blend' || !isUndercoat({ stage });
}
/** Has an edge of its colour to melt into what is around it. */
export const isMelted = (scope: Scope): boolean => scope === 'blend' || scope === 'spot';
/** The stages that a panel gets, lowest first. */
export const stagesOf = (
  { name, scope = 'full' }: TakenIn,
  stages: readonly PlannedStage[],
): PlannedStage[] =>
  stages.filter(
    (stage) =>
      getsStage(scope, stage.stage) && (stage.panels === undefined || stage.panels.includes(name)),
  );

/** What a coat touches: the top layer, and every one laid open. */
export const touchedOf = ({ found = [] }: TakenIn): FoundLayer[] =>
  found.filter(({ cutThrough }, i) => i === found.length - 1 || cutThrough === true);
/** Rings where the layers over one were sanded through. */
export const ringsOf = ({ found = [] }: TakenIn): FoundLayer[] =>
  found.filter(({ cutThrough }) => cutThrough === true);
