/**
 * What a coat does to the layer it lies on: whether it holds to it, and whether its solvent lifts
 * it. Experience in a table, outranked by the two quick tests and by a patch.
 *
 * Source  rule of thumb of the trade, the sheet's word before it
 */
import {
  attackOf,
  type Allowed,
  type Attack,
  type FoundLayer,
  type History,
  type PlannedStage,
} from './foundLayer.ts';

/** Mildest first; a test patch and the unknown weigh alike. */
export const PAIR_OUTCOMES = [
  'holds',
  'sandFirst',
  'testPatch',
  'unknown',
  'isolate',
  'noHold',
  'lifts',
] as const;
export type PairOutcome = (typeof PAIR_OUTCOMES)[number];
const SEVERITY: Record<PairOutcome, number> = {
  holds: 0,
  sandFirst: 1,
  testPatch: 2,
  unknown: 2,
  isolate: 3,
  noHold: 4,
  lifts: 5,
};
/** Over nought where the first is the severer. */
export const severer = (a: PairOutcome, b: PairOutcome): number => SEVERITY[a] - SEVERITY[b];
/** The severest of some; of two alike the first. */
export const severest = (outcomes: readonly PairOutcome[]): PairOutcome =>
  outcomes.reduce<PairOutcome>((worst, one) => (severer(one, worst) > 0 ? one : worst), 'holds');

const isSolvent = (attack: Attack): boolean => attack === 'solvent' || attack === 'solventTwoPack';
const SOLUBLE: readonly History[] = ['aerosol1k', 'thermoplastic'];
const isPrimer = ({ stage }: PlannedStage): boolean => stage === 'primer';
const isUndercoat = ({ stage }: PlannedStage): boolean => stage === 'primer' || stage === 'sealer';

/** Old dye comes up through whatever is no shut layer over it. */
const bleedsUnder = (above: PlannedStage): PairOutcome => {
  const attack = attackOf(above);
  const shuts = attack === 'waterborneBarrier' || attack === 'epoxy';
  return shuts || (attack === 'solventTwoPack' && isUndercoat(above)) ? 'testPatch' : 'isolate';
};

/** What the solvent of a coat does to a layer. A patch outranks the tests, they the history. */
export function attackOn({ history, tests = {} }: FoundLayer, above: PlannedStage): PairOutcome {
  const { tape, rub, patch } = tests;
  const solvent = isSolvent(attackOf(above));
  if (patch === 'held') return 'holds';
  const all: PairOutcome[] = [];
  if (patch === 'lifted' || rub === 'wrinkles') all.push(solvent ? 'lifts' : 'isolate');
  if (rub === 'tacky') all.push(solvent ? 'lifts' : 'testPatch');
  if (SOLUBLE.includes(history)) all.push(solvent && rub !== 'nothing' ? 'lifts' : 'testPatch');
  if (history === 'oldRedOrDye' || rub === 'tintsCloth') all.push(bleedsUnder(above));
  const isUntried = rub === undefined || (rub === 'nothing' && tape === undefined);
  if (history === 'unknownOld' && isUntried) all.push('unknown');
  return severest(all);
}

/** Where a sheet names what a layer is, it holds to it as it says. */
function isAllowed({ allowedOver = [] }: PlannedStage, { history, cutThrough }: FoundLayer) {
  const names = new Set<Allowed>(allowedOver);
  return names.has(history) || (cutThrough === true && names.has('cutThrough'));
}

function bareHold({ history }: FoundLayer, above: PlannedStage): PairOutcome {
  const attack = attackOf(above);
  if (history === 'bareMetal') return attack === 'epoxy' ? 'holds' : 'noHold';
  const bites = attack === 'epoxy' || attack === 'solventTwoPack';
  return isPrimer(above) && bites ? 'holds' : 'noHold';
}

/** Whether a coat bites into the layer it lies on. */
export function holdOn(layer: FoundLayer, above: PlannedStage): PairOutcome {
  const { history, tests = {} } = layer;
  if (tests.tape === 'comesOff') return 'noHold';
  const isBare = history === 'bareMetal' || history === 'filler';
  if (isBare && !isAllowed(above, layer)) {
    const hold = bareHold(layer, above);
    if (hold === 'noHold') return hold;
  }
  if (tests.patch === 'held') return 'holds';
  return history === 'barePlastic' || tests.tape === 'edge' ? 'testPatch' : 'holds';
}

/** Through a barrier that holds only what is left of an attack comes. */
export const softened = (attack: PairOutcome): PairOutcome => {
  if (attack === 'lifts' || attack === 'isolate') return 'testPatch';
  return attack === 'testPatch' ? 'holds' : attack;
};
