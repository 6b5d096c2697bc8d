import { describe, expect, it } from 'vitest';
import { answerOrRefuse, calculationNames, registry } from '../src/registry.ts';
import { VERDICTS } from '../src/words/verdictWords.ts';
import { examplesOf, shortfalls } from './examplePairs.ts';

describe.each(calculationNames)('the example pairs of %s', (name) => {
  const examples = examplesOf(name);
  const answerTo = (title: string): unknown => {
    const outcome = answerOrRefuse(
      name,
      examples.find((example) => example.title === title)!.input,
    );
    return 'answer' in outcome ? outcome.answer : undefined;
  };

  it.each(examples)('$title', (example) => {
    expect(shortfalls(example, answerOrRefuse(name, example.input), answerTo)).toEqual([]);
  });

  it.each(examples.filter((example) => !example.expect.error))(
    'says only verdicts that are its own: $title',
    (example) => {
      const { verdicts } = answerTo(example.title) as { verdicts: { code: string }[] };
      expect(
        verdicts.filter(({ code }) => !VERDICTS.get(code)?.calculations.includes(name)),
      ).toEqual([]);
    },
  );

  it.each(examples.filter((example) => !example.expect.error))(
    'answers in its own schema: $title',
    (example) => {
      expect(registry[name].answer.safeParse(answerTo(example.title)).error).toBeUndefined();
    },
  );
});
