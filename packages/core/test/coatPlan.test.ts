import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_HABITS } from '../src/gun/preferences.ts';
import { coatPlanOf } from '../src/coats/coatPlan.ts';
import type { CoatPlanInput } from '../src/coats/coatPlanInput.ts';
import { HISTORIES, SCOPES } from '../src/layers/foundLayer.ts';
import { CARRIERS, FINISHES, STAGES } from '../src/trade/vocabulary.ts';

const band = (min: number, max: number) =>
  fc
    .tuple(fc.double({ min, max, noNaN: true }), fc.double({ min, max, noNaN: true }))
    .map(([a, b]): [number, number] => [Math.min(a, b), Math.max(a, b)]);
const spread = fc.double({ min: 1, max: 6, noNaN: true }).map((value) => ({
  value,
  low: Math.max(1, value * 0.8),
  high: value * 1.3,
}));
const rule = fc.record(
  {
    oneAndHalf: fc.boolean(),
    lastCoat: fc.constant({
      kind: 'drop' as const,
      filmFactor: 0.5,
      distanceDeltaMm: 40,
      onMatt: true,
    }),
    blend: fc.constant({ bed: { recipe: 'bed' }, last: { recipe: 'thinned' } }),
    extraToCut: fc.constant(1),
  },
  { requiredKeys: [] },
);
const over = fc.constantFrom(...HISTORIES, 'cutThrough' as const, 'fresh' as const);
const input: fc.Arbitrary<CoatPlanInput> = fc.record(
  {
    stage: fc.constantFrom(...STAGES),
    carrier: fc.constantFrom(...CARRIERS),
    finish: fc.constantFrom(...FINISHES),
    sheet: fc.record({
      coats: fc
        .tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 0, max: 3 }))
        .map(([least, more]): [number, number] => [least, least + more]),
      wetFilmUm: band(15, 90),
      volumeSolidsPercent: fc.double({ min: 8, max: 70, noNaN: true }),
      coatRule: rule,
    }),
    panels: fc
      .array(
        fc.record({
          areaM2: fc.double({ min: 0.05, max: 3, noNaN: true }),
          scope: fc.constantFrom(...SCOPES),
        }),
        { minLength: 1, maxLength: 6 },
      )
      .map((list) => list.map((one, i) => ({ ...one, name: `p${i}` }))),
    over,
    ground: fc.record({
      name: fc.constant('grey'),
      coatsToHide: spread,
      dryUmPerCoat: fc.double({ min: 2, max: 30, noNaN: true }),
    }),
    card: fc.record({ coats: fc.integer({ min: 1, max: 6 }) }),
    target: fc.constantFrom('show' as const, 'factory' as const, 'low' as const),
    coats: fc.integer({ min: 1, max: 8 }),
    way: fc.constantFrom({ baseCover: 'oneAndHalf' as const }, {}),
  },
  { requiredKeys: ['stage', 'carrier', 'panels', 'sheet'] },
);
const law = (holds: (asked: CoatPlanInput) => void) =>
  fc.assert(fc.property(input, holds), { numRuns: 1500 });
const codes = (asked: CoatPlanInput) => coatPlanOf(asked).verdicts.map(({ code }) => code);
const own = ({ coats }: ReturnType<typeof coatPlanOf>) =>
  coats.filter(({ role }) => role !== 'bed' && role !== 'fadeOut');

describe('a plan for every coat', () => {
  it('covers in coats where no habit was told', () =>
    law((asked) => {
      const { baseCover } = USUAL_HABITS;
      expect(coatPlanOf({ ...asked, way: {} })).toEqual(
        coatPlanOf({ ...asked, way: { baseCover } }),
      );
    }));
  it('aims outside the band only with mist, light and drop, and never over it', () =>
    law((asked) => {
      const [low, high] = asked.sheet!.wetFilmUm!;
      for (const { kind, wetFilmUm } of own(coatPlanOf(asked))) {
        expect(wetFilmUm).toBeLessThanOrEqual(high + 1e-6);
        if (!['mist', 'light', 'drop'].includes(kind))
          expect(wetFilmUm).toBeGreaterThanOrEqual(low - 1e-6);
      }
    }));
  it('has no more coats than the sheet without a word, and says so', () =>
    law((asked) => {
      const { most } = coatPlanOf(asked);
      const extra = asked.stage === 'clear' ? 1 : 0;
      expect(own(coatPlanOf(asked)).length).toBeLessThanOrEqual(most + extra);
      const said = { ...asked, coats: most + 2, why: 'wanted' };
      expect(
        codes(said).some((code) => code === 'coats-over-sheet' || code === 'stage-covers-nothing'),
      ).toBe(true);
    }));
  it('lands what its panels take: area, share and film of each coat', () =>
    law((asked) => {
      const plan = coatPlanOf(asked);
      for (const { panels, wetFilmUm, landedMl } of plan.coats) {
        const sum = panels.reduce((total, { name, areaFactor }) => {
          expect(areaFactor).toBeGreaterThan(0);
          expect(areaFactor).toBeLessThanOrEqual(1);
          return total + asked.panels.find((one) => one.name === name)!.areaM2 * areaFactor;
        }, 0);
        expect(landedMl).toBeCloseTo(sum * wetFilmUm, 6);
      }
      expect(plan.landedMl).toBeCloseTo(
        plan.coats.reduce((total, one) => total + one.landedMl, 0),
        6,
      );
    }));
  it('lets each coat reach as far or further, and half a blend panel on the mean', () =>
    law((asked) => {
      const coats = coatPlanOf(asked).coats.filter(({ role }) => role !== 'bed');
      for (const { name, scope } of asked.panels) {
        const factors = coats.flatMap(({ panels }) =>
          panels.filter((panel) => panel.name === name).map(({ areaFactor }) => areaFactor),
        );
        factors
          .slice(1)
          .forEach((factor, i) => expect(factor).toBeGreaterThanOrEqual(factors[i]! - 1e-12));
        const fades = scope === 'blend' && factors.some((factor) => factor < 1);
        if (fades)
          expect(factors.reduce((sum, factor) => sum + factor, 0) / factors.length).toBeCloseTo(
            0.5,
            9,
          );
      }
    }));
  it('puts nothing on what is left alone, colour never on clear only, clear on all others whole', () =>
    law((asked) => {
      for (const { panels } of coatPlanOf(asked).coats)
        for (const { scope, areaFactor } of panels) {
          expect(scope).not.toBe('leave');
          if (asked.stage !== 'clear') expect(scope).not.toBe('clearOnly');
          else expect(areaFactor).toBe(1);
        }
    }));
  it('takes no fewer coats over a worse ground, and hides or says so', () =>
    law((asked) => {
      const { ground, coats: _c, way: _w, ...rest } = asked;
      if (!ground || !['base', 'ground', 'singleStage'].includes(asked.stage)) return;
      const over = (by: number) => ({
        ...rest,
        ground: {
          ...ground,
          coatsToHide: {
            value: ground.coatsToHide.value * by,
            low: ground.coatsToHide.low * by,
            high: ground.coatsToHide.high * by,
          },
        },
      });
      const [near, far] = [coatPlanOf(over(1)), coatPlanOf(over(1.6))];
      expect(far.coats.length).toBeGreaterThanOrEqual(near.coats.length);
      if (near.coats.length === 0) return;
      const laid = own(near)
        .filter(({ role }) => role !== 'control')
        .reduce((sum, { filmFactor }) => sum + filmFactor, 0);
      const says = near.verdicts.some(({ code }) => code === 'ground-will-not-hide');
      expect(says).toBe(laid + 1e-9 < near.stop.coatsToHide!.value);
    }));
  it('never begins heavier over old layers', () =>
    law((asked) => {
      const [old, fresh] = [
        coatPlanOf({ ...asked, over: 'unknownOld' }),
        coatPlanOf({ ...asked, over: 'fresh' }),
      ];
      const firstOf = (plan: typeof old) => own(plan)[0]?.wetFilmUm ?? 0;
      expect(firstOf(old)).toBeLessThanOrEqual(firstOf(fresh) + 1e-9);
    }));
  it('keeps a last coat for control on effect colours alone, and waits for a matt film before it', () =>
    law((asked) => {
      const { coats } = coatPlanOf(asked);
      const at = coats.findIndex(({ role }) => role === 'control');
      if (at < 0) return;
      expect(['metallic', 'silver', 'pearl', 'candy', 'flake']).toContain(asked.finish);
      expect(own(coatPlanOf(asked)).at(-1)!.role).toBe('control');
      if (at > 0) expect(coats[at - 1]!.wait.matt).toBe(true);
    }));
  it('shares a clear evenly, and gives a show no fewer coats', () =>
    law(({ coats: _c, ...asked }) => {
      const clear = { ...asked, stage: 'clear' as const };
      const plan = coatPlanOf(clear);
      const [low, high] = asked.sheet!.wetFilmUm!;
      const films = plan.coats.map(({ wetFilmUm }) => wetFilmUm);
      if (films.length > 0)
        expect(films.reduce((sum, um) => sum + um, 0)).toBeCloseTo(
          (films.length * (low + high)) / 2,
          6,
        );
      films.slice(1).forEach((um, i) => expect(um).toBeGreaterThanOrEqual(films[i]! - 1e-9));
      const of = (target: 'show' | 'factory') => coatPlanOf({ ...clear, target }).coats.length;
      expect(of('show')).toBeGreaterThanOrEqual(of('factory'));
    }));
});
