/** Whatever may be seen of a fault and logged about its coat, and what the bench says to it. */
import fc from 'fast-check';
import { theKnowledge } from '../../src/knowledge/knowledge.ts';
import { ask } from '../../src/calculations/ask.ts';
import { diagnoseCalculation } from '../../src/calculations/diagnose.ts';
import type { AnswerOf, InputOf } from '../../src/registry.ts';

export const { files, knowledge } = theKnowledge();
export const asked = [...files.questions.questions, ...files.questions.causeQuestions];
export const RUNS = { numRuns: 40 };

export type Observation = { question: string; answer: string };
export const anyAnswer = (question: (typeof asked)[number]): fc.Arbitrary<Observation> =>
  fc
    .constantFrom(...Object.keys(question.options))
    .map((answer) => ({ question: question.id, answer }));
export const observations = (least = 0, most = 8) =>
  fc
    .shuffledSubarray(asked, { minLength: least, maxLength: most })
    .chain((some) => fc.tuple(...some.map(anyAnswer)));

export const numeric = Object.entries(files.readings.readings);
export const anyReading = ([id, reading]: (typeof numeric)[number]): fc.Arbitrary<
  [string, number | boolean | string]
> =>
  (reading.kind === 'bool'
    ? fc.boolean()
    : reading.kind === 'enum'
      ? fc.constantFrom(...reading.values)
      : fc.double({
          min: Math.max(reading.from, -3),
          max: reading.from > 3 ? reading.to : Math.min(reading.to, 3),
          noNaN: true,
        })
  ).map((value) => [id, value]);
export const readings = (most = 8) =>
  fc
    .shuffledSubarray(numeric, { maxLength: most })
    .chain((some) => fc.tuple(...some.map(anyReading)))
    .map((entries) => Object.fromEntries(entries));

export const diagnose = (
  seen: Observation[],
  log: Record<string, number | boolean | string> = {},
  more: Partial<InputOf<'diagnose'>> = {},
) => ask(diagnoseCalculation, { observations: seen, conditions: { readings: log }, ...more });
export const probabilities = (answer: AnswerOf<'diagnose'>) =>
  answer.faults.map(({ id, probability }) => [id, probability.toFixed(9)]);
export const ranking = (answer: AnswerOf<'diagnose'>) => ({
  faults: probabilities(answer),
  causes: answer.causes.map(({ id }) => id),
});

/** The surest story for a fault: every question answered as that fault makes most likely. */
export const clearestStory = (fault: string): Observation[] =>
  files.questions.questions.flatMap(({ id, options, skips }) => {
    const row = knowledge.questions.find((question) => question.id === id)!;
    const weights = row.rows[fault];
    if (!weights) return [];
    const best = weights.indexOf(Math.max(...weights));
    const answer = Object.keys(options)[best]!;
    return skips.includes(answer) ? [] : [{ question: id, answer }];
  });
