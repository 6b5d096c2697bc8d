/** Colour through a film: printed vectors, the card, and laws of grounds. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hexOf, labOf, lightOfHex, lightOfLab, type Light } from '../src/colour/cielab.ts';
import { deltaE2000 } from '../src/colour/deltaE.ts';
import { apart, cardDepth, hidingDepth, masstone, overGround } from '../src/colour/hiding.ts';
import { cardColours, groundOf } from '../src/ground/ground.ts';
import type { GroundInput } from '../src/ground/groundInput.ts';

const full = (hex: string): Light => masstone(lightOfHex(hex));
const lab = (l: number, a: number, b: number) => ({ l, a, b });
const GREYS = ['#d9d9d6', '#b4b5b3', '#8d8f8e', '#636566', '#3c3e40'].map((colour, i) => ({
  name: `Grey ${i + 1}`,
  colour,
}));
const RED = { colour: '#a3161c', effect: 'solid' } as const;
const coats = (input: GroundInput) =>
  new Map(groundOf(input).ranked.map(({ name, coatsToHide }) => [name, coatsToHide!.value]));

describe('vectors', () => {
  it.each([
    ['#a3161c', 34.8914, 54.3994, 35.8142],
    ['#8d8f8e', 59.2148, -0.9276, 0.274],
    ['#1d3b6e', 25.3055, 7.8583, -32.9048],
    ['#f2c200', 80.4381, 3.2553, 82.0093],
    ['#ffffff', 100, 0, 0],
  ])('%s in CIELAB', (hex, l, a, b) => {
    const found = labOf(lightOfHex(hex));
    for (const [is, wanted] of [
      [found.l, l],
      [found.a, a],
      [found.b, b],
    ] as const)
      expect(is).toBeCloseTo(wanted, 3);
  });
  it.each([
    [lab(50, 2.5, 0), lab(73, 25, -18), 27.1492],
    [lab(50, 2.5, 0), lab(61, -5, 29), 22.8977],
    [lab(50, 2.5, 0), lab(58, 24, 15), 19.4535],
    [labOf(lightOfHex('#a3161c')), labOf(lightOfHex('#8e2a26')), 4.6268],
    [labOf(lightOfHex('#a3161c')), labOf(lightOfHex('#8d8f8e')), 36.8972],
    [lab(100, 0, 0), lab(0, 0, 0), 100],
  ])('ΔE2000 %#', (one, other, deltaE) => {
    expect(deltaE2000(one, other)).toBeCloseTo(deltaE, 3);
    expect(deltaE2000(other, one)).toBeCloseTo(deltaE, 3);
  });
  it.each([
    ['#a3161c', 1.5],
    ['#f4f4f2', 6.3256],
    ['#1d3b6e', 0.618],
    ['#f2c200', 6.6632],
    ['#7a7d80', 0.9839],
  ])('%s hides a card at x = %f', (hex, x) => {
    expect(cardDepth(full(hex))).toBeCloseTo(x, 3);
  });
  it('a red over mid grey at half a depth', () => {
    const [red, grey] = [full('#a3161c'), full('#8d8f8e')];
    const seen = overGround(red, grey, 0.5);
    [0.3365, 0.008, 0.0116].forEach((band, i) => expect(seen[i]).toBeCloseTo(band, 3));
    expect(apart(seen, red)).toBeCloseTo(1.2619, 3);
  });
  it.each([
    ['#f4f4f2', 0.9393],
    ['#d9d9d6', 0.7684],
    ['#b4b5b3', 0.3734],
    ['#8d8f8e', 0.3967],
    ['#636566', 0.6299],
    ['#3c3e40', 0.7017],
    ['#8e2a26', 0.3852],
  ])('that red over %s, of its card', (hex, share) => {
    const red = full('#a3161c');
    const x = cardDepth(red);
    expect(hidingDepth(red, full(hex), x) / x).toBeCloseTo(share, 3);
  });
  it('that red over the shop’s greys, in coats', () => {
    const found = coats({ topcoat: RED, grounds: GREYS, dryUmPerCoat: 5.5 });
    [3.073, 1.494, 1.587, 2.519, 2.807].forEach((value, i) =>
      expect(found.get(`Grey ${i + 1}`)).toBeCloseTo(value, 2),
    );
  });
  it('a candy over silver: where it stops, and how exact the hand must be', () => {
    const { ranked, candy } = groundOf({
      topcoat: { colour: '#b0101a', effect: 'candy' },
      grounds: [{ name: 'silver', colour: '#c4c6c8', texture: 'smooth' }],
      dryUmPerCoat: 3,
    });
    expect(ranked[0]!.coatsToHide!.value).toBeCloseTo(3.846, 2);
    expect(candy![0]!.missesBy).toBeCloseTo(1.73, 2);
    expect(candy![0]!.perTenPercentFilm).toBeCloseTo(1.37, 2);
    expect(candy![0]!.oneCoatMore).toBeCloseTo(3.04, 2);
  });
});

const anyHex = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 8, max: 247 })))
  .map((codes) => `#${codes.map((code) => code.toString(16).padStart(2, '0')).join('')}`);
const anyJob = fc
  .record({
    colour: anyHex,
    grounds: fc.uniqueArray(anyHex, { minLength: 1, maxLength: 4 }),
    dryUmPerCoat: fc.double({ min: 3, max: 25, noNaN: true }),
    hidingUm: fc.double({ min: 8, max: 60, noNaN: true }),
  })
  .map(({ colour, grounds, dryUmPerCoat, hidingUm }): GroundInput => ({
    topcoat: { colour, effect: 'solid', hidingUm },
    grounds: grounds.map((hex) => ({ name: hex, colour: hex })),
    dryUmPerCoat,
    tintWithTopcoat: false,
  }));
const ofAny = (law: (job: GroundInput) => void) =>
  fc.assert(fc.property(anyJob, law), { numRuns: 150 });

describe('grounds', () => {
  it('go up in coats along the ranking, each a band that begins at one', () => {
    ofAny((job) => {
      const { ranked } = groundOf(job);
      ranked.slice(1).forEach((one, i) => {
        expect(one.coatsToHide!.value).toBeGreaterThanOrEqual(ranked[i]!.coatsToHide!.value - 1e-9);
      });
      for (const { coatsToHide } of ranked) {
        const { low, value, high } = coatsToHide!;
        expect(1 <= low && low <= value && value <= high).toBe(true);
      }
    });
  });
  it('hide at a film that the coats do not move, and that goes with the card', () => {
    ofAny((job) => {
      const film = (change: Partial<GroundInput>) =>
        new Map(groundOf({ ...job, ...change }).ranked.map(({ name, filmUm }) => [name, filmUm!]));
      const at = film({});
      for (const [name, um] of film({ dryUmPerCoat: job.dryUmPerCoat * 2 }))
        expect(um).toBeCloseTo(at.get(name)!, 6);
      const twice = { ...job.topcoat, hidingUm: job.topcoat.hidingUm! * 2 };
      for (const [name, um] of film({ topcoat: twice }))
        expect(um).toBeCloseTo(2 * at.get(name)!, 5);
    });
  });
  it('of the colour itself come first with one coat, whatever lies beside', () => {
    ofAny((job) => {
      const own = { name: 'itself', colour: job.topcoat.colour };
      const { ranked } = groundOf({ ...job, grounds: [...job.grounds, own] });
      expect(ranked.find(({ name }) => name === 'itself')!.coatsToHide!.value).toBe(1);
      expect(ranked[0]!.filmUm).toBe(0);
      const alone = coats(job);
      for (const { name, coatsToHide } of ranked)
        if (name !== 'itself') expect(coatsToHide!.value).toBeCloseTo(alone.get(name)!, 9);
    });
  });
  it('lie lighter than a chromatic colour where a neutral one hides it best', () => {
    const bright = anyHex.filter((hex) => {
      const { l, a, b } = labOf(lightOfHex(hex));
      return Math.hypot(a, b) > 35 && l > 20 && l < 75;
    });
    const greys = Array.from({ length: 58 }, (_, i) => {
      const code = (15 + 4 * i).toString(16).padStart(2, '0');
      return { name: `grey ${i}`, colour: `#${code}${code}${code}` };
    });
    fc.assert(
      fc.property(bright, (colour) => {
        const [best] = groundOf({
          topcoat: { colour, effect: 'solid' },
          grounds: greys,
          dryUmPerCoat: 10,
          tintWithTopcoat: false,
        }).ranked;
        const found = greys.find(({ name }) => name === best!.name)!;
        expect(labOf(lightOfHex(found.colour)).l).toBeGreaterThan(labOf(lightOfHex(colour)).l);
      }),
      { numRuns: 60 },
    );
  });
  it('mixed save half a coat where they are offered, and lie between their parts', () => {
    fc.assert(
      fc.property(anyHex, (colour) => {
        const job = {
          topcoat: { colour, effect: 'solid' as const },
          grounds: GREYS,
          dryUmPerCoat: 6,
        };
        const { ranked, tintedGround } = groundOf(job);
        if (!tintedGround) return;
        expect(tintedGround.coatsToHide).toBeLessThanOrEqual(
          ranked[0]!.coatsToHide!.value - 0.5 + 1e-6,
        );
        const parts = tintedGround.parts.map(({ name }) =>
          full(GREYS.find((grey) => grey.name === name)?.colour ?? colour),
        );
        lightOfHex(tintedGround.colour).forEach((band, i) => {
          const ends = parts.map((part) => part[i]!);
          expect(band).toBeGreaterThan(Math.min(...ends) - 0.01);
          expect(band).toBeLessThan(Math.max(...ends) + 0.01);
        });
      }),
      { numRuns: 60 },
    );
  });
  it('advised is as light as the colour or lighter, within half a coat of the best', () => {
    const { advised, ranked } = groundOf({ topcoat: RED, grounds: GREYS, dryUmPerCoat: 5.5 });
    expect([ranked[0]!.name, advised]).toEqual(['Grey 2', 'Grey 3']);
  });
});

describe('a card', () => {
  it('goes from its ground to the colour', () => {
    const [none, ...more] = cardColours(
      { topcoat: RED, dryUmPerCoat: 5.5 },
      { colour: '#3c3e40' },
      [0, 1, 2, 3, 40],
    );
    expect(none).toBe('#3c3e40');
    const off = more.map((hex) => deltaE2000(labOf(lightOfHex(hex)), labOf(full('#a3161c'))));
    off.slice(1).forEach((next, i) => expect(next).toBeLessThan(off[i]!));
    expect(off.at(-1)).toBeLessThan(0.5);
  });
  it('comes back from CIELAB as it went in', () => {
    fc.assert(
      fc.property(anyHex, (hex) => {
        expect(hexOf(lightOfLab(labOf(lightOfHex(hex))).light)).toBe(hex);
      }),
    );
  });
});
