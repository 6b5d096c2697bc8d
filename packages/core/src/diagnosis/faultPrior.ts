/**
 * How likely each fault is by the log alone: noisy-OR over its causes (pearl-1988; here with leak
 * and with pairs).
 */
import type { Belief } from './evidence.ts';
import { logistic } from '../numerics/probability.ts';
import { NONE_OF_THESE, type Cause, type Knowledge, type Layer, type Log } from './knowledge.ts';
import { showFactor, sitFactor } from './layers.ts';

/**
 * One way a fault can come about: a cause, or two that make each other worse. `strength` is that it
 * does, if at work.
 */
export type Link = { causes: readonly string[]; probability: number; strength: number };

/** Probability of each cause at work, where it can sit at all. */
export const activeProbability = (belief: Belief, seenIn: Layer | undefined): number =>
  logistic(belief.logOdds) * sitFactor(belief.cause, seenIn);

/** The links of a knowledge without their probabilities: no log and no answer changes them. */
type Wiring = ReadonlyMap<string, readonly Omit<Link, 'probability'>[]>;

const wired = new WeakMap<Knowledge, Wiring>();

/** Worked out at the first log and kept with the knowledge. */
function wiringOf(knowledge: Knowledge): Wiring {
  const known = wired.get(knowledge);
  if (known) return known;
  const wiring = new Map<string, Omit<Link, 'probability'>[]>(
    knowledge.faults.map(({ id }) => [id, []]),
  );
  const makes = new Map(knowledge.causes.map((cause) => [cause.id, cause.makes]));
  for (const { id, makes } of knowledge.causes)
    for (const [fault, strength] of Object.entries(makes))
      wiring.get(fault)?.push({ causes: [id], strength });
  for (const { pair, strength } of knowledge.causePairs) {
    const [a, b] = pair.map((id) => makes.get(id)!) as [Cause['makes'], Cause['makes']];
    for (const [fault, together] of Object.entries(strength)) {
      const apart = (1 - (a[fault] ?? 0)) * (1 - (b[fault] ?? 0));
      const extra = 1 - (1 - together) / apart;
      if (extra > 0) wiring.get(fault)?.push({ causes: pair, strength: extra });
    }
  }
  wired.set(knowledge, wiring);
  return wiring;
}

/** Everything that can bring a fault, by fault id; `beliefs` of every cause of the knowledge. */
export function linksOf(
  knowledge: Knowledge,
  beliefs: readonly Belief[],
  seenIn: Layer | undefined,
): Map<string, Link[]> {
  const active = new Map(
    beliefs.map((belief) => [belief.cause.id, activeProbability(belief, seenIn)]),
  );
  return new Map(
    [...wiringOf(knowledge)].map(([fault, links]) => [
      fault,
      links.map(({ causes, strength }) => ({
        causes,
        probability: causes.reduce((product, cause) => product * active.get(cause)!, 1),
        strength,
      })),
    ]),
  );
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
