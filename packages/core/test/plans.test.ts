/**
 * The search for set-ups: the card's plans, and that it never leaves its room. The map: what lands
 * on a panel is what was sent.
 */
import { PSI_KPA } from '../src/units/physical.ts';
import type { GunClass } from '../src/trade/gunClasses.ts';
import type { Stage } from '../src/trade/vocabulary.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { setupWithRisks } from '../src/coat/setupWithRisks.ts';
import { practiceOf } from '../src/inForce/nozzleBandOf.ts';
import { paintInCup } from '../src/gun/paintInCup.ts';
import { fanProfile } from '../src/gun/fan.ts';
import { filmMapOf, type FilmMapInput } from '../src/gun/filmMap.ts';
import { passCount } from '../src/gun/overlap.ts';
import { gunModelOf } from '../src/gun/gunModel.ts';
import { inletAtCap } from '../src/gun/inletPressure.ts';
import { plansFor } from '../src/gun/plans.ts';

const practice = (gunClass: GunClass, stage: Stage) =>
  practiceOf({ gunClass, stage, carrier: 'solvent', isBuild: false });

describe("the card's plans", () => {
  it.each([
    ['47', 'hvlp', 'clear', 68.948, 165, 55, [20, 3, 1, 160, 0.75, 0.4416, 0.4933]],
    ['48', 'lvlp', 'base', undefined, 115, 34, [19, 2.25, 1, 130, 0.66, 0.4918, 0.7257]],
    ['49', 'lvlp', 'clear', undefined, 115, 55, [26, 2.5, 1, 120, 0.75, 0.4497, 0.4815]],
  ] as [string, GunClass, Stage, number | undefined, number, number, number[]][])(
    '%s',
    (_, kind, stage, capKPa, usualMm, wetFilmUm, wanted) => {
      const gun = { class: kind, nozzlesMm: [1.3] };
      const paint = paintInCup({ stage, carrier: 'solvent' });
      const model = gunModelOf(gun, 1.3, paint);
      const whole = practice(kind, stage).inletKPa.map((kPa) => Math.round(kPa / PSI_KPA)) as [
        number,
        number,
      ];
      const [best] = plansFor(
        {
          gun,
          model,
          paint,
          materialClass: paint.materialClass,
          needleTurnsOfFour: practice(kind, stage).needleTurnsOfFour,
          roomAir: { airTemperatureC: 20, relativeHumidityPercent: 50 },
          wetFilmUm,
          wholeBandPsi: whole,
          bandPsi: (share) => {
            if (capKPa === undefined) return whole;
            const top = Math.min(
              whole[1],
              Math.floor(inletAtCap(model, capKPa, share * model.fullFanTurns) / PSI_KPA),
            );
            return [Math.min(whole[0], top), top];
          },
          usualDistanceMm: usualMm,
        },
        {
          distancesMm: [usualMm - 15, usualMm + 15],
          overlaps: [0.66, 0.75],
          fanShares: [0.7, 0.85, 1],
          isNeedleOpen: false,
        },
      );
      const { psi, turns, fanShare, distanceMm, overlap } = best!.candidate;
      expect([psi, turns, fanShare, distanceMm, overlap]).toEqual(wanted.slice(0, 5));
      expect(Math.abs(best!.gunSpeedMPerS / wanted[5]! - 1)).toBeLessThan(0.005);
      expect(Math.abs(best!.cost / wanted[6]! - 1)).toBeLessThan(0.005);
    },
  );

  it('are several, differ, and keep to band, cap and needle', () => {
    for (const stage of ['base', 'clear', 'primer'] as const) {
      const answer = setupWithRisks({
        gun: { class: 'hvlp', nozzlesMm: [1.3, 1.8], maxInletKPa: 250 },
        stage,
        carrier: 'solvent',
        place: 'booth',
        part: 'largePanel',
        capLimitKPa: 69,
        hardener: 'none',
      });
      expect(answer.plans!.length).toBeGreaterThanOrEqual(3);
      const [, high] = practice('hvlp', stage).inletKPa;
      for (const { settings, risks } of answer.plans!) {
        expect(settings.inletKPa).toBeLessThanOrEqual(high + PSI_KPA);
        expect(settings.capKPa).toBeLessThanOrEqual(69.5);
        expect(settings.fluidTurnsOut).toBeLessThanOrEqual(4);
        for (const { low, value, high: most } of Object.values(risks))
          expect(low <= value && value <= most).toBe(true);
      }
      expect(new Set(answer.plans!.map(({ settings }) => JSON.stringify(settings))).size).toBe(
        answer.plans!.length,
      );
    }
  });
});

const MAP: FilmMapInput = {
  panelM: { length: 1.2, height: 0.7 },
  cells: { columns: 120, rows: 140 },
  profile: fanProfile({ beta: 2, split: 0 }),
  fanWidthM: 0.22,
  fanHeightM: 0.05,
  stepM: 0.055,
  landedM3PerS: 1.4e-6,
  gunSpeedMPerS: 0.5,
  wanderM: 0,
  unsteady: 0,
  isTriggerHeld: false,
  seed: 3,
};

describe('the film of a panel', () => {
  it('away from the edges is what the passes send there, to a thousandth', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.03, max: 0.12, noNaN: true }),
        fc.double({ min: 1.2, max: 4, noNaN: true }),
        (stepM, beta) => {
          const map = filmMapOf({
            ...MAP,
            stepM,
            profile: fanProfile({ beta, split: 0 }),
            cells: { columns: 4, rows: 2000 },
            panelM: { length: 0.1, height: 2 },
          });
          const wanted = MAP.landedM3PerS / (MAP.gunSpeedMPerS * stepM);
          // Over whole steps in the middle, so that the ripple averages out.
          const cellM = 2 / 2000;
          const steps = Math.floor(0.8 / stepM);
          const first = Math.round(0.6 / cellM);
          const count = Math.round((steps * stepM) / cellM);
          let sum = 0;
          for (let row = first; row < first + count; row++) sum += map.filmM[row * 4]!;
          expect(Math.abs(sum / count / wanted - 1)).toBeLessThan(0.02);
        },
      ),
      { numRuns: 20 },
    ));
  it('grows pass by pass, and is never negative', () => {
    const sums = [0, 1, 2.5, 6, 100].map((passesLaid) =>
      filmMapOf({ ...MAP, passesLaid, wanderM: 0.004, unsteady: 0.1 }).filmM.reduce(
        (a, b) => a + b,
        0,
      ),
    );
    expect(sums[0]).toBe(0);
    expect(sums).toEqual(sums.toSorted((a, b) => a - b));
    expect(filmMapOf({ ...MAP, wanderM: 0.01, unsteady: 0.3 }).filmM.every((h) => h >= 0)).toBe(
      true,
    );
  });
  it('is the same for the same seed, uneven for an unsteady hand, heavy at the ends where the trigger is held', () => {
    const unsteady = { ...MAP, wanderM: 0.004, unsteady: 0.1 };
    expect(filmMapOf(unsteady).filmM).toEqual(filmMapOf(unsteady).filmM);
    const end = (held: boolean) => filmMapOf({ ...MAP, isTriggerHeld: held }).filmM[70 * 120]!;
    expect(end(true)).toBeGreaterThan(2 * end(false));
    expect(filmMapOf({ ...MAP, landedM3PerS: 0 }).filmM.every((h) => h === 0)).toBe(true);
    expect(passCount(0.7, 0.07)).toBe(11);
  });
});
