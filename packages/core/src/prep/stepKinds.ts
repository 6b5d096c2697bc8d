/**
 * The steps of making ready, in the order of a session: what each asks, whether it may be left out
 * and which fault follows then.
 *
 * Source  rule of thumb of the trade
 */
import { PATCHES, SOLVENT_RUBS, TAPE_PULLS } from '../layers/foundLayer.ts';

/** `never`: nobody leaves it out. */
type StepKind = {
  asks?: readonly string[];
  passes?: readonly string[];
  leftOut: string;
};
const NEVER = 'never';

/** In their order within a session; tests and looks of one step each stand beside one another. */
export const STEP_KINDS = {
  wash: { leftOut: 'salt' },
  degrease: { leftOut: 'wax' },
  inspect: { asks: ['nothing', 'found'], passes: ['nothing'], leftOut: NEVER },
  tapePull: { asks: TAPE_PULLS, passes: ['holds', 'edge'], leftOut: 'untried' },
  solventRub: { asks: SOLVENT_RUBS, leftOut: 'untried' },
  decide: { asks: ['done', 'declined'], leftOut: NEVER },
  testPatch: { asks: PATCHES, passes: ['held'], leftOut: 'patch' },
  card: { asks: ['matches', 'differs'], passes: ['matches'], leftOut: 'card' },
  guideCoat: { leftOut: 'lows' },
  sand: { asks: ['matt', 'glossLeft'], passes: ['matt'], leftOut: NEVER },
  edges: { asks: ['unseen', 'seen'], passes: ['unseen'], leftOut: 'outline' },
  throughs: { asks: ['none', 'some'], leftOut: NEVER },
  dustOff: { leftOut: 'dust' },
  degreaseAfter: { leftOut: 'fingers' },
  mask: { leftOut: 'fog' },
  backMask: { leftOut: 'ridge' },
  silicone: { asks: ['never', 'longAgo', 'recent', 'notKnown'], leftOut: NEVER },
  airSupply: { asks: ['checked', 'notChecked'], passes: ['checked'], leftOut: NEVER },
  wetFloor: { leftOut: 'floor' },
  fansOn: { leftOut: 'room' },
  suit: { leftOut: 'room' },
  wipe: { asks: ['clean', 'stillDirty'], passes: ['clean'], leftOut: NEVER },
  blow: { leftOut: 'gaps' },
  tack: { leftOut: 'nibs' },
  promoter: { leftOut: 'sheets' },
  look: { asks: ['nothing', 'found'], passes: ['nothing'], leftOut: 'buried' },
  waste: { leftOut: 'fire' },
  adhesionTest: { asks: ['holds', 'comesOff'], passes: ['holds'], leftOut: 'winter' },
} as const satisfies Record<string, StepKind>;
export type PrepKind = keyof typeof STEP_KINDS;
export const PREP_KINDS = Object.keys(STEP_KINDS) as PrepKind[];

const kindOf = (kind: PrepKind): StepKind => STEP_KINDS[kind];
/** What a step is answered with; one that asks nothing is done. */
export const answersTo = (kind: PrepKind): readonly string[] => kindOf(kind).asks ?? ['done'];
/** The answers that let the work go on. */
export const passesOf = (kind: PrepKind): readonly string[] =>
  kindOf(kind).passes ?? answersTo(kind);
/** Whether work behind it waits for its answer. */
export const isGate = (kind: PrepKind): boolean => kindOf(kind).asks !== undefined;
/** Whether it may be left out with a word why. */
export const mayBeLeftOut = (kind: PrepKind): boolean => kindOf(kind).leftOut !== NEVER;
/** The fault that follows where it is left out. */
export const faultLeftOut = (kind: PrepKind): string | undefined =>
  mayBeLeftOut(kind) ? kindOf(kind).leftOut : undefined;

/** The kind in a step's key: the session, the kind, and what it is done to. */
export function kindInKey(key: string): PrepKind | undefined {
  const kind = key.split('.')[1];
  return PREP_KINDS.find((one) => one === kind);
}
/** Comes after the paint: it holds no coat up. */
export const isAfterSpraying = (kind: PrepKind): boolean =>
  kind === 'waste' || kind === 'adhesionTest';
