/**
 * Every physical field of every calculation holds its range: just inside is taken, just outside
 * refused with its path.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UNITS, convert, areAlike, type UnitName } from '@orthochrom/core/units/convert.ts';
import { quantity } from '../src/quantity/fields.ts';
import { rangeIfAny, rangeOf } from '../src/quantity/ranges.ts';
import { answerOrRefuse, calculationNames, schemasOf } from '../src/registry.ts';
import { examplesOf } from './examplePairs.ts';

type Json = Record<string, unknown>;
type Place = { path: (string | number)[]; field: string };

/** Places of an example's input that hold a number with a range of its own. */
function quantitiesIn(value: unknown, path: (string | number)[] = []): Place[] {
  if (Array.isArray(value)) return value.flatMap((item, i) => quantitiesIn(item, [...path, i]));
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).flatMap(([key, item]) => quantitiesIn(item, [...path, key]));
  const field = [...path].reverse().find((step) => typeof step === 'string') as string;
  const isNamedByShop = path.includes('densitiesGPerMl') || path.includes('vocGPerL');
  return typeof value === 'number' && !isNamedByShop && rangeIfAny(field) ? [{ path, field }] : [];
}

function withValue(input: unknown, [step, ...rest]: (string | number)[], value: unknown): unknown {
  if (step === undefined) return value;
  if (Array.isArray(input))
    return input.map((item: unknown, i) => (i === step ? withValue(item, rest, value) : item));
  return { ...(input as Json), [step]: withValue((input as Json)[step], rest, value) };
}

describe.each(calculationNames)('the fields of %s', (name) => {
  const examples = examplesOf(name).filter(({ expect: wanted }) => !wanted.error);
  it('refuse what lies outside their range, and say where', () => {
    for (const { input } of examples)
      for (const { path, field } of quantitiesIn(input)) {
        const { from, to } = rangeOf(field);
        for (const beyond of [
          from - Math.max(1e-6, Math.abs(from) * 1e-6),
          to + Math.max(1e-3, to * 1e-6),
        ]) {
          const outcome = answerOrRefuse(name, withValue(input, path, beyond));
          expect(
            'error' in outcome &&
              [outcome.error, ...(outcome.error.more ?? [])].some(
                (e) => e.code === 'out-of-range' && e.path.join() === path.join(),
              ),
            `${name} ${path.join('.')} = ${beyond}`,
          ).toBe(true);
        }
      }
  });

  it('refuse a field nobody knows, at every level', () => {
    for (const { input } of examples.slice(0, 2)) {
      const outcome = answerOrRefuse(name, { ...(input as Json), surprise: 1 });
      expect('error' in outcome && outcome.error).toMatchObject({
        code: 'unknown-field',
        path: ['surprise'],
      });
    }
  });

  it('have schemas that other programs can read', () => {
    const { input, answer } = schemasOf(name) as { input: Json; answer: Json };
    expect(input['type']).toBe('object');
    expect(Object.keys(answer['properties'] as Json)).toContain('verdicts');
  });
});

it('a quantity takes its range from its name, the longest ending first', () => {
  expect(rangeOf('overlapPercent').to).toBe(95);
  expect(rangeOf('transferEfficiencyPercent').to).toBe(100);
  expect(rangeOf('inletKPa').from).toBe(5);
  expect(rangeOf('supplyKPa').from).toBe(0);
  expect(() => rangeOf('mood')).toThrow(/mood/);
  expect(quantity('areaM2').safeParse(NaN).success).toBe(false);
});

describe('units', () => {
  const unit = fc.constantFrom(...(Object.keys(UNITS) as UnitName[]));
  it('convert there and back without loss', () => {
    fc.assert(
      fc.property(
        unit,
        unit,
        fc.double({ min: -200, max: 1e6, noNaN: true }),
        (from, to, value) => {
          fc.pre(areAlike(from, to));
          return (
            Math.abs(convert(convert(value, from, to), to, from) - value) <=
            1e-9 * Math.max(1, Math.abs(value))
          );
        },
      ),
    );
  });
  it.each([
    [30, 'C', 'F', 86],
    [25, 'psi', 'bar', 1.7237],
    [1, 'bar', 'psi', 14.504],
    [6, 'deltaC', 'deltaF', 10.8],
    [1, 'galUs', 'l', 3.78541],
    [1, 'cfm', 'lPerMin', 28.3168],
    [2, 'mil', 'um', 50.8],
  ] as const)('%s %s is %s %s', (value, from, to, wanted) => {
    expect(convert(value, from, to)).toBeCloseTo(wanted, 3);
  });
  it('that are unlike are a mistake of the program once they get this far', () => {
    expect(() => convert(1, 'psi', 'C')).toThrow(RangeError);
  });
});
