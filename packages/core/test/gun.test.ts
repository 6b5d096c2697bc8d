import type { SetupInput } from '../src/gun/setupInput.ts';
import type { GunClass } from '../src/trade/gunClasses.ts';
import type { Stage } from '../src/trade/vocabulary.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Gun } from '../src/gun/gun.ts';
import { overlapOf } from '../src/gun/overlap.ts';
import { setupOf } from '../src/gun/setup.ts';
import { turnsOf } from '../src/gun/turns.ts';

const CLASSES: GunClass[] = [
  'hvlp',
  'lvlp',
  'reducedPressure',
  'conventional',
  'siphon',
  'mini',
  'airbrush',
];
const STAGES: Stage[] = ['primer', 'sealer', 'ground', 'base', 'effect', 'clear', 'singleStage'];
const gun: Gun = {
  class: 'hvlp',
  nozzlesMm: [1.3, 1.4],
  fullFluidTurns: 4,
  fullFanTurns: 2.5,
  ratedInletKPa: 138,
  capKPaAtRated: 65.5,
  maxInletKPa: 250,
};
const clear: SetupInput = {
  gun,
  stage: 'clear',
  carrier: 'solvent',
  place: 'booth',
  part: 'largePanel',
  hardener: 'isocyanate',
};
const anyGun = fc
  .record({
    class: fc.constantFrom(...CLASSES),
    full: fc.double({ min: 1.5, max: 6, noNaN: true }),
    ability: fc.constantFrom('basic', 'good', 'fine' as const),
  })
  .map((g): Gun => ({
    class: g.class,
    nozzlesMm: [0.5, 1, 1.3, 1.8],
    fullFluidTurns: g.full,
    ability: g.ability,
  }));
const anyInput = fc.record({
  gun: anyGun,
  stage: fc.constantFrom(...STAGES),
  part: fc.constantFrom('largePanel', 'smallPart', 'jamb', 'spot' as const),
  carrier: fc.constantFrom('solvent', 'waterborne' as const),
});

describe('turns', () => {
  it('come back the same from the other end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (fullTurns, share) => {
          const value = share * fullTurns;
          const fromOpen = turnsOf({ value, countedFrom: 'open', fullTurns }).turnsOut!;
          return (
            Math.abs(
              turnsOf({ value: fromOpen, countedFrom: 'open', fullTurns }).turnsOut! - value,
            ) < 1e-9
          );
        },
      ),
    );
  });
  it('are never carried to another gun, only started from', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        (value, other) => {
          const answer = turnsOf({
            value,
            countedFrom: 'closed',
            fullTurns: 5,
            forGun: { fullTurns: other },
          });
          return (
            answer.start! <= other &&
            answer.verdicts.some(({ code }) => code === 'turns-not-portable')
          );
        },
      ),
    );
  });
});

describe('overlap', () => {
  const width = fc.double({ min: 40, max: 400, noNaN: true });
  it('and step are two words for one thing', () => {
    fc.assert(
      fc.property(
        width,
        fc.double({ min: 0, max: 94, noNaN: true }),
        (fanWidthMm, overlapPercent) => {
          const { stepMm } = overlapOf({ fanWidthMm, overlapPercent });
          return (
            Math.abs(overlapOf({ fanWidthMm, stepMm }).overlapPercent - overlapPercent) < 1e-6 &&
            Math.abs(overlapOf({ fanWidthMm, overlapMm: fanWidthMm - stepMm }).stepMm - stepMm) <
              1e-6
          );
        },
      ),
    );
  });
  it('from half to three quarters doubles the film unless the hand doubles', () => {
    expect(overlapOf({ fanWidthMm: 200, overlapPercent: 75 })).toMatchObject({
      filmFactor: 2,
      keepFilm: { speedFactor: 2, fluidFactor: 0.5 },
    });
    const film = (overlapPercent: number, gunSpeedMPerS: number) =>
      overlapOf({
        fanWidthMm: 200,
        overlapPercent,
        gunSpeedMPerS,
        fluidMlPerMin: 120,
        transferEfficiencyPercent: 65,
      }).wetFilmUm!;
    expect(film(75, 0.4)).toBeCloseTo(2 * film(50, 0.4), 9);
    expect(film(75, 0.8)).toBeCloseTo(film(50, 0.4), 9);
  });
  it('lays the paint that leaves the gun and no more', () => {
    fc.assert(
      fc.property(
        width,
        fc.double({ min: 30, max: 90, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (fanWidthMm, overlapPercent, gunSpeedMPerS) => {
          const { wetFilmUm, spraySeconds } = overlapOf({
            fanWidthMm,
            overlapPercent,
            gunSpeedMPerS,
            areaM2: 1.5,
            fluidMlPerMin: 120,
            transferEfficiencyPercent: 65,
          });
          return Math.abs(wetFilmUm! * 1.5 - (120 / 60) * 0.65 * spraySeconds!) < 1e-6;
        },
      ),
    );
  });
});

describe('a set-up', () => {
  it('stays on its knobs and in its own nozzles for every gun and coat', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const answer = setupOf({ ...input, place: 'booth', hardener: 'none' });
        expect(input.gun.nozzlesMm).toContain(answer.nozzleMm);
        expect(answer.fluidTurnsOut).toBeLessThanOrEqual(input.gun.fullFluidTurns!);
        expect(answer.fluidTurnsOut).toBeGreaterThan(0);
        expect(answer.verdicts.map(({ code }) => code)).toContain('test-panel-first');
      }),
    );
  });
  it('never gives base more air than clear on the same gun', () => {
    fc.assert(
      fc.property(
        anyGun,
        fc.constantFrom('base', 'ground', 'effect' as const),
        fc.constantFrom('solvent', 'waterborne' as const),
        (g, stage, carrier) =>
          setupOf({ ...clear, gun: g, stage, carrier }).inletKPa <=
          setupOf({ ...clear, gun: g }).inletKPa,
      ),
    );
  });
  it('is never given more air by a legal limit at the cap', () => {
    fc.assert(
      fc.property(
        anyInput,
        fc.double({ min: 30, max: 120, noNaN: true }),
        (input, capLimitKPa) =>
          setupOf({ ...clear, ...input, capLimitKPa }).inletKPa <=
          setupOf({ ...clear, ...input }).inletKPa,
      ),
    );
  });
  it('drops the reminder of a test panel only for a nozzle set with tests of its own', () => {
    const tested: Gun = {
      ...gun,
      nozzleSets: [
        {
          nozzleMm: 1.3,
          tests: [{ kind: 'fan', fanWidthMm: 200, distanceMm: 150, inletKPa: 138, fanTurnsOut: 2 }],
        },
        { nozzleMm: 1.4 },
      ],
    };
    const codes = (input: SetupInput) => setupOf(input).verdicts.map(({ code }) => code);
    expect(codes({ ...clear, gun: tested })).not.toContain('test-panel-first');
    expect(
      codes({ ...clear, gun: { ...tested, nozzlesMm: [1.4], nozzleSets: [{ nozzleMm: 1.4 }] } }),
    ).toContain('test-panel-first');
  });
  it('takes all three down for a spot, and reminds to set them back', () => {
    const [large, spot] = [setupOf(clear), setupOf({ ...clear, part: 'spot' })];
    expect(spot.inletKPa).toBeLessThan(large.inletKPa);
    expect(spot.fluidTurnsOut).toBeLessThan(large.fluidTurnsOut);
    expect(spot.fanTurnsOut).toBeLessThan(large.fanTurnsOut);
    expect(
      setupOf({
        ...clear,
        knobsNow: { fanTurnsOut: 1, fluidTurnsOut: 1, part: 'spot' },
      }).verdicts.map(({ code }) => code),
    ).toContain('knobs-need-reset');
  });
  it('keeps to the sheet before the way, and says so', () => {
    const answer = setupOf({
      ...clear,
      sheet: { overlapPercent: 75, inletKPa: [140, 160] },
      way: { overlapPercentByStage: { clear: 50 } },
    });
    expect(answer.overlapPercent).toBe(75);
    expect(answer.reasons.map(({ code }) => code)).toContain('sheet-before-way');
  });
  it('refuses a gun that may not have the least the sheet asks', () => {
    expect(
      setupOf({
        ...clear,
        gun: { ...gun, maxInletKPa: 120 },
        sheet: { inletKPa: [180, 220] },
      }).verdicts.map(({ code }) => code),
    ).toContain('inlet-over-gun');
  });
  it('gives a learner less paint and an open-needle painter the whole needle', () => {
    expect(setupOf({ ...clear, way: { skill: 'learner' } }).fluidTurnsOut).toBeLessThan(
      setupOf(clear).fluidTurnsOut,
    );
    expect(setupOf({ ...clear, way: { needle: 'open' } }).fluidTurnsOut).toBe(4);
  });
});
