/** Which causes an open or decided fault is told with, which are cleared, and what to change. */
import { changesFor, sharedChanges, stepsFor, type CausePosterior } from './advice.ts';
import { causePosterior, causeTermsOf, withCauseAnswers, type CauseTerm } from './causes.ts';
import type { Belief, Term } from './evidence.ts';
import type { Judged } from './judged.ts';
import type { Layer } from './knowledge.ts';
import { rootLayerOf } from './layers.ts';

export type CauseFound = {
  id: string;
  probability: number;
  layer?: Layer;
  /** Readings and answers for (above 0) and against it, as logarithms of likelihood ratios. */
  terms: Term[];
  answers: CauseTerm[];
};
export type CausesFound = {
  ranked: CausePosterior[];
  causes: CauseFound[];
  cleared: CauseFound[];
  layerOf: (cause: Belief['cause']) => Layer | undefined;
  isProven: (cause: Belief['cause']) => boolean;
};

/** Causes under this are not told. */
export const LEAST_TOLD = 0.01;
const MOST_CAUSES = 8;
/**
 * A cause is cleared when its readings make it at least this much less likely; only causes that
 * could have mattered are told.
 */
const CLEARED_LOG_RATIO = Math.log(0.5);
const COULD_HAVE = 0.25;
/** A medium reading against it, or a strong one, proves a cause. */
const PROVEN_LOG_RATIO = Math.log(3.9);
/** A rival this likely keeps the fault open between the two. */
const RIVAL = 0.15;
const OVER_REDUCED = 'over_reduced';

/** The causes of what was judged, likeliest first, with what speaks for and against each. */
export function causesFound(judged: Judged): CausesFound {
  const { knowledge, observations, log, beliefs, posterior, seenIn, fault, other } = judged;
  const said = causeTermsOf(knowledge, observations, log);
  const weighed = withCauseAnswers(beliefs, said);
  const both = posterior.map((p, f) => (other?.fault === f ? Math.max(p, other.probability) : p));
  const posteriors = causePosterior(knowledge, weighed, both, seenIn);
  const ranked = rankedCauses(weighed, posteriors);
  const otherFault = other && knowledge.faults[other.fault]!;
  const layerOf = (cause: Belief['cause']) => {
    const shown = otherFault && cause.makes[fault.id] === undefined ? otherFault : fault;
    return rootLayerOf(cause, shown, log, seenIn);
  };
  const termsOf = (cause: Belief['cause']) =>
    beliefs.find((belief) => belief.cause === cause)!.terms;
  const isProven = (cause: Belief['cause']) =>
    termsOf(cause).some(({ isMet, logRatio }) => isMet && logRatio >= PROVEN_LOG_RATIO);
  const foundOf = ({ cause, probability }: CausePosterior): CauseFound => {
    const layer = layerOf(cause);
    const answers = said.get(cause.id) ?? [];
    return {
      id: cause.id,
      probability,
      ...(layer ? { layer } : {}),
      terms: termsOf(cause),
      answers,
    };
  };
  const couldHave = ({ cause }: CausePosterior) =>
    [fault.id, otherFault?.id].some(
      (id) => id !== undefined && (cause.makes[id] ?? 0) >= COULD_HAVE,
    );
  return {
    ranked,
    layerOf,
    isProven,
    causes: ranked
      .filter(({ probability }) => probability >= LEAST_TOLD)
      // What a reading proves is told, however many there are.
      .filter(({ cause }, rank) => rank < MOST_CAUSES || isProven(cause))
      .map(foundOf),
    cleared: ranked
      .filter(couldHave)
      .map(foundOf)
      .filter((found) => weightOf(found) <= CLEARED_LOG_RATIO),
  };
}

const weightOf = ({ terms, answers }: CauseFound): number =>
  [...terms, ...answers].reduce((sum, { logRatio }) => sum + logRatio, 0);

const rankedCauses = (
  beliefs: readonly Belief[],
  posteriors: ReadonlyMap<string, number>,
): CausePosterior[] =>
  beliefs
    .map(({ cause }) => ({ cause, probability: posteriors.get(cause.id)! }))
    .sort((a, b) => b.probability - a.probability || (a.cause.id < b.cause.id ? -1 : 1));

const mixFirst = (changes: readonly CausePosterior[]): CausePosterior[] => [
  ...changes.filter(({ cause }) => cause.id === OVER_REDUCED),
  ...changes.filter(({ cause }) => cause.id !== OVER_REDUCED),
];

/** What to change: for a decided fault its causes, for one of two that are open what both share. */
export function changesOf(
  judged: Judged,
  { ranked, isProven, layerOf }: CausesFound,
): { cause: string; steps: string[]; layer?: Layer }[] {
  const { knowledge, evidence, decision, posterior, order, fault, secondFault, overReduced } =
    judged;
  const second = order[1]!;
  const rival = knowledge.faults[second]!;
  const isBetween =
    evidence.length > 1 && (decision.doubt === 'twoClose' || decision.doubt === 'moreToAsk');
  const told = decision.decided
    ? changesFor(knowledge, fault, secondFault?.id, ranked, isProven)
    : isBetween && posterior[second]! >= RIVAL
      ? sharedChanges(knowledge, [fault.id, rival.id], ranked, isProven)
      : [];
  const beside = decision.decided ? secondFault?.id : rival.id;
  return (overReduced === undefined ? told : mixFirst(told)).map(({ cause }) => {
    const layer = layerOf(cause);
    const steps = stepsFor(knowledge, cause, fault.id, beside);
    return { cause: cause.id, steps, ...(layer ? { layer } : {}) };
  });
}
