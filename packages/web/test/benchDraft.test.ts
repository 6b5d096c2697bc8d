/** A finding as it is typed: answers keep their place, words find faults, a coat begins it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answered, EMPTY, faultsByWords, isGunSide } from '../src/faults/draft.ts';
import { benchOf } from '../src/faults/benchOf.ts';
import { movedTo } from '../src/faults/moves.ts';

type Given = { question: string; answer: string };
const answer = fc.record({ question: fc.constantFrom('a', 'b', 'c', 'd'), answer: fc.string() });

describe('answers at the bench', () => {
  it('are one a question, the newest of each, in the order the questions were first answered', () => {
    fc.assert(
      fc.property(fc.array(answer, { maxLength: 12 }), (given) => {
        const kept = given.reduce<Given[]>((so, next) => answered(so, next), []);
        const questions = [...new Set(given.map(({ question }) => question))];
        expect(kept.map(({ question }) => question)).toEqual(questions);
        for (const one of kept)
          expect(one).toEqual(given.findLast(({ question }) => question === one.question));
      }),
    );
  });
  it('begin with nothing said', () => {
    expect(EMPTY.answers).toEqual([]);
    expect(EMPTY.readings).toEqual({});
  });
  it('of a gun alone are those that look at the gun', () => {
    expect(isGunSide('q_burst')).toBe(true);
    expect(isGunSide('q_family')).toBe(false);
  });
});

describe('faults by words', () => {
  it('finds the fault that is called so first', () => {
    expect(faultsByWords('orange peel')[0]?.name.toLowerCase()).toContain('orange peel');
    expect(faultsByWords('there are fisheyes on the roof')[0]?.name.toLowerCase()).toContain(
      'fish',
    );
  });
  it('finds nothing in a letter, or in words of another trade', () => {
    expect(faultsByWords('o')).toEqual([]);
    expect(faultsByWords('carburettor gasket')).toEqual([]);
  });
  it('gives each the family that somebody would point at first', () => {
    for (const { family } of faultsByWords('peel')) expect(family).toMatch(/^[a-z_]+$/);
  });
});

describe('the way to the bench from a look', () => {
  const coat = { id: 'c1', ticketId: 't1' };
  it('takes the coat with it, and what was touched if it was one thing', () => {
    expect(benchOf(coat, ['peel'])).toMatch(/ticket=t1&coat=c1&family=bumpy_texture$/);
    expect(benchOf(coat, ['peel', 'run'])).toMatch(/coat=c1$/);
    expect(benchOf(coat, [])).toMatch(/coat=c1$/);
  });
});

describe('a change carried over', () => {
  it('lands within what the setting can be, or nowhere', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('inletKPa', 'distanceMm', 'overlapPercent', 'fluidTurnsOut' as const),
        fc.double({ min: 0.1, max: 400, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (setting, value, by) => {
          const to = movedTo({ setting, by } as Parameters<typeof movedTo>[0], value);
          if (to === undefined) return;
          expect(to).toBeCloseTo(value + by);
          expect(to).toBeGreaterThanOrEqual(0);
        },
      ),
    );
    expect(movedTo({ setting: 'nozzleMm', times: 10 } as never, 1.3)).toBeUndefined();
    expect(movedTo({ setting: 'nozzleMm', times: 1 } as never, 1.3)).toBeUndefined();
  });
});
