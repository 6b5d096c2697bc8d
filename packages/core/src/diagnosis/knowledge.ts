/**
 * The shape of what is known about paint faults. The knowledge itself is data of the contract
 * package, kept by trainers; here stands only what the judgement needs of it.
 */
import type { Stage } from '../trade/vocabulary.ts';

export type Layer = Stage | 'substrate';
export type ReadingValue = number | boolean | string;
/** Readings by id, only such as may be relied on. */
export type Log = Readonly<Record<string, ReadingValue>>;

export type Weight = 'strong' | 'medium' | 'weak';
/**
 * One row of evidence for a cause. Rows of one group are alternatives: the best that is met counts,
 * never their product.
 */
export type EvidenceRow = {
  reading: string;
  is: '<' | '<=' | '>' | '>=' | '==' | 'in';
  /** A figure, a word, a list of words, or the name of another reading to compare with. */
  than: ReadingValue | readonly string[];
  weight: Weight;
  group?: string | undefined;
};

export type Fault = {
  id: string;
  showsIn: readonly (Layer | 'any')[];
  seen: readonly string[];
  below?: Layer | undefined;
};
export type Cause = {
  id: string;
  /** Where such a cause can sit, the usual one first; any: the layer in which the fault is seen. */
  layers: readonly (Layer | 'any')[];
  steps: readonly string[];
  /** Probability that it is at work on a job brought to the tool, before any reading. */
  prior: number;
  evidence: readonly EvidenceRow[];
  /** Probability that this cause alone brings that fault. */
  makes: Readonly<Record<string, number>>;
};
export type FilmState = 'wet' | 'dry' | 'any';
export type Question = {
  id: string;
  group?: string | undefined;
  tool: string;
  cost: number;
  film: FilmState;
  knownBy: readonly string[];
  options: readonly string[];
  /** Options that say nothing: as good as not asked. */
  skips: readonly string[];
  /** Weight of each option, by fault; `base` for a fault without a row of its own. */
  base: readonly number[];
  rows: Readonly<Record<string, readonly number[]>>;
};
export type CauseAnswer = { favours: Readonly<Record<string, Weight>>; against: readonly string[] };
export type CauseQuestion = {
  id: string;
  for: readonly string[];
  cost: number;
  knownBy: readonly string[];
  options: readonly string[];
};
export type RungWhen = {
  layer?: readonly Layer[] | undefined;
  rootLayer?: readonly Layer[] | undefined;
  answer?: readonly (readonly [string, string])[] | undefined;
  reading?: readonly [string, readonly string[]] | undefined;
  cause?: readonly string[] | undefined;
  withFault?: readonly string[] | undefined;
  /** At least this much clear may be taken off. */
  budgetUm?: number | undefined;
  budgetBelowUm?: number | undefined;
  budgetKnown?: boolean | undefined;
  /** Known by a gauge, not by an estimate. */
  measured?: boolean | undefined;
};
/** What is done about a fault, from the least to the most. */
export const REPAIR_VERDICTS = ['leave', 'polish', 'recoat', 'respray', 'strip'] as const;
export type RepairVerdict = (typeof REPAIR_VERDICTS)[number];
export type Rung = {
  when?: RungWhen | undefined;
  verdict: RepairVerdict;
  ladder?: string | undefined;
  do: string;
};
export type LookAlike = { pair: readonly [string, string]; ask: readonly string[] };
export type CausePair = {
  id: string;
  pair: readonly [string, string];
  strength: Readonly<Record<string, number>>;
};

export type Knowledge = {
  version: number;
  faults: readonly Fault[];
  causes: readonly Cause[];
  questions: readonly Question[];
  causeQuestions: readonly CauseQuestion[];
  /** What an answer, to a question about faults or about causes, says of causes. */
  saidOfCauses: Readonly<Record<string, Readonly<Record<string, CauseAnswer>>>>;
  lookAlikes: readonly LookAlike[];
  causePairs: readonly CausePair[];
  ruledOut: readonly { fault: string; reading: string; in: readonly string[]; factor: number }[];
  /** Steps that make a fault worse: never advised while it leads. */
  never: Readonly<Record<string, readonly string[]>>;
  film: {
    leaveAtLeastUm: number;
    singleStageLeaveAtLeastUm: number;
    marginUm: number;
    estimateFactor: number;
  };
  rungs: Readonly<Record<string, readonly Rung[]>>;
  /**
   * What lies below decides: these go before any rung of another fault that would polish or coat
   * over it.
   */
  neverOver: {
    except: readonly string[];
    rungs: readonly Rung[];
    asks: { faults: readonly string[]; questions: readonly string[] };
  };
  /** Likelihood ratios of a reading. */
  evidence: Readonly<Record<Weight, { met: number; notMet: number }>>;
  evidenceCap: readonly [number, number];
  leak: number;
  /** Part of the answers that is wrong, whatever the fault. */
  misread: number;
  noneOfThesePrior: number;
};

/** None of the faults listed: chips, fallout, rust, something no painter did. */
export const NONE_OF_THESE = 'NONE_OF_THESE';
