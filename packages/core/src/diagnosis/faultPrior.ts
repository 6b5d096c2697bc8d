/**
 * How likely each fault is by the log alone: noisy-OR over its causes (pearl-1988; here with leak
 * and with pairs).
 */
import type { Belief } from './evidence.ts';
import { logistic } from '../numerics/probability.ts';
import { NONE_OF_THESE, type Knowledge, type Layer, type Log } from './knowledge.ts';
import { showFactor, sitFactor } from './layers.ts';

/**
 * One way a fault can come about: a cause, or two that make each other worse. `strength` is that it
 * does, if at work.
 */
export type Link = { causes: readonly string[]; probability: number; strength: number };

/** Probability of each cause at work, where it can sit at all. */
export const activeProbability = (belief: Belief, seenIn: Layer | undefined): number =>
  logistic(belief.logOdds) * sitFactor(belief.cause, seenIn);

/** Everything that can bring a fault, by fault id. */
export function linksOf(
  knowledge: Knowledge,
  beliefs: readonly Belief[],
  seenIn: Layer | undefined,
): Map<string, Link[]> {
  const links = new Map<string, Link[]>(knowledge.faults.map(({ id }) => [id, []]));
  const byCause = new Map(beliefs.map((belief) => [belief.cause.id, belief]));
  for (const belief of beliefs)
    for (const [fault, strength] of Object.entries(belief.cause.makes))
      links.get(fault)?.push({
        causes: [belief.cause.id],
        probability: activeProbability(belief, seenIn),
        strength,
      });
  for (const { pair, strength } of knowledge.causePairs) {
    const [a, b] = pair.map((id) => byCause.get(id)!) as [Belief, Belief];
    for (const [fault, together] of Object.entries(strength)) {
      const apart = (1 - (a.cause.makes[fault] ?? 0)) * (1 - (b.cause.makes[fault] ?? 0));
      const extra = 1 - (1 - together) / apart;
      if (extra > 0)
        links.get(fault)?.push({
          causes: pair,
          probability: activeProbability(a, seenIn) * activeProbability(b, seenIn),
          strength: extra,
        });
    }
  }
  return links;
}

/** P(fault) = 1 − (1 − leak) Π (1 − P(link) strength). */
export const noisyOr = (links: readonly Link[], leak: number): number =>
  1 -
  links.reduce((none, { probability, strength }) => none * (1 - probability * strength), 1 - leak);

/** Natural logarithms, in the order of the faults; not brought to a sum of 1. */
export function logPriorsOf(
  knowledge: Knowledge,
  links: ReadonlyMap<string, Link[]>,
  log: Log,
  seenIn: Layer | undefined,
): number[] {
  return knowledge.faults.map((fault) => {
    const prior =
      fault.id === NONE_OF_THESE
        ? knowledge.noneOfThesePrior
        : noisyOr(links.get(fault.id)!, knowledge.leak);
    const ruled = knowledge.ruledOut
      .filter((rule) => rule.fault === fault.id && rule.in.includes(log[rule.reading] as string))
      .reduce((product, rule) => product * rule.factor, 1);
    return Math.log(prior * ruled * showFactor(fault, seenIn));
  });
}
