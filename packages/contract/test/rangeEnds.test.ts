/**
 * Every figure of every example, taken to either end of its range and to almost nothing: refused in
 * words or answered whole, never with a hole in it, never with a fault of our own.
 */
import { describe, expect, it } from 'vitest';
import { rangeIfAny } from '../src/quantity/ranges.ts';
import { answerOrRefuse, calculationNames } from '../src/registry.ts';
import { examplesOf } from './examplePairs.ts';

type Path = (string | number)[];
type Leaf = { path: Path; field: string };

function figuresIn(value: unknown, path: Path = []): Leaf[] {
  if (typeof value === 'number') {
    const field = path.findLast((part) => typeof part === 'string') as string;
    return [{ path, field }];
  }
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    figuresIn(inner, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}

function withFigure(input: unknown, path: Path, figure: number): unknown {
  const copy = structuredClone(input);
  let at = copy as Record<string | number, unknown>;
  for (const part of path.slice(0, -1)) at = at[part] as Record<string | number, unknown>;
  at[path.at(-1)!] = figure;
  return copy;
}

/** What JSON would turn into null, or what is null already. */
const holesIn = (value: unknown, path: Path = []): Path[] =>
  value === null || (typeof value === 'number' && !Number.isFinite(value))
    ? [path]
    : typeof value === 'object'
      ? Object.entries(value).flatMap(([key, inner]) => holesIn(inner, [...path, key]))
      : [];

const ALMOST_NOTHING = 1e-9;

/** Two examples of each; those whose figures carry a unit of their own have none here. */
const figures = calculationNames.map((name) => ({
  name,
  asked: examplesOf(name)
    .slice(0, 2)
    .flatMap(({ input }) =>
      figuresIn(input).flatMap(({ path, field }) => {
        const range = rangeIfAny(field);
        return range ? [{ input, path, ends: [range.from, range.to, ALMOST_NOTHING] }] : [];
      }),
    ),
}));

describe('at the ends of every range', () => {
  it.each(figures.filter(({ asked }) => asked.length > 0))(
    '$name answers whole or refuses',
    ({ name, asked }) => {
      for (const { input, path, ends } of asked)
        for (const figure of ends) {
          const outcome = answerOrRefuse(name, withFigure(input, path, figure));
          if ('answer' in outcome)
            expect(holesIn(outcome.answer), `${path.join('.')} = ${figure}`).toEqual([]);
          else expect(outcome.error.message).not.toBe('');
        }
    },
  );

  it('most calculations have figures to be tried', () =>
    expect(figures.filter(({ asked }) => asked.length > 0).length).toBeGreaterThan(
      figures.length / 2,
    ));
});
