import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  effectiveTemperatureC,
  solventEvaporation,
  waterEvaporation,
  wantedEvaporation,
} from '../src/evaporation/evaporationIndex.ts';
import { transferCoefficientMPerS } from '../src/evaporation/massTransfer.ts';
import {
  blendPressurePa,
  REFERENCE_PRESSURE_PA,
  relativeEvaporationRate,
  slowFractionForDesign,
} from '../src/evaporation/solvents.ts';
import { flashFactors } from '../src/film/flashToday.ts';
import { potLifeMinutes } from '../src/mix/potLife.ts';

/** The card's reference vectors: 0.5 %. */
const near = (found: number, wanted: number) =>
  expect(Math.abs(found / wanted - 1)).toBeLessThan(0.005);

describe('the reference vectors of the model card', () => {
  it('3: blend pressure, reference pressure, relative rate', () => {
    near(blendPressurePa(0.35, 25), 1587);
    near(REFERENCE_PRESSURE_PA, 1351);
    near(relativeEvaporationRate(0.35), 1.037);
  });
  it.each([
    [16, 0.2175],
    [21.5, 0.3351],
    [28.5, 0.484],
    [34, 0.6006],
  ])('4: slow share of a grade made for %s °C', (designC, slowFraction) =>
    near(slowFractionForDesign(designC), slowFraction),
  );
  it('6: evaporation on a metal panel, moving and still', () => {
    const effectiveC = effectiveTemperatureC({
      airTemperatureC: 30,
      panelTemperatureC: 27,
      substrate: 'metal',
    });
    const slowFraction = slowFractionForDesign(22.5);
    near(solventEvaporation({ slowFraction, effectiveC, airSpeedMPerS: 0.3 }), 1.383);
    near(solventEvaporation({ slowFraction, effectiveC, airSpeedMPerS: 0.05 }), 1.248);
  });
  it('7: what a metallic side wants in damp air', () =>
    near(
      wantedEvaporation({
        jobSize: 'side',
        finish: 'metallic',
        stage: 'base',
        relativeHumidityPercent: 75,
      }),
      0.6945,
    ));
  it('8: waterborne in still damp air and in a warm dry crossdraft', () => {
    near(waterEvaporation({ airTemperatureC: 21, relativeHumidityPercent: 80 }, 0.05), 0.2172);
    near(waterEvaporation({ airTemperatureC: 30, relativeHumidityPercent: 30 }, 0.4), 2.079);
  });
  it('9: mass transfer of the fast solvent and of water', () => {
    near(transferCoefficientMPerS(8.5e-6, 0.3), 0.002975);
    near(transferCoefficientMPerS(2.45e-5, 0.3), 0.006024);
  });
  it.each([
    ['16 °C', { airTemperatureC: 16 }, {}, 15.5],
    ['30 °C', { airTemperatureC: 30 }, {}, 7.732],
    ['a film of 1.2', { airTemperatureC: 21 }, { wetFilmUm: 66 }, 16.15],
    ['still air', { airTemperatureC: 21, airMovement: 'still' as const }, {}, 13.86],
  ])('45: flash of a clear in %s', (_, climate, film, minutes) => {
    const factors = flashFactors({
      materialClass: 'clearMediumSolids',
      climate: { relativeHumidityPercent: 50, ...climate },
      sheet: { atC: 21, wetFilmUm: 55 },
      ...film,
    });
    near(12 * factors.total, minutes);
  });
  it('45: flash of waterborne in still damp air', () => {
    const factors = flashFactors({
      materialClass: 'waterborneBase',
      climate: { airTemperatureC: 21, relativeHumidityPercent: 80, airMovement: 'still' },
      sheet: { atC: 21 },
    });
    near(12 * factors.total, 46.22);
  });
});

const climate = fc.record({
  airTemperatureC: fc.double({ min: 8, max: 38, noNaN: true }),
  relativeHumidityPercent: fc.double({ min: 20, max: 90, noNaN: true }),
});
const warmer = fc.double({ min: 0.5, max: 8, noNaN: true });
const solvent = fc.constantFrom(
  'solventBase',
  'clearMediumSolids',
  'clearHighSolids',
  'singleStage',
  'solventSealer',
  'epoxyPrimer',
  'buildPrimer' as const,
);

describe('the flash clock', () => {
  const total = (input: Parameters<typeof flashFactors>[0]) => flashFactors(input).total;
  it('is never longer when it is hotter', () => {
    fc.assert(
      fc.property(
        solvent,
        climate,
        warmer,
        (materialClass, at, more) =>
          total({
            materialClass,
            climate: { ...at, airTemperatureC: at.airTemperatureC + more },
            sheet: { atC: 20 },
          }) <= total({ materialClass, climate: at, sheet: { atC: 20 } }),
      ),
    );
  });
  it('is never longer in more air', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('solventBase', 'waterborneBase', 'solventSealer' as const),
        climate,
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        (materialClass, at, airSpeedMPerS) =>
          total({
            materialClass,
            climate: { ...at, airSpeedMPerS: airSpeedMPerS + 0.5 },
            sheet: { atC: 20 },
          }) <= total({ materialClass, climate: { ...at, airSpeedMPerS }, sheet: { atC: 20 } }),
      ),
    );
  });
  it('is longer under a thicker film and a slower grade', () => {
    fc.assert(
      fc.property(solvent, climate, (materialClass, at) => {
        const sheet = { atC: 20, wetFilmUm: 40 };
        const usual = total({ materialClass, climate: at, sheet, wetFilmUm: 40 });
        return (
          total({ materialClass, climate: at, sheet, wetFilmUm: 52 }) > usual &&
          total({ materialClass, climate: at, sheet, wetFilmUm: 40, gradeStepsSlower: 1 }) > usual
        );
      }),
    );
  });
  it('makes waterborne wait in damp air', () => {
    fc.assert(
      fc.property(climate, (at) => {
        const damper = {
          ...at,
          relativeHumidityPercent: Math.min(99, at.relativeHumidityPercent + 8),
        };
        return (
          total({ materialClass: 'waterborneBase', climate: damper, sheet: { atC: 20 } }) >=
          total({ materialClass: 'waterborneBase', climate: at, sheet: { atC: 20 } })
        );
      }),
    );
  });
  it('shows its factors so that they multiply to the whole', () => {
    fc.assert(
      fc.property(solvent, climate, (materialClass, at) => {
        const f = flashFactors({
          materialClass,
          climate: at,
          sheet: { atC: 20, wetFilmUm: 50 },
          wetFilmUm: 60,
          gradeStepsSlower: 1,
        });
        return Math.abs(f.temperature * f.air * f.grade * f.film - f.total) < 1e-9;
      }),
    );
  });
});

it('shortens the pot life with heat, from the hardener on', () => {
  expect(potLifeMinutes({ minutes: 180, atC: 20 }, 30).value).toBeCloseTo(5143 / 60, 0);
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 35, noNaN: true }),
      warmer,
      (atC, more) =>
        potLifeMinutes({ minutes: 90, atC: 20 }, atC + more).value <
        potLifeMinutes({ minutes: 90, atC: 20 }, atC).value,
    ),
  );
});
