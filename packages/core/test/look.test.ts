/** Pictures of faults: worse shows more, the same is the same, and each is told from the others. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closeUpOf, CLOSE_UPS, type CloseUp } from '../src/look/closeUp.ts';
import { shaded } from '../src/look/shading.ts';
import { flatSurface } from '../src/look/surface.ts';

const PLACE = { columns: 160, rows: 100, cellMm: 0.5 };
const LIGHT = { lampAt: 0.22, colour: [111, 48, 38], steepness: 12, seed: 3 } as const;
const picture = (closeUp: CloseUp, severity: number, seed = 1) =>
  shaded(closeUpOf({ closeUp, severity, seed, ...PLACE }), LIGHT);
const FAULTS = CLOSE_UPS.filter((name) => name !== 'sound');

const grey = (image: Uint8ClampedArray) =>
  Float64Array.from({ length: image.length / 4 }, (_, i) => image[i * 4]!);
const spread = (values: ArrayLike<number>) => {
  const all = Array.from(values);
  const mean = all.reduce((sum, v) => sum + v, 0) / all.length;
  return Math.sqrt(all.reduce((sum, v) => sum + (v - mean) ** 2, 0) / all.length);
};
const apart = (a: Uint8ClampedArray, b: Uint8ClampedArray) => {
  const other = grey(b);
  const off = grey(a).map((v, i) => (v - other[i]!) ** 2);
  return Math.sqrt(off.reduce((sum, v) => sum + v, 0) / off.length);
};

describe('a close-up', () => {
  it('is the same every time, and whole', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLOSE_UPS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (closeUp, severity, seed) => {
          const small = { closeUp, severity, seed, columns: 40, rows: 24, cellMm: 0.5 };
          const surface = closeUpOf(small);
          for (const field of [surface.heightUm, surface.tone, surface.wetness])
            expect(field.every(Number.isFinite)).toBe(true);
          expect(surface.wetness.every((w) => w >= 0)).toBe(true);
          expect(shaded(surface, LIGHT)).toEqual(shaded(closeUpOf(small), LIGHT));
        },
      ),
      { numRuns: 60 },
    );
  });

  it.each(FAULTS)('%s shows, and worse shows more', (closeUp) => {
    const sound = picture('sound', 0);
    const [little, much, most] = [0.1, 0.5, 1].map((severity) =>
      apart(picture(closeUp, severity), sound),
    );
    expect(little).toBeGreaterThan(0);
    expect(much).toBeGreaterThan(little!);
    expect(most).toBeGreaterThan(much!);
  });

  it('refuses what it cannot draw', () => {
    expect(() => closeUpOf({ closeUp: 'peel', severity: 1.2, seed: 1, ...PLACE })).toThrow(
      'from 0 to 1',
    );
    expect(() => flatSurface(0, 10, 1)).toThrow(RangeError);
  });
});

describe('the shader', () => {
  it('shows a lamp in gloss and none in dust', () => {
    const wet = flatSurface(100, 20, 1);
    const dry = { ...flatSurface(100, 20, 1), wetness: new Float32Array(2000).fill(0.1) };
    const brightest = (surface: typeof wet) => Math.max(...grey(shaded(surface, LIGHT)));
    expect(brightest(wet)).toBeGreaterThan(brightest(dry) + 60);
    expect(spread(grey(shaded(wet, { ...LIGHT, lampAt: 0.5 })))).toBeGreaterThan(20);
  });

  it('moves the lamp where it is put', () => {
    const wet = flatSurface(200, 4, 1);
    const at = (lampAt: number) => {
      const row = grey(shaded(wet, { ...LIGHT, lampAt })).slice(0, 100);
      return row.indexOf(Math.max(...row));
    };
    expect(at(0.1)).toBeLessThan(at(0.2));
    expect(at(0.2)).toBeLessThan(at(0.3));
  });
});

/** What a reader sees that knows no names: how rough at three scales, both ways, how dark. */
function readingOf(image: Uint8ClampedArray): number[] {
  const values = grey(image);
  const { columns, rows } = PLACE;
  const rough = (dx: number, dy: number) => {
    const steps: number[] = [];
    for (let row = 0; row < rows - dy; row++)
      for (let column = 0; column < columns - dx; column++)
        steps.push(values[(row + dy) * columns + column + dx]! - values[row * columns + column]!);
    const mean = spread(steps);
    const sharp = steps.filter((step) => Math.abs(step) > 3 * mean).length / steps.length;
    return [Math.log(mean + 0.1), 8 * sharp];
  };
  const scales = [1, 4, 14].flatMap((scale) => [...rough(scale, 0), ...rough(0, scale)]);
  // Whether what stands out of its neighbours is dark or light, small or wide.
  const outOf = (reach: number) => {
    const over: number[] = [];
    for (let row = reach; row < rows - reach; row++)
      for (let column = reach; column < columns - reach; column++) {
        const at = row * columns + column;
        const round = [at - reach, at + reach, at - reach * columns, at + reach * columns];
        over.push(values[at]! - round.reduce((sum, i) => sum + values[i]!, 0) / 4);
      }
    const wide = spread(over) || 1;
    return over.reduce((sum, v) => sum + (v / wide) ** 3, 0) / over.length / 10;
  };
  const sorted = [...values].sort((a, b) => a - b);
  const level = (share: number) => sorted[Math.floor(share * (sorted.length - 1))]! / 40;
  return [
    ...scales,
    outOf(2),
    outOf(6),
    level(0.01),
    level(0.25),
    level(0.5),
    level(0.75),
    level(0.99),
  ];
}

/** These need the loupe: at arm's length one is taken for the other, as on a car. */
const SMALL: readonly string[] = ['pop', 'pinhole', 'dust'];
const familyOf = (name: string | undefined) => (SMALL.includes(name ?? '') ? 'small' : name);

it('a reader who learned from other panels names what it sees', () => {
  const seeds = [11, 12, 13, 14, 15, 16];
  const seen = FAULTS.map((closeUp) => seeds.map((seed) => readingOf(picture(closeUp, 0.7, seed))));
  const signs = seen[0]![0]!.map((_, i) => spread(seen.flat().map((reading) => reading[i]!)) || 1);
  const middles = seen.map((readings) =>
    signs.map((_, i) => readings.reduce((sum, one) => sum + one[i]!, 0) / readings.length),
  );
  const named = (reading: number[]) => {
    const off = middles.map((middle) =>
      Math.hypot(...middle.map((v, i) => (v - reading[i]!) / signs[i]!)),
    );
    return FAULTS[off.indexOf(Math.min(...off))];
  };
  const tried = FAULTS.flatMap((closeUp) => [21, 22, 23].map((seed) => ({ closeUp, seed })));
  const wrong = tried.flatMap(({ closeUp, seed }) => {
    const name = named(readingOf(picture(closeUp, 0.7, seed)));
    return familyOf(name) === familyOf(closeUp) ? [] : [`${closeUp} as ${name}`];
  });
  expect(wrong.length / tried.length, wrong.join(', ')).toBeLessThanOrEqual(0.1);
});
