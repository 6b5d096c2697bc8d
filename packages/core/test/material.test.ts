import { MATERIALS, type MaterialClass } from '../src/trade/materialClasses.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CUP_NAMES, kinematicOfSeconds, secondsOfKinematic } from '../src/material/flowCup.ts';
import { mixtureOf } from '../src/material/mixture.ts';
import { mooneyOf, solidsAtViscosity, viscosityPaS } from '../src/material/rheology.ts';
import { viscosityOf } from '../src/material/viscosity.ts';
import { between, within } from './figures.ts';

const anyClass = fc.constantFrom(...(Object.keys(MATERIALS) as MaterialClass[]));
const clear = MATERIALS.clearMediumSolids;

describe("the card's reference vectors", () => {
  it.each([
    ['din4', 20, 68.8],
    ['iso4', 40, 49.8],
    ['ford4', 20, 59.71],
    ['zahn2', 25, 38.5],
  ] as const)('10: %s at %f s', (cup, seconds, nu) => within(kinematicOfSeconds(cup, seconds), nu));
  it.each([
    ['ford4', 20.07],
    ['iso4', 46.91],
    ['din4', 18.48],
  ] as const)('11: 60 mm²/s in %s', (cup, seconds) =>
    within(secondsOfKinematic(cup, 60)!, seconds),
  );
  it('12: a clear by its solids and temperature', () => {
    within(mooneyOf(clear).a, 6.498);
    within(mooneyOf(clear).b, 0.6865);
    within(viscosityPaS(clear, 0.436, 20), 0.057);
    within(viscosityPaS(clear, 0.52, 21), 0.1807);
    within(viscosityPaS(clear, 0.8, 60), 5.843);
  });
  it('13: a reduced clear as a mix', () => {
    const mix = mixtureOf(clear, [4, 1, 0.5], { slowFraction: 0.484, hardenerSlowFraction: 0.52 });
    within(mix.solids, 0.3964);
    within(mix.slowFraction, 0.4471);
    within(mix.densityKgPerM3, 985.3);
    within(mix.volatileMassFraction, 0.5494);
  });
  it('14: a waterborne base as a mix', () => {
    const mix = mixtureOf(MATERIALS.waterborneBase);
    within(mix.solids, 0.1786);
    within(mix.volatile.water, 0.8717);
    within(mix.densityKgPerM3, 1046);
    within(mix.volatileMassFraction, 0.7781);
  });
});

describe('a paint', () => {
  it('is thinner when warm and thicker with more solids', () => {
    fc.assert(
      fc.property(
        anyClass,
        between(0.05, 0.6),
        between(5, 35),
        between(0.5, 10),
        (kind, solids, atC, warmer) => {
          const material = MATERIALS[kind];
          const now = viscosityPaS(material, solids, atC);
          expect(viscosityPaS(material, solids, atC + warmer)).toBeLessThan(now);
          expect(viscosityPaS(material, solids + 0.02, atC)).toBeGreaterThan(now);
          expect(solidsAtViscosity(material, viscosityPaS(material, solids, 20))).toBeCloseTo(
            solids,
            6,
          );
        },
      ),
    );
  });
  it('has volatile shares that sum to one', () => {
    fc.assert(
      fc.property(anyClass, (kind) => {
        const shares = Object.values(mixtureOf(MATERIALS[kind]).volatile);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
      }),
    );
  });
});

describe('a flow cup', () => {
  it('gives back its seconds', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CUP_NAMES), between(21, 79), (cup, seconds) => {
        expect(secondsOfKinematic(cup, kinematicOfSeconds(cup, seconds))!).toBeCloseTo(seconds, 6);
      }),
    );
  });
  it('is left out where it cannot time the paint at all', () => {
    expect(viscosityOf({ kinematicMm2PerS: 5000 }).seconds).toEqual({});
  });
});

describe('viscosity', () => {
  it('warmed says less, with a spread that grows with the way it was moved', () => {
    const at = (wantedAtC: number) =>
      viscosityOf({ kinematicMm2PerS: 130, measuredAtC: 14, wantedAtC, class: 'clearMediumSolids' })
        .atWantedC!;
    expect(at(14).kinematicMm2PerS).toEqual({ value: 130, low: 130, high: 130 });
    const [near, far] = [at(18).kinematicMm2PerS, at(26).kinematicMm2PerS];
    expect(far.value).toBeLessThan(near.value);
    expect(far.high / far.low).toBeGreaterThan(near.high / near.low);
  });
  it('asks for reducer only where the paint is thicker than wanted, and more the thinner it shall be', () => {
    const add = (wantedSeconds: number) =>
      viscosityOf({ cup: 'din4', seconds: 32, wantedSeconds, class: 'singleStage' })
        .addReducerPercentOfPaint?.value;
    expect(add(40)).toBeUndefined();
    expect(add(20)!).toBeGreaterThan(add(26)!);
    expect(
      viscosityOf({ cup: 'din4', seconds: 32, wantedSeconds: 20 }).addReducerPercentOfPaint,
    ).toBeUndefined();
  });
});
