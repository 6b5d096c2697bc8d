/**
 * Two faults at once are common: what the first one does not explain is judged again without it.
 */
import { answerEvidence, posteriorOf, type Observation, type Tables } from './answers.ts';
import type { Knowledge } from './knowledge.ts';
import { NONE_OF_THESE } from './knowledge.ts';
import { EXPLAINED_SHARE } from './answers.ts';

/** A second fault must be this sure, or this much less while well before the one after it. */
const SURE = 0.4;
/**
 * What a fault gives so rarely, against the fault that gives it most, was looked for and is not
 * there.
 */
const NEVER_SEEN = 0.06;
/** Answers that say that something is not there. */
const ABSENT = /^(none|no|no_[a-z_]+|n_a|nothing|not_holes)$/;
const CLEARLY = { probability: 0.25, timesNext: 3 };

export type SecondFault = { fault: number; probability: number };

/**
 * A second fault beside the first, where answers are left that the first does not explain; none
 * where it explains them all.
 */
export function secondFaultOf(
  knowledge: Knowledge,
  tables: Tables,
  logPriors: readonly number[],
  observations: readonly Observation[],
  first: number,
): SecondFault | undefined {
  const evidence = answerEvidence(tables, observations);
  const unexplained = evidence.filter(
    ({ logLikelihood }) =>
      Math.exp(logLikelihood[first]! - Math.max(...logLikelihood)) < EXPLAINED_SHARE,
  );
  if (unexplained.length === 0) return undefined;
  // Two at once only where both were seen: an answer that the second never gives says that it is
  // not there.
  const isRuledOut = (f: number) =>
    evidence.some(
      ({ answer, logLikelihood }) =>
        ABSENT.test(answer) &&
        Math.exp(logLikelihood[f]! - Math.max(...logLikelihood)) < NEVER_SEEN,
    );
  const others = logPriors.map((prior, f) => (f === first || isRuledOut(f) ? -Infinity : prior));
  if (others.every((prior) => prior === -Infinity)) return undefined;
  const posterior = posteriorOf(others, answerEvidence(tables, unexplained));
  const [best, next] = posterior
    .map((probability, fault) => ({ fault, probability }))
    .sort((a, b) => b.probability - a.probability);
  if (!best || knowledge.faults[best.fault]!.id === NONE_OF_THESE) return undefined;
  const isClear =
    best.probability >= CLEARLY.probability &&
    best.probability >= CLEARLY.timesNext * (next?.probability ?? 0);
  return best.probability >= SURE || isClear ? best : undefined;
}
