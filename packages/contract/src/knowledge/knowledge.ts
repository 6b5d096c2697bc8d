/** What is known about faults, as the judgement of core wants it, and as words for the painter. */
import type { Knowledge } from '@orthochrom/core/diagnosis/knowledge.ts';
import { filesOf, RAW_FILES, type Files, type RawFiles } from './files.ts';
import { checkReferences } from './references.ts';

type Letter = keyof Files['numbers']['letterWeights'];

/** @throws BadKnowledge when a file is not what it should be, or an id in it leads nowhere */
export function knowledgeOf(raw: RawFiles): { files: Files; knowledge: Knowledge } {
  const files = filesOf(raw);
  checkReferences(files);
  const { causes, faults, numbers, pairs, questions, repairs, steps } = files;
  const weigh = (row: string | Record<string, Letter>, options: readonly string[]): number[] =>
    typeof row === 'string'
      ? [...row].map((letter) => numbers.letterWeights[letter as Letter])
      : options.map((option) => numbers.letterWeights[row[option] ?? 'N']);
  const knowledge: Knowledge = {
    version: numbers.version,
    faults: faults.faults.map(({ id, showsIn, seen }) => ({
      id,
      showsIn,
      seen,
      below: repairs.below[id],
    })),
    causes: causes.causes.map(({ id, layers, steps: moves }) => {
      const { prior, evidence, makes } = numbers.causes[id]!;
      return { id, layers, steps: moves, prior: numbers.priors[prior], evidence, makes };
    }),
    questions: questions.questions.map(({ options, ask: _, ...question }) => {
      const ids = Object.keys(options);
      const { base, rows } = numbers.questions[question.id]!;
      return {
        ...question,
        options: ids,
        base: weigh(base, ids),
        rows: Object.fromEntries(
          Object.entries(rows).map(([fault, row]) => [fault, weigh(row, ids)]),
        ),
      };
    }),
    causeQuestions: questions.causeQuestions.map(({ options, ask: _, ...question }) => ({
      ...question,
      options: Object.keys(options),
    })),
    saidOfCauses: numbers.saidOfCauses,
    lookAlikes: pairs.lookAlikes,
    causePairs: pairs.causePairs.map(({ id, pair }) => ({
      id,
      pair,
      strength: numbers.pairStrengths[id] ?? {},
    })),
    ruledOut: numbers.ruledOut,
    never: steps.never,
    film: repairs.film,
    rungs: repairs.rungs,
    neverOver: repairs.neverOver,
    evidence: numbers.evidence,
    evidenceCap: numbers.evidenceCap,
    leak: numbers.leak,
    misread: numbers.misread,
    noneOfThesePrior: numbers.noneOfThesePrior,
  };
  return { files, knowledge };
}

let read: ReturnType<typeof knowledgeOf> | undefined;
/** Read and checked once, when first wanted. */
export const theKnowledge = () => (read ??= knowledgeOf(RAW_FILES));
