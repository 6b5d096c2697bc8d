/**
 * From what was logged and what was seen: which fault, which cause in which layer, what to ask next
 * and what to do.
 */
import { caution, stop, type Reason, type Verdict } from '../outcome/verdicts.ts';
import { changesFor, sharedChanges, stepsFor, type CausePosterior } from './advice.ts';
import { answerEvidence, posteriorOf, tablesOf, type Observation } from './answers.ts';
import { causePosterior, causeTermsOf, withCauseAnswers, type CauseTerm } from './causes.ts';
import { decisionOf, filmStateOf, type WhyUndecided } from './decide.ts';
import { beliefsOf, type Belief, type Term } from './evidence.ts';
import { linksOf, logPriorsOf } from './faultPrior.ts';
import type { Knowledge, Layer, Log } from './knowledge.ts';
import { rootLayerOf } from './layers.ts';
import { offersBelow, offersOf, type Offer } from './nextQuestion.ts';
import { answerWeights, reasonsOf, type AnswerWeight } from './weights.ts';
import { OVER_IT, repairOf, type Repair } from './repair.ts';
import { secondFaultOf } from './secondFault.ts';

/** `weights`: which answers speak for and against it; only for those that lead. */
export type FaultFound = { id: string; probability: number; weights?: AnswerWeight[] };
export type CauseFound = {
  id: string;
  probability: number;
  layer?: Layer;
  /** Readings and answers for (above 0) and against it, as logarithms of likelihood ratios. */
  terms: Term[];
  answers: CauseTerm[];
};
/**
 * What would settle it: the check that parts two look-alikes, the next question, or a test panel.
 */
export type Check =
  { pair: readonly [string, string] } | { question: string } | 'testPanel' | 'lookAgain';
export type Diagnosis = {
  decided: boolean;
  doubt?: WhyUndecided;
  check?: Check;
  faults: FaultFound[];
  secondFault?: FaultFound;
  causes: CauseFound[];
  cleared: CauseFound[];
  offers: Offer[];
  /**
   * How many times the sheet's reducer was poured, where that alone must be put right before
   * anything is judged.
   */
  overReduced?: number;
  /** The next question, where its likely answers would turn the advice. */
  wouldChange?: string;
  /** One change at a time, in this order; of a fault that is still open, what its rivals share. */
  changes: { cause: string; steps: string[]; layer?: Layer }[];
  repair?: Repair;
  verdicts: Verdict[];
  reasons: Reason[];
};

export type DiagnoseInput = {
  observations: readonly Observation[];
  /** The layer the painter looks at. */
  layerSuspected?: Layer | undefined;
  /** Only readings that may be relied on. */
  log: Log;
  film?: 'wet' | 'dry' | undefined;
};

/** Faults and causes under this are not told. */
const LEAST_TOLD = 0.01;
const MOST_CAUSES = 8;
const MOST_WEIGHED = 4;
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
/** Twice the sheet's reducer is no shade of a setting: nothing else can be judged through it. */
const FAR_OVER_REDUCED = 2;
const OVER_REDUCED = 'over_reduced';

const overReducedOf = ({ red_ratio: ratio }: Log): number | undefined =>
  typeof ratio === 'number' && ratio >= FAR_OVER_REDUCED ? ratio : undefined;

const mixFirst = (changes: readonly CausePosterior[]): CausePosterior[] => [
  ...changes.filter(({ cause }) => cause.id === OVER_REDUCED),
  ...changes.filter(({ cause }) => cause.id !== OVER_REDUCED),
];

export function diagnose(knowledge: Knowledge, input: DiagnoseInput): Diagnosis {
  const { observations, layerSuspected: seenIn, log } = input;
  const tables = tablesOf(knowledge);
  const beliefs = beliefsOf(knowledge, log);
  const logPriors = logPriorsOf(knowledge, linksOf(knowledge, beliefs, seenIn), log, seenIn);
  const evidence = answerEvidence(tables, observations);
  const posterior = posteriorOf(logPriors, evidence);
  const film = filmStateOf(tables, observations, input.film);
  const asking = {
    knowledge,
    tables,
    logPriors,
    observations,
    posterior,
    beliefs,
    log,
    film,
    seenIn,
  };
  const offers = offersOf(asking);
  const order = posterior.map((_, f) => f).sort((a, b) => posterior[b]! - posterior[a]! || a - b);
  const top = order[0]!;
  const fault = knowledge.faults[top]!;

  const second =
    evidence.length > 1
      ? secondFaultOf(knowledge, tables, logPriors, observations, top)
      : undefined;
  const decision = decisionOf(knowledge, posterior, evidence, offers, tables, second?.fault);
  const alsoLikely = decision.alsoLikely;
  const other =
    second ??
    (alsoLikely === undefined
      ? undefined
      : { fault: alsoLikely, probability: posterior[alsoLikely]! });
  const secondFault = other && {
    id: knowledge.faults[other.fault]!.id,
    probability: other.probability,
  };

  const said = causeTermsOf(knowledge, observations, log);
  const weighed = withCauseAnswers(beliefs, said);
  const both = posterior.map((p, f) => (other?.fault === f ? Math.max(p, other.probability) : p));
  const posteriors = causePosterior(knowledge, weighed, both, seenIn);
  const ranked = rankedCauses(weighed, posteriors);
  const layerOf = (cause: Belief['cause']) => {
    const shown =
      secondFault && cause.makes[fault.id] === undefined ? knowledge.faults[other!.fault]! : fault;
    return rootLayerOf(cause, shown, log, seenIn);
  };
  const foundOf = ({ cause }: CausePosterior): CauseFound => {
    const layer = layerOf(cause);
    const { terms } = beliefs.find((belief) => belief.cause === cause)!;
    return {
      id: cause.id,
      probability: posteriors.get(cause.id)!,
      ...(layer ? { layer } : {}),
      terms,
      answers: said.get(cause.id) ?? [],
    };
  };
  const isProven = (cause: Belief['cause']) =>
    beliefs
      .find((belief) => belief.cause === cause)!
      .terms.some(({ isMet, logRatio }) => isMet && logRatio >= PROVEN_LOG_RATIO);
  const causes = ranked
    .filter(({ probability }) => probability >= LEAST_TOLD)
    // What a reading proves is told, however many there are.
    .filter(({ cause }, rank) => rank < MOST_CAUSES || isProven(cause))
    .map(foundOf);
  const heardWeight = ({ terms, answers }: CauseFound) =>
    terms.reduce((sum, { logRatio }) => sum + logRatio, 0) +
    answers.reduce((sum, { logRatio }) => sum + logRatio, 0);
  const cleared = ranked
    .filter(({ cause }) =>
      [fault.id, secondFault?.id].some(
        (id) => id !== undefined && (cause.makes[id] ?? 0) >= COULD_HAVE,
      ),
    )
    .map(foundOf)
    .filter((found) => heardWeight(found) <= CLEARED_LOG_RATIO);

  const rival = knowledge.faults[order[1]!]!;
  const isBetween =
    evidence.length > 1 && (decision.doubt === 'twoClose' || decision.doubt === 'moreToAsk');
  const told = decision.decided
    ? changesFor(knowledge, fault, secondFault?.id, ranked, isProven)
    : isBetween && posterior[order[1]!]! >= RIVAL
      ? sharedChanges(knowledge, [fault.id, rival.id], ranked, isProven)
      : [];
  const overReduced = overReducedOf(log);
  const inOrder = overReduced === undefined ? told : mixFirst(told);
  const beside = decision.decided ? secondFault?.id : rival.id;
  const changes = inOrder.map(({ cause }) => {
    const layer = layerOf(cause);
    return {
      cause: cause.id,
      steps: stepsFor(knowledge, cause, fault.id, beside),
      ...(layer ? { layer } : {}),
    };
  });
  const first = causes[0];
  const found = {
    fault,
    secondFault: secondFault?.id,
    cause: first?.id,
    rootLayer: rootOf(first),
    seenIn,
    observations,
    log,
  };
  const repair = decision.decided ? repairOf(knowledge, found) : undefined;
  const isOverWhatLiesBelow =
    repair !== undefined &&
    OVER_IT.has(repair.rung.verdict) &&
    knowledge.neverOver.asks.faults.includes(fault.id);
  const below = offersBelow(asking);
  const check = decision.decided ? undefined : checkOf(knowledge, order, decision.doubt!, offers);
  return {
    ...decision,
    ...(check ? { check } : {}),
    faults: order
      .filter((f) => posterior[f]! >= LEAST_TOLD)
      .map((f, rank) => ({
        id: knowledge.faults[f]!.id,
        probability: posterior[f]!,
        ...(rank < MOST_WEIGHED ? { weights: answerWeights(posterior, evidence, f) } : {}),
      })),
    ...(second && secondFault ? { secondFault } : {}),
    ...(overReduced === undefined ? {} : { overReduced }),
    causes,
    cleared,
    offers: isOverWhatLiesBelow
      ? [...below, ...offers.filter(({ id }) => !below.some((one) => one.id === id))]
      : offers,
    changes,
    ...(repair ? { repair } : {}),
    verdicts: verdictsOf(
      decision.decided,
      [fault.id, secondFault?.id],
      second !== undefined,
      repair,
    ),
    reasons: reasonsOf(
      knowledge.version,
      fault.id,
      answerWeights(posterior, evidence, top),
      causes.slice(0, 2),
      cleared,
    ),
  };
}

const rankedCauses = (
  beliefs: readonly Belief[],
  posteriors: ReadonlyMap<string, number>,
): CausePosterior[] =>
  beliefs
    .map(({ cause }) => ({ cause, probability: posteriors.get(cause.id)! }))
    .sort((a, b) => b.probability - a.probability || (a.cause.id < b.cause.id ? -1 : 1));

/** The root is placed below only by a cause that is more likely than not, or near it. */
const ROOT_SURE = 0.3;
const rootOf = (cause: CauseFound | undefined): Layer | undefined =>
  cause && cause.probability >= ROOT_SURE ? cause.layer : undefined;

function checkOf(
  knowledge: Knowledge,
  order: readonly number[],
  doubt: WhyUndecided,
  offers: readonly Offer[],
): Check {
  if (doubt === 'contradiction') return 'lookAgain';
  const [first, second] = order.map((f) => knowledge.faults[f]!.id) as [string, string];
  const alike = knowledge.lookAlikes.find(
    ({ pair }) => pair.includes(first) && pair.includes(second),
  );
  const next = offers[0];
  if (next && doubt !== 'twoClose') return { question: next.id };
  if (alike) return { pair: alike.pair };
  return next ? { question: next.id } : 'testPanel';
}

/** `areBothSeen`: the second stands beside the first; otherwise what was seen fits either. */
function verdictsOf(
  decided: boolean,
  [first, second]: readonly [string, string | undefined],
  areBothSeen: boolean,
  repair: Repair | undefined,
): Verdict[] {
  const beside =
    second === undefined
      ? []
      : [
          areBothSeen
            ? caution('two-at-once', { first, second })
            : caution('either-of-two', { first, second }),
        ];
  const told = [...(decided ? [] : [caution('not-decided')]), ...beside];
  if (!repair) return told;
  return [
    ...told,
    ...(repair.below ? [stop('polish-will-not-cure', { layer: repair.below })] : []),
    ...(!repair.budget && repair.rung.ladder !== undefined && repair.rung.verdict !== 'strip'
      ? [caution('film-left-unknown')]
      : []),
  ];
}
