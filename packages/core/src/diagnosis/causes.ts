/**
 * Which cause brought it: the probability that a cause's link to the fault fired, given that the
 * fault is there.
 */
import type { Belief } from './evidence.ts';
import { linksOf, noisyOr } from './faultPrior.ts';
import type { Observation } from './answers.ts';
import type { Knowledge, Layer, Log } from './knowledge.ts';

/**
 * `against` and `favours`: what an answer about causes said, as the logarithm of a likelihood
 * ratio.
 */
export type CauseTerm = { question: string; answer: string; logRatio: number };

/** Answers that pick among causes, by cause. They do not move the faults. */
export function causeTermsOf(
  knowledge: Knowledge,
  observations: readonly Observation[],
  log: Log,
): Map<string, CauseTerm[]> {
  const terms = new Map<string, CauseTerm[]>();
  const sorted = [...observations].sort((a, b) => (a.question < b.question ? -1 : 1));
  for (const { question, answer } of sorted) {
    const said = knowledge.saidOfCauses[question]?.[answer];
    if (!said || isLogged(knowledge, question, log)) continue;
    const add = (cause: string, logRatio: number) =>
      terms.set(cause, [...(terms.get(cause) ?? []), { question, answer, logRatio }]);
    for (const [cause, weight] of Object.entries(said.favours))
      add(cause, Math.log(knowledge.evidence[weight].met));
    const loudest = Object.values(said.favours)[0] ?? 'strong';
    for (const cause of said.against) add(cause, -Math.log(knowledge.evidence[loudest].met));
  }
  return terms;
}

/** A fact that is in the log is not counted again as an answer. */
const isLogged = (knowledge: Knowledge, question: string, log: Log): boolean =>
  [...knowledge.questions, ...knowledge.causeQuestions]
    .find(({ id }) => id === question)!
    .knownBy.some((reading) => log[reading] !== undefined);

/** Beliefs with the answers about causes counted in. */
export const withCauseAnswers = (
  beliefs: readonly Belief[],
  terms: ReadonlyMap<string, CauseTerm[]>,
): Belief[] =>
  beliefs.map((belief) => ({
    ...belief,
    logOdds: (terms.get(belief.cause.id) ?? []).reduce(
      (sum, { logRatio }) => sum + logRatio,
      belief.logOdds,
    ),
  }));

/**
 * For each cause the probability that it helped to bring what is seen: the sum over faults of
 * P(fault) × P(its link fired | fault) = P(fault) × P(cause) × strength ÷ P(fault by noisy-OR). Two
 * causes may both be likely, so they do not sum to 1; this is where two at once stay two.
 */
export function causePosterior(
  knowledge: Knowledge,
  beliefs: readonly Belief[],
  posterior: readonly number[],
  seenIn: Layer | undefined,
): Map<string, number> {
  const posteriors = new Map<string, number>(knowledge.causes.map(({ id }) => [id, 0]));
  const links = linksOf(knowledge, beliefs, seenIn);
  knowledge.faults.forEach(({ id }, f) => {
    const ways = links.get(id)!;
    const there = noisyOr(ways, knowledge.leak);
    for (const { causes, probability, strength } of ways)
      for (const cause of causes)
        posteriors.set(
          cause,
          posteriors.get(cause)! + (posterior[f]! * probability * strength) / there,
        );
  });
  return new Map([...posteriors].map(([id, sum]) => [id, Math.min(1, sum)]));
}
