/** The words a painter reads for what stands on a panel, and for what happens at a seam. */
import type { FoundLayer, Scope } from '@orthochrom/core/layers/foundLayer.ts';
import type { PairOutcome } from '@orthochrom/core/layers/layerPairs.ts';

type Tests = NonNullable<FoundLayer['tests']>;
type Words<Code extends string> = Record<Code, string>;

export const HISTORY_NAME: Words<FoundLayer['history']> = {
  factory: 'Factory paint',
  known2k: 'Two-pack, known',
  fresh2k: 'Two-pack, fresh',
  aerosol1k: 'Aerosol or single-pack',
  thermoplastic: 'Thermoplastic lacquer',
  unknownOld: 'Old, nobody knows',
  oldRedOrDye: 'Old red, or dyed',
  filler: 'Filler',
  bareMetal: 'Bare metal',
  barePlastic: 'Bare plastic',
};
export const SCOPE_NAME: Words<Scope> = {
  full: 'Paint',
  blend: 'Blend',
  spot: 'Spot',
  clearOnly: 'Clear only',
  leave: 'Leave',
};
export const TAPE_NAME: Words<NonNullable<Tests['tape']>> = {
  holds: 'Nothing comes',
  edge: 'Slivers',
  comesOff: 'Comes off',
};
export const RUB_NAME: Words<NonNullable<Tests['rub']>> = {
  nothing: 'Nothing',
  tacky: 'Tacky',
  wrinkles: 'Wrinkles',
  tintsCloth: 'Bleeds',
};
export const PATCH_NAME: Words<NonNullable<Tests['patch']>> = { held: 'Held', lifted: 'Lifted' };
export const SEAM_WORD: Words<PairOutcome> = {
  holds: 'holds',
  sandFirst: 'sand first',
  testPatch: 'test patch',
  unknown: 'nobody knows',
  isolate: 'barrier first',
  noHold: 'no hold',
  lifts: 'lifts',
};
