/** Pictures of faults: worse shows more, the same is the same, and each is told from the others. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { burstOf } from '../src/look/burst.ts';
import { PATTERNS, type Pattern } from '../src/gun/patternSymptoms.ts';
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
  const seeds = [11, 12, 13, 14];
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
  const tried = FAULTS.flatMap((closeUp) => [21, 22].map((seed) => ({ closeUp, seed })));
  const wrong = tried.flatMap(({ closeUp, seed }) => {
    const name = named(readingOf(picture(closeUp, 0.7, seed)));
    return familyOf(name) === familyOf(closeUp) ? [] : [`${closeUp} as ${name}`];
  });
  expect(wrong.length / tried.length, wrong.join(', ')).toBeLessThanOrEqual(0.1);
});

/** What is left of a burst when its picture is told in a few figures: where the paint lies. */
function burstReading(pattern: Pattern, severity: number, seed: number): number[] {
  const { columns, rows, heightUm } = burstOf({ pattern, severity, columns: 80, seed });
  const along = new Float64Array(24);
  const mean = { weight: 0, x: 0, y: 0 };
  heightUm.forEach((um, at) => {
    const [x, y] = [at % columns, Math.floor(at / columns)];
    mean.weight += um;
    mean.x += um * x;
    mean.y += um * y;
    along[Math.floor((y / rows) * along.length)]! += um;
  });
  const [midX, midY] = [mean.x / mean.weight, mean.y / mean.weight];
  const sums = { yy: 0, xy: 0, y3: 0, y4: 0, xyy: 0 };
  heightUm.forEach((um, at) => {
    const [dx, dy] = [(at % columns) - midX, Math.floor(at / columns) - midY];
    sums.yy += um * dy ** 2;
    sums.xy += um * dx * dy;
    sums.y3 += um * dy ** 3;
    sums.y4 += um * dy ** 4;
    sums.xyy += um * dx * dy ** 2;
  });
  const long = Math.sqrt(sums.yy / mean.weight);
  const inside = [...along].slice(7, 17);
  const dips = inside.map((v, i) => v / (((inside[i - 1] ?? v) + (inside[i + 1] ?? v)) / 2));
  return [
    long / rows,
    midY / rows,
    sums.xy / mean.weight / long / columns,
    sums.y3 / mean.weight / long ** 3,
    sums.y4 / mean.weight / long ** 4,
    sums.xyy / mean.weight / long ** 2 / columns,
    Math.min(...dips),
  ];
}

it.each([
  [1, 0.05],
  [0.7, 0.1],
  [0.55, 0.15],
])('a burst %f plain is told by where its paint lies', (severity, wrongShare) => {
  const learned = PATTERNS.map((pattern) =>
    Array.from({ length: 12 }, (_, i) => burstReading(pattern, severity, 100 + i)),
  );
  const middles = learned.map((all) =>
    all[0]!.map((_, i) => all.reduce((sum, one) => sum + one[i]!, 0) / all.length),
  );
  // How far one burst of a pattern lies from another of the same, figure by figure.
  const within = middles[0]!.map(
    (_, i) =>
      Math.sqrt(
        learned.reduce((sum, all) => sum + spread(all.map((one) => one[i]!)) ** 2, 0) /
          learned.length,
      ) || 1,
  );
  const wrong = PATTERNS.flatMap((pattern) =>
    Array.from({ length: 8 }, (_, i) => {
      const reading = burstReading(pattern, severity, 500 + i);
      const off = middles.map((middle) =>
        Math.hypot(...middle.map((v, j) => (v - reading[j]!) / within[j]!)),
      );
      const named = PATTERNS[off.indexOf(Math.min(...off))]!;
      return named === pattern ? [] : [`${pattern} as ${named}`];
    }).flat(),
  );
  expect(wrong.length / (8 * PATTERNS.length), wrong.join(', ')).toBeLessThanOrEqual(wrongShare);
});

it('a burst is the same every time, on its paper, and refuses what is not plain', () => {
  for (const pattern of PATTERNS) {
    const burst = burstOf({ pattern, severity: 0.7, columns: 60, seed: 3 });
    expect(burst).toEqual(burstOf({ pattern, severity: 0.7, columns: 60, seed: 3 }));
    const inked = burst.tone.filter((tone) => tone < 0.7).length / burst.tone.length;
    expect(inked).toBeGreaterThan(0.05);
    expect(inked).toBeLessThan(0.8);
  }
  const asked = { pattern: 'even', columns: 60, seed: 3 } as const;
  expect(() => burstOf({ ...asked, severity: -0.1 })).toThrow('from 0 to 1');
});
