/**
 * Which answer pushed a fault, and how far: its weight of evidence against the rivals that are left
 * (good-1950).
 */
import { because, type Reason } from '../outcome/verdicts.ts';
import type { AnswerEvidence } from './answers.ts';
import type { Log } from './knowledge.ts';
import type { Term } from './evidence.ts';

/**
 * `logRatio` above 0 speaks for the fault: ln of how much likelier the answer is under it than
 * under its rivals.
 */
export type AnswerWeight = { question: string; answer: string; logRatio: number };

/** Rivals weigh as much as they are still believed in. Loudest first. */
export function answerWeights(
  posterior: readonly number[],
  evidence: readonly AnswerEvidence[],
  fault: number,
): AnswerWeight[] {
  const rivals = posterior.reduce((sum, p, f) => (f === fault ? sum : sum + p), 0);
  if (rivals <= 0) return [];
  return evidence
    .map(({ question, answer, logLikelihood, power }) => {
      const against = posterior.reduce(
        (sum, p, f) => (f === fault ? sum : sum + p * Math.exp(power * logLikelihood[f]!)),
        0,
      );
      return {
        question,
        answer,
        logRatio: power * logLikelihood[fault]! - Math.log(against / rivals),
      };
    })
    .sort(
      (a, b) => Math.abs(b.logRatio) - Math.abs(a.logRatio) || (a.question < b.question ? -1 : 1),
    );
}

/** How far one reading leans the ranking towards a fault. */
export type ReadingInfluence = { reading: string; logRatio: number };

/**
 * Each reading is left out in turn: what the fault loses against its rivals is what the reading
 * gives. Loudest first. `logPriorsWith` gives the priors of a log, in the order of the faults.
 */
export function readingInfluences(
  log: Log,
  posterior: readonly number[],
  fault: number,
  logPriorsWith: (log: Log) => readonly number[],
): ReadingInfluence[] {
  const full = logPriorsWith(log);
  const rivals = posterior.reduce((sum, p, f) => (f === fault ? sum : sum + p), 0);
  return Object.keys(log)
    .map((reading) => {
      const without = logPriorsWith(
        Object.fromEntries(Object.entries(log).filter(([id]) => id !== reading)),
      );
      const gain = (f: number) => full[f]! - without[f]!;
      const against = posterior.reduce(
        (sum, p, f) => (f === fault ? sum : sum + p * Math.exp(gain(f))),
        0,
      );
      return { reading, logRatio: gain(fault) - Math.log(against / rivals) };
    })
    .sort(
      (a, b) => Math.abs(b.logRatio) - Math.abs(a.logRatio) || (a.reading < b.reading ? -1 : 1),
    );
}

/** Only what moved the belief by at least this factor is a reason worth reading. */
const WORTH_TELLING = Math.log(1.5);
const MOST_ANSWERS = 3;
const MOST_READINGS = 3;

export type ReasonedCause = { id: string; terms: readonly Term[] };

/** Strongest first; that the numbers are estimates is always the last. */
export function reasonsOf(
  version: number,
  fault: string,
  weights: readonly AnswerWeight[],
  leading: readonly ReasonedCause[],
  cleared: readonly ReasonedCause[],
): Reason[] {
  const answers = weights
    .filter(({ logRatio }) => logRatio >= WORTH_TELLING)
    .slice(0, MOST_ANSWERS)
    .map(({ question, answer, logRatio }) =>
      because('answer-points-to', 'rule', {
        question,
        answer,
        fault,
        timesFactor: Math.exp(logRatio),
      }),
    );
  const readings = leading.flatMap(({ id, terms }) =>
    terms
      .filter(({ logRatio }) => logRatio > 0)
      .map(({ reading }) => because('reading-points-to', 'record', { reading, cause: id })),
  );
  const against = cleared.flatMap(({ id, terms }) =>
    terms
      .filter(({ logRatio }) => logRatio < 0)
      .map(({ reading }) => because('reading-speaks-against', 'record', { reading, cause: id })),
  );
  return [
    ...answers,
    ...readings.slice(0, MOST_READINGS),
    ...against.slice(0, MOST_READINGS),
    because('numbers-are-estimates', 'rule', { version }),
  ];
}
