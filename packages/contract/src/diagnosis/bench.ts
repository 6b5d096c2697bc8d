/**
 * The diagnosis as the bench shows it: core's judgement over the readings, given or derived, that
 * may be relied on.
 */
import type { Trust } from '@orthochrom/core/trade/vocabulary.ts';
import { diagnoseAskingOn } from '@orthochrom/core/diagnosis/askOn.ts';
import type { Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import { filmStateOf } from '@orthochrom/core/diagnosis/decide.ts';
import { answerEvidence, posteriorOf, tablesOf } from '@orthochrom/core/diagnosis/answers.ts';
import { beliefsOf } from '@orthochrom/core/diagnosis/evidence.ts';
import { linksOf, logPriorsOf } from '@orthochrom/core/diagnosis/faultPrior.ts';
import { readingInfluences, type ReadingInfluence } from '@orthochrom/core/diagnosis/weights.ts';
import type { Layer, Log, ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import { readingsOf, type CoatRecord } from '@orthochrom/core/diagnosis/plannedAndDone.ts';
import { caution, type Verdict } from '@orthochrom/core/outcome/verdicts.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';

export type BenchInput = {
  observations: readonly { question: string; answer: string }[];
  layerSuspected?: Layer | undefined;
  conditions?:
    | {
        readings?: Readonly<Record<string, ReadingValue>> | undefined;
        trust?: Readonly<Record<string, Trust>> | undefined;
        planned?: CoatRecord | undefined;
        done?: CoatRecord | undefined;
      }
    | undefined;
  film?: 'wet' | 'dry' | undefined;
};
export type BenchAnswer = {
  diagnosis: Diagnosis;
  log: Record<string, ReadingValue>;
  verdicts: Verdict[];
  mayBeWet: boolean;
};

/** Texture in a lower layer is one fact under two readings: the layer, and whether any was seen. */
function withTexture(readings: Record<string, ReadingValue>): Record<string, ReadingValue> {
  const layer = readings['texture_layer'];
  return layer === undefined ? readings : { ...readings, texture_seen_below: layer !== 'none' };
}

/**
 * A reading given beats one derived from plan and record; one not trusted is left out of the log
 * altogether.
 */
export function atBench({
  observations,
  layerSuspected,
  conditions = {},
  film,
}: BenchInput): BenchAnswer {
  const { knowledge } = theKnowledge();
  const { readings = {}, trust = {}, planned, done } = conditions;
  const derived = readingsOf(planned, done);
  const all: Record<string, ReadingValue> = { ...derived.readings, ...readings };
  const relied = Object.entries(all).filter(([id]) => (trust[id] ?? 'good') === 'good');
  const leftOut = Object.keys(all).some((id) => (trust[id] ?? 'good') !== 'good');
  const log = withTexture(Object.fromEntries(relied));
  const isNew = !derived.verdicts.some(({ code }) => code === 'gauge-not-trusted');
  const tables = tablesOf(knowledge);
  const diagnosis = diagnoseAskingOn(knowledge, { observations, layerSuspected, log, film });
  return {
    diagnosis,
    log,
    verdicts: [
      ...derived.verdicts,
      ...(leftOut && isNew ? [caution('gauge-not-trusted')] : []),
      ...diagnosis.verdicts,
    ],
    mayBeWet: filmStateOf(tables, observations, film) !== 'dry',
  };
}

/** Which readings lean towards this fault or away from it, and how far; the loudest few. */
export function influencesOn(
  { observations, layerSuspected: seenIn }: BenchInput,
  log: Log,
  faultId: string,
): ReadingInfluence[] {
  const { knowledge } = theKnowledge();
  const logPriorsWith = (some: Log) =>
    logPriorsOf(knowledge, linksOf(knowledge, beliefsOf(knowledge, some), seenIn), some, seenIn);
  const posterior = posteriorOf(
    logPriorsWith(log),
    answerEvidence(tablesOf(knowledge), observations),
  );
  const fault = knowledge.faults.findIndex(({ id }) => id === faultId);
  return readingInfluences(log, posterior, fault, logPriorsWith)
    .filter(({ logRatio }) => Math.abs(logRatio) >= WORTH_SHOWING)
    .slice(0, MOST_LEANS);
}
const WORTH_SHOWING = Math.log(1.1);
const MOST_LEANS = 5;
