/**
 * What to change, one thing at a time: which causes' advice may be given for this fault, and in
 * which order.
 */
import type { Cause, Fault, Knowledge } from './knowledge.ts';

export type CausePosterior = { cause: Cause; probability: number };

/** At most this many changes are advised; each is tried alone. */
const MOST_CHANGES = 3;
/** A cause is acted on when it is this sure, or this near to the likeliest. */
const WORTH_A_CHANGE = 0.15;
const OF_THE_LIKELIEST = 0.4;
/**
 * Of a fault that is still open, causes that bring its rival as well, this strongly each, are told.
 */
const BRINGS_BOTH = 0.2;
/** From here on two faults are of one kind: runs and sags, dry peel and dry spray. */
const OF_ONE_KIND = 0.5;

/**
 * Causes worth acting on, likeliest first. A cause whose change makes the fault worse, or pushes
 * the second fault up, is left out: peel from too much paint for the air never gets more paint.
 */
export function changesFor(
  knowledge: Knowledge,
  fault: Fault,
  secondFault: string | undefined,
  ranked: readonly CausePosterior[],
  isProven: (cause: Cause) => boolean,
): CausePosterior[] {
  const forbidden = new Set([
    ...(knowledge.never[fault.id] ?? []),
    ...(secondFault ? (knowledge.never[secondFault] ?? []) : []),
  ]);
  const brings = ({ cause }: CausePosterior) =>
    [fault.id, secondFault].some((id) => id !== undefined && cause.makes[id] !== undefined);
  const allowed = ranked.filter(
    (one) => brings(one) && !one.cause.steps.some((step) => forbidden.has(step)),
  );
  const most = allowed[0]?.probability ?? 0;
  const bar = Math.min(WORTH_A_CHANGE, OF_THE_LIKELIEST * most);
  const likely = allowed
    .filter(
      ({ probability }, i) => i === 0 || probability >= Math.max(bar, OF_THE_LIKELIEST * most),
    )
    .slice(0, MOST_CHANGES);
  // What a reading proves is told, however many there are: two sources of one fault want both their
  // steps.
  return allowed.filter((one) => likely.includes(one) || isProven(one.cause));
}

/**
 * Advice follows causes: while two faults stay open, what brings both is to be changed whichever it
 * is.
 */
export function sharedChanges(
  knowledge: Knowledge,
  [first, second]: readonly [string, string],
  ranked: readonly CausePosterior[],
  isProven: (cause: Cause) => boolean,
): CausePosterior[] {
  const forbidden = new Set([
    ...(knowledge.never[first] ?? []),
    ...(knowledge.never[second] ?? []),
  ]);
  const shared = ranked
    .filter(({ cause }) => [first, second].every((id) => (cause.makes[id] ?? 0) >= BRINGS_BOTH))
    .filter(({ cause }) => !cause.steps.some((step) => forbidden.has(step)));
  const most = shared[0]?.probability ?? 0;
  // Two of one kind want the same changes though nothing speaks for one cause; two strangers only
  // what is proven or likely.
  const bar =
    kinshipOf(knowledge, first, second) >= OF_ONE_KIND ? OF_THE_LIKELIEST * most : OF_THE_LIKELIEST;
  return shared
    .filter(({ cause, probability }) => isProven(cause) || probability >= bar)
    .slice(0, MOST_CHANGES);
}

/**
 * How far two faults come from the same causes: shared strength of all strength, causes weighed by
 * how common they are.
 */
function kinshipOf({ causes }: Knowledge, first: string, second: string): number {
  const sum = (pick: (a: number, b: number) => number) =>
    causes.reduce(
      (total, { prior, makes }) => total + prior * pick(makes[first] ?? 0, makes[second] ?? 0),
      0,
    );
  return sum(Math.min) / sum(Math.max);
}

/** Steps of a cause that neither of the faults forbids. */
export const stepsFor = (
  knowledge: Knowledge,
  cause: Cause,
  fault: string,
  secondFault: string | undefined,
): string[] =>
  cause.steps.filter((step) =>
    [fault, secondFault].every((id) => id === undefined || !knowledge.never[id]?.includes(step)),
  );
