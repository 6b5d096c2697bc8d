import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitOf } from '../src/mix/kit.ts';
import { mixOf } from '../src/mix/mix.ts';
import { pourableMl, roundedToParts } from '../src/mix/pourable.ts';
import { pourCheckOf } from '../src/mix/pourCheck.ts';
import { sharesOf, type Recipe } from '../src/mix/recipe.ts';

const amount = fc.double({ min: 0.25, max: 8, noNaN: true });
const parts = fc.tuple(amount, amount, amount).map(([a, b, c]): Recipe => ({
  parts: [
    { name: 'Paint', parts: a, role: 'paint' },
    { name: 'Hardener', parts: b, role: 'hardener' },
    { name: 'Reducer', parts: c, role: 'reducer' },
  ],
}));
const basis = fc.constantFrom('paint', 'mixSoFar', 'finalMix' as const);
const additions = fc
  .array(fc.record({ percent: fc.double({ min: 0, max: 24, noNaN: true }), of: basis }), {
    maxLength: 4,
  })
  .map((list): Recipe => ({
    paint: 'Paint',
    additions: list.map((a, i) => ({ ...a, name: `Addition ${i}` })),
  }));
const recipe = fc.oneof(parts, additions);
const ready = fc.double({ min: 20, max: 9000, noNaN: true });
const close = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(b));

describe('a recipe', () => {
  it('has shares that make the whole', () => {
    fc.assert(
      fc.property(recipe, (r) =>
        close(
          sharesOf(r).reduce((sum, { share }) => sum + share, 0),
          1,
        ),
      ),
    );
  });
  it('keeps three readings of the same per cent apart', () => {
    const of = (b: 'paint' | 'mixSoFar' | 'finalMix') =>
      sharesOf({
        parts: [
          { name: 'P', parts: 2 },
          { name: 'H', parts: 1 },
        ],
        additions: [{ name: 'R', percent: 25, of: b }],
      })[2]!.share;
    expect(of('paint')).toBeCloseTo(0.5 / 3.5, 10);
    expect(of('mixSoFar')).toBeCloseTo(0.2, 10);
    expect(of('finalMix')).toBeCloseTo(0.25, 10);
  });
});

describe('a mix', () => {
  it('pours all that is wanted, in equal batches none above the cup', () => {
    fc.assert(
      fc.property(
        recipe,
        ready,
        fc.double({ min: 50, max: 900, noNaN: true }),
        (r, readyMl, capacityMl) => {
          const answer = mixOf({ recipe: r, readyMl, cup: { capacityMl }, hardener: 'none' });
          const batches = answer.batches!;
          expect(close(answer.components!.at(-1)!.cumulativeMl, readyMl)).toBe(true);
          expect(
            close(
              batches.reduce((sum, b) => sum + b.readyMl, 0),
              readyMl,
            ),
          ).toBe(true);
          expect(
            batches.every(
              (b) => b.readyMl <= capacityMl + 1e-6 && close(b.readyMl, batches[0]!.readyMl),
            ),
          ).toBe(true);
          expect(batches[0]!.fillToMl.every((ml, i, all) => i === 0 || ml >= all[i - 1]!)).toBe(
            true,
          );
        },
      ),
    );
  });

  it('makes as much as the tin that runs out first allows, and no tin goes under empty', () => {
    fc.assert(
      fc.property(parts, ready, ready, (r, paintMl, hardenerMl) => {
        const answer = mixOf({
          recipe: r,
          have: [
            { name: 'Paint', ml: paintMl },
            { name: 'Hardener', ml: hardenerMl },
          ],
          hardener: 'other',
        });
        const left = answer.components!.map(({ leftOverMl = 0 }) => leftOverMl);
        expect(left.every((ml) => ml >= 0)).toBe(true);
        expect(
          answer.components!.find(({ name }) => name === answer.limitedBy)!.leftOverMl,
        ).toBeCloseTo(0, 6);
      }),
    );
  });

  it('weighs cumulatively what it pours', () => {
    const answer = mixOf({
      recipe: {
        parts: [
          { name: 'P', parts: 4 },
          { name: 'H', parts: 1 },
        ],
      },
      readyMl: 500,
      densitiesGPerMl: { P: 1.2, H: 1 },
    });
    expect(answer.components!.map(({ cumulativeGrams }) => cumulativeGrams)).toEqual([480, 580]);
    expect(answer.readyGrams).toBe(580);
  });

  it("shows the printed scale's mark where the level meets it", () => {
    const cup = {
      capacityMl: 600,
      columns: [{ component: 'H', marks: [{ label: '3', atMl: 375 }] }],
    };
    const answer = mixOf({
      recipe: {
        parts: [
          { name: 'P', parts: 4 },
          { name: 'H', parts: 1 },
        ],
      },
      readyMl: 375,
      cup,
    });
    expect(answer.components![1]!.mark).toEqual({ column: 'H', label: '3' });
  });

  it('warms cold paint rather than thinning it: a stop, with nothing listed to pour', () => {
    const cold = mixOf({
      recipe: { parts: [{ name: 'P', parts: 1 }] },
      readyMl: 100,
      temperatureC: 12,
    });
    expect(cold.verdicts.map(({ code }) => code)).toContain('material-too-cold');
    expect(cold.components).toBeUndefined();
  });

  it('counts an unlabelled mix as two-pack until it is known', () => {
    const codes = (hardener?: 'none') =>
      mixOf({
        recipe: {
          parts: [
            { name: 'P', parts: 2 },
            { name: 'Q', parts: 1 },
          ],
        },
        readyMl: 90,
        ...(hardener ? { hardener } : {}),
      }).verdicts.map(({ code }) => code);
    expect(codes()).toContain('two-pack-breathing');
    expect(codes('none')).not.toContain('two-pack-breathing');
  });
});

describe('what was poured', () => {
  it('is right again after adding what is listed, and never asks to take out', () => {
    fc.assert(
      fc.property(parts, fc.tuple(ready, ready, ready), (r, [a, b, c]) => {
        const poured = [
          { name: 'Paint', ml: a },
          { name: 'Hardener', ml: b },
          { name: 'Reducer', ml: c },
        ];
        const first = pourCheckOf({ recipe: r, poured });
        expect((first.correct ?? []).every(({ addMl }) => addMl > 0)).toBe(true);
        const mended = poured.map((part) => ({
          ...part,
          ml: part.ml + (first.correct?.find(({ name }) => name === part.name)?.addMl ?? 0),
        }));
        const second = pourCheckOf({ recipe: r, poured: mended });
        if (first.correct) expect(second.verdicts.map(({ code }) => code)).toEqual(['pour-good']);
        expect(
          close(
            mended.reduce((sum, { ml }) => sum + ml, 0),
            first.correct ? first.readyMl : first.pouredMl,
          ),
        ).toBe(true);
      }),
    );
  });

  it('with hardener and reducer the wrong way round is stopped', () => {
    const sheet = {
      parts: [
        { name: 'Epoxy', parts: 2, role: 'paint' as const },
        { name: 'E-1', parts: 1, role: 'hardener' as const },
        { name: 'T-20', parts: 0.5, role: 'reducer' as const },
      ],
    };
    const answer = pourCheckOf({
      recipe: { parts: sheet.parts },
      sheet,
      poured: [
        { name: 'Epoxy', ml: 400 },
        { name: 'E-1', ml: 100 },
        { name: 'T-20', ml: 200 },
      ],
    });
    expect(answer.verdicts.map(({ code }) => code)).toContain('hardener-reducer-swapped');
  });
});

it('says of a kit what it makes, what is left, and what a ready litre costs', () => {
  fc.assert(
    fc.property(parts, ready, ready, (r, p, h) => {
      const answer = kitOf({
        recipe: r,
        packs: [
          { name: 'Paint', ml: p, price: 50 },
          { name: 'Hardener', ml: h, price: 20 },
        ],
      });
      expect(answer.leftOver.every(({ ml }) => ml >= 0)).toBe(true);
      expect(Math.min(...answer.leftOver.map(({ ml }) => ml))).toBeCloseTo(0, 6);
      expect(close(answer.pricePerReadyL! * (answer.readyMl / 1000), 70)).toBe(true);
    }),
  );
});

it('tells no price of a ready litre while a pack has none, and one price for packs of one name', () => {
  const recipe = {
    parts: [
      { name: 'Paint', parts: 4 },
      { name: 'Hardener', parts: 1 },
    ],
  };
  const paint = { name: 'Paint', ml: 1000, price: 40 };
  const unpriced = kitOf({ recipe, packs: [paint, { name: 'Hardener', ml: 250 }] });
  expect(unpriced.pricePerReadyL).toBeUndefined();
  expect(unpriced.pricePerL).toEqual([{ name: 'Paint', value: 40 }]);
  const packs = [
    paint,
    { ...paint, ml: 3000, price: 80 },
    { name: 'Hardener', ml: 1000, price: 30 },
  ];
  expect(kitOf({ recipe, packs })).toMatchObject({
    pricePerReadyL: 30,
    pricePerL: [
      { name: 'Paint', value: 30 },
      { name: 'Hardener', value: 30 },
    ],
  });
});

describe('how much to mix', () => {
  it('is rounded up to what a cup shows, and never by a whole line', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 9000, noNaN: true }), (ml) => {
        expect(pourableMl(ml)).toBeGreaterThanOrEqual(ml - 1e-6);
        expect(pourableMl(ml) - ml).toBeLessThan(25);
      }),
    );
  });
  it('rounds up so that every part of every cup can be poured to a mark', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 4000, noNaN: true }),
        fc.constantFrom([4, 1, 1], [3, 1, 1], [2, 1, 0.5], [1, 1], [2, 1]),
        (readyMl, ratio) => {
          const rounded = roundedToParts(readyMl, ratio, 600);
          const cups = Math.ceil(rounded / 600 - 1e-9);
          const unit = rounded / cups / ratio.reduce((a, b) => a + b, 0);
          expect(rounded).toBeGreaterThanOrEqual(readyMl - 1e-6);
          for (const part of ratio)
            expect(Math.abs((unit * part) / 5 - Math.round((unit * part) / 5))).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

describe('a mesh', () => {
  const recipe: Recipe = { parts: [{ name: 'Base', parts: 1, role: 'paint' }] };
  const codes = (more: object) =>
    mixOf({ recipe, readyMl: 100, ...more }).verdicts.map(({ code }) => code);
  it('holds flake back where it is finer than the pigment wants, the sheet’s word first', () => {
    const cup = { capacityMl: 600, strainerUm: 130 };
    expect(codes({ cup, finish: 'silver' })).toContain('strainer-too-fine');
    expect(codes({ cup, finish: 'solid' })).not.toContain('strainer-too-fine');
    expect(codes({ cup, finish: 'solid', strainerUm: 190 })).toContain('strainer-too-fine');
    expect(codes({ cup, finish: 'flake' })).not.toContain('strainer-too-fine');
    expect(codes({ finish: 'silver' })).not.toContain('strainer-too-fine');
  });
  it('a mix for melting edges says so', () => {
    expect(codes({ blendOnly: true })).toContain('blend-only');
    expect(codes({})).not.toContain('blend-only');
  });
});
