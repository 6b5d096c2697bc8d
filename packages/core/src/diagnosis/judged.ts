/** What log and answers make of every fault: priors, posterior, a decision, a second fault. */
import {
  answerEvidence,
  posteriorOf,
  tablesOf,
  type AnswerEvidence,
  type Observation,
} from './answers.ts';
import { decisionOf, filmStateOf, type Decision } from './decide.ts';
import { beliefsOf } from './evidence.ts';
import { linksOf, logPriorsOf } from './faultPrior.ts';
import type { Fault, Knowledge, Layer, Log } from './knowledge.ts';
import { offersOf, type Asking, type Offer } from './nextQuestion.ts';
import { secondFaultOf, type SecondFault } from './secondFault.ts';

export type DiagnoseInput = {
  observations: readonly Observation[];
  /** The layer the painter looks at. */
  layerSuspected?: Layer | undefined;
  /** Only readings that may be relied on. */
  log: Log;
  film?: 'wet' | 'dry' | undefined;
};
export type Judged = Asking & {
  evidence: AnswerEvidence[];
  offers: Offer[];
  /** Faults by their place in the knowledge, likeliest first. */
  order: number[];
  fault: Fault;
  decision: Decision;
  /** Seen beside the first; or only as likely as it. */
  second: SecondFault | undefined;
  other: SecondFault | undefined;
  secondFault: { id: string; probability: number } | undefined;
  overReduced: number | undefined;
};

/** Twice the sheet's reducer is no shade of a setting: nothing else can be judged through it. */
const FAR_OVER_REDUCED = 2;
const overReducedOf = ({ red_ratio: ratio }: Log): number | undefined =>
  typeof ratio === 'number' && ratio >= FAR_OVER_REDUCED ? ratio : undefined;

/** Every fault judged by log and answers, before anything is advised. */
export function judge(knowledge: Knowledge, input: DiagnoseInput): Judged {
  const { observations, layerSuspected: seenIn, log } = input;
  const tables = tablesOf(knowledge);
  const beliefs = beliefsOf(knowledge, log);
  const logPriors = logPriorsOf(knowledge, linksOf(knowledge, beliefs, seenIn), log, seenIn);
  const evidence = answerEvidence(tables, observations);
  const posterior = posteriorOf(logPriors, evidence);
  const film = filmStateOf(tables, observations, input.film);
  const facts = { knowledge, tables, logPriors, observations, beliefs, log, film, seenIn };
  const asking: Asking = { ...facts, posterior };
  const offers = offersOf(asking);
  const order = posterior.map((_, f) => f).sort((a, b) => posterior[b]! - posterior[a]! || a - b);
  const top = order[0]!;
  const second =
    evidence.length > 1
      ? secondFaultOf(knowledge, tables, logPriors, observations, top)
      : undefined;
  const decision = decisionOf(knowledge, posterior, evidence, offers, tables, second?.fault);
  const { alsoLikely } = decision;
  const asLikely =
    alsoLikely === undefined
      ? undefined
      : { fault: alsoLikely, probability: posterior[alsoLikely]! };
  const other = second ?? asLikely;
  return {
    ...asking,
    ...{ evidence, offers, order, decision, second, other },
    fault: knowledge.faults[top]!,
    secondFault: other && {
      id: knowledge.faults[other.fault]!.id,
      probability: other.probability,
    },
    overReduced: overReducedOf(log),
  };
}
