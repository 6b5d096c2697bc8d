/**
 * From what was logged and what was seen: which fault, which cause in which layer, what to ask next
 * and what to do.
 */
import { caution, stop, type Reason, type Verdict } from '../outcome/verdicts.ts';
import type { WhyUndecided } from './decide.ts';
import { causesFound, changesOf, LEAST_TOLD, type CauseFound } from './found.ts';
import { judge, type DiagnoseInput, type Judged } from './judged.ts';
import type { Knowledge, Layer } from './knowledge.ts';
import { offersBelow, type Offer } from './nextQuestion.ts';
import { OVER_IT, repairOf, type Repair } from './repair.ts';
import { answerWeights, reasonsOf, type AnswerWeight } from './weights.ts';

/** `weights`: which answers speak for and against it; only for those that lead. */
export type FaultFound = { id: string; probability: number; weights?: AnswerWeight[] };
/**
 * What would settle it: the check that parts two look-alikes, the next question, or a test panel.
 */
export type Check =
  | { pair: readonly [string, string] }
  | { question: string }
  | 'testPanel'
  | 'lookAgain';
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

const MOST_WEIGHED = 4;

/**
 * Which fault, which cause in which layer, what to ask next and what to do. Readings that may not
 * be relied on are left out by the caller.
 */
export function diagnose(knowledge: Knowledge, input: DiagnoseInput): Diagnosis {
  const judged = judge(knowledge, input);
  const { decision, fault, second, secondFault, overReduced, order, offers } = judged;
  const found = causesFound(judged);
  const { causes, cleared } = found;
  const repair = decision.decided ? repairFor(judged, causes[0]) : undefined;
  const check = decision.decided ? undefined : checkOf(knowledge, order, decision.doubt!, offers);
  return {
    ...decision,
    ...(check ? { check } : {}),
    faults: faultsTold(judged),
    ...(second && secondFault ? { secondFault } : {}),
    ...(overReduced === undefined ? {} : { overReduced }),
    causes,
    cleared,
    offers: offersTold(judged, repair),
    changes: changesOf(judged, found),
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
      answerWeights(judged.posterior, judged.evidence, order[0]!),
      causes.slice(0, 2),
      cleared,
    ),
  };
}

const faultsTold = ({ knowledge, posterior, evidence, order }: Judged): FaultFound[] =>
  order
    .filter((f) => posterior[f]! >= LEAST_TOLD)
    .map((f, rank) => ({
      id: knowledge.faults[f]!.id,
      probability: posterior[f]!,
      ...(rank < MOST_WEIGHED ? { weights: answerWeights(posterior, evidence, f) } : {}),
    }));

/** Before anything is advised over a layer, what lies below is asked first. */
function offersTold(judged: Judged, repair: Repair | undefined): Offer[] {
  const { knowledge, fault, offers } = judged;
  const isOverWhatLiesBelow =
    repair !== undefined &&
    OVER_IT.has(repair.rung.verdict) &&
    knowledge.neverOver.asks.faults.includes(fault.id);
  if (!isOverWhatLiesBelow) return offers;
  const below = offersBelow(judged);
  return [...below, ...offers.filter(({ id }) => !below.some((one) => one.id === id))];
}

const repairFor = (judged: Judged, first: CauseFound | undefined): Repair | undefined =>
  repairOf(judged.knowledge, {
    fault: judged.fault,
    secondFault: judged.secondFault?.id,
    cause: first?.id,
    rootLayer: rootOf(first),
    seenIn: judged.seenIn,
    observations: judged.observations,
    log: judged.log,
  });

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
