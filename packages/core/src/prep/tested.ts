/** What the tests on the list said goes into the layer that they were made on. */
import type { LayerTests, TakenIn } from '../layers/foundLayer.ts';
import { SKIPPED, type Answered, type PrepInput } from './prepInput.ts';

/** The last answer to each key. */
export const lastAnswers = ({
  done = [],
}: {
  done?: readonly Answered[] | undefined;
}): Map<string, Answered> => new Map(done.map((answered) => [answered.key, answered]));

export const TEST_OF = { tapePull: 'tape', solventRub: 'rub', testPatch: 'patch' } as const;
type TestKind = keyof typeof TEST_OF;
export const TESTS = Object.keys(TEST_OF) as TestKind[];

/** Answers to the tests go into the top layer of their panel, and the layers are judged anew. */
export function withTests(
  input: Pick<PrepInput, 'panels'> & { done?: readonly Answered[] | undefined },
  kinds: readonly TestKind[],
): TakenIn[] {
  const answers = lastAnswers(input);
  const told = (panel: string): LayerTests =>
    Object.fromEntries(
      kinds.flatMap((kind) => {
        const answer = answers.get(`0.${kind}.${panel}`)?.answer;
        return answer && answer !== SKIPPED ? [[TEST_OF[kind], answer]] : [];
      }),
    );
  return input.panels.map((panel) => {
    const tests = told(panel.name);
    if (Object.keys(tests).length === 0) return panel;
    // What was tried and never told is paint that nobody knows.
    const { found: [...under] = [] } = panel;
    const top = under.pop() ?? { history: 'unknownOld' as const };
    return { ...panel, found: [...under, { ...top, tests: { ...top.tests, ...tests } }] };
  });
}
