/**
 * Told stories of our own: each with its fault, its cause, the layer, the next step, and what must
 * not be advised.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { ask } from '../../src/calculations/ask.ts';
import { diagnoseCalculation } from '../../src/calculations/diagnose.ts';
import type { InputOf } from '../../src/registry.ts';

type Story = {
  id: string;
  story: string;
  layer?: NonNullable<InputOf<'diagnose'>['layerSuspected']>;
  film?: 'wet' | 'dry';
  log: Record<string, number | boolean | string>;
  answers: Record<string, string>;
  expect: {
    fault?: string;
    /** Nobody can tell yet which fault it is, and what is to be changed is told all the same. */
    open?: true;
    cause?: string;
    layer?: string;
    verdict?: string;
    says?: string;
    also?: string;
    never?: string;
  };
};
const { stories } = JSON.parse(
  readFileSync(path.join(import.meta.dirname, 'stories.json'), 'utf8'),
) as { stories: Story[] };

const told = ({ answers, log, layer, film }: Story) =>
  ask(diagnoseCalculation, {
    observations: Object.entries(answers).map(([question, answer]) => ({ question, answer })),
    conditions: { readings: log },
    ...(layer ? { layerSuspected: layer } : {}),
    ...(film ? { film } : {}),
  });
type Told = ReturnType<typeof told>;
const advised = ({ now, nextCoat, nextJob, repair }: Told): string =>
  [
    ...now.map(({ text }) => text),
    ...nextCoat.map(({ text }) => text),
    ...nextJob.map(({ change }) => change),
    ...(repair?.ladder.map(({ step }) => step) ?? []),
  ].join('\n');

describe('a story told at the bench', () => {
  it.each(stories.map((story) => [story.id, story.story, story] as const))(
    '%s: %s',
    (_, _story, story) => {
      const answer = told(story);
      const { fault, open, cause, verdict, says, also, never } = story.expect;
      const all = advised(answer);
      if (fault) {
        expect(answer.faults[0]?.id).toBe(fault);
        expect(answer.decided).toBe(true);
      }
      if (open) {
        expect(answer.decided).toBe(false);
        expect(answer.nextCoat.length).toBeGreaterThan(0);
        expect(answer.repair).toBeUndefined();
      }
      if (cause)
        expect(
          answer.causes.slice(0, 3).map(({ id }) => id),
          'cause',
        ).toContain(cause);
      if (story.expect.layer)
        expect(answer.causes[0]?.layer, 'root layer').toBe(story.expect.layer);
      if (verdict) expect(answer.repair?.verdict).toBe(verdict);
      for (const words of [says, also]) if (words) expect(all).toMatch(new RegExp(words));
      if (never) expect(all).not.toMatch(new RegExp(never));
    },
  );

  it('asks on where the next answer would turn what to do: one of its answers does', () => {
    const turned = stories.flatMap((story) => {
      const { nextQuestion, ...now } = told(story);
      if (!nextQuestion?.wouldChange) return [];
      const of = ({ faults, nextJob, repair }: Pick<Told, 'faults' | 'nextJob' | 'repair'>) =>
        JSON.stringify([
          faults[0]?.id,
          nextJob[0]?.change,
          repair?.ladder[0],
          repair?.verdict,
          repair?.ladder[1],
        ]);
      const then = nextQuestion.options.map((answer) =>
        of(told({ ...story, answers: { ...story.answers, [nextQuestion.id]: answer } })),
      );
      return [{ id: story.id, turns: then.some((other) => other !== of(now)) }];
    });
    expect(turned.length).toBeGreaterThan(3);
    expect(turned.filter(({ turns }) => !turns)).toEqual([]);
  });

  it('is one of thirty at least, each with something that must not be advised or that must be', () => {
    expect(stories.length).toBeGreaterThanOrEqual(30);
    for (const { expect: wanted } of stories) expect(wanted.says ?? wanted.never).toBeDefined();
  });
});
