/** How sure a coat is of its answer, and what readings of the shop do to that. */
import type { CoatAnswer } from '../src/coat/coatAnswer.ts';
import type { CoatInput } from '../src/coat/coatInput.ts';
import { paintOf } from '../src/mix/paint.ts';
import { describe, expect, it } from 'vitest';
import { fitProduct } from '../src/calibration/productFit.ts';
import { coatOf } from '../src/coat/coat.ts';
import { filmExpected } from '../src/coat/filmExpected.ts';
import { within } from './figures.ts';
import { CHAIN } from './chain.ts';

describe('how sure it is', () => {
  const wide = coatOf({ ...CHAIN, spread: true });
  const width = ({ low, high }: { low: number; high: number }) => high - low;
  it('keeps value within its range, the same digits every time', () => {
    expect(coatOf({ ...CHAIN, spread: true })).toEqual(wide);
    for (const spread of [
      wide.film.wetUm,
      wide.peelIndex,
      wide.sagMm,
      ...wide.flashReadyMinutes,
      ...Object.values(wide.risks),
    ]) {
      expect(spread.low).toBeLessThanOrEqual(spread.value);
      expect(spread.high).toBeGreaterThanOrEqual(spread.value);
    }
  });
  it('a comb reading moves the film to it and narrows it', () => {
    const { nozzleMm: _, ...combed } = CHAIN.settings;
    const gun: CoatInput['gun'] = {
      ...CHAIN.gun,
      calibration: [{ kind: 'comb', wetUm: 45, settings: combed }],
    };
    const tested = coatOf({ ...CHAIN, gun, spread: true });
    within(tested.film.wetUm.value, 45, 0.15);
    expect(width(tested.film.wetUm) / tested.film.wetUm.value).toBeLessThan(
      0.6 * (width(wide.film.wetUm) / wide.film.wetUm.value),
    );
    expect(width(filmExpected(gun, 'clearMediumSolids', CHAIN.settings)!)).toBeLessThan(
      width(filmExpected(CHAIN.gun, 'clearMediumSolids', CHAIN.settings)!),
    );
  });
  it('times taken in the shop move the drying to them and narrow it', () => {
    const touch = {
      kind: 'touch' as const,
      minutes: 16,
      wetUm: 55,
      airTemperatureC: 21,
      relativeHumidityPercent: 50,
    };
    const tested = coatOf({
      ...CHAIN,
      material: { ...CHAIN.material, tests: [touch, touch] },
      spread: true,
    });
    expect(tested.flashReadyMinutes[0]!.value).toBeGreaterThan(wide.flashReadyMinutes[0]!.value);
    const share = ({ flashReadyMinutes: [ready] }: CoatAnswer) =>
      Math.log(ready!.high / ready!.low);
    expect(share(tested)).toBeLessThan(share(wide));
  });
  it('a fit on times the model made itself finds them again', () => {
    const paint = paintOf({ class: 'clearMediumSolids' }, 21);
    const fit = fitProduct(paint, [
      { kind: 'touch', minutes: 17, wetUm: 55, airTemperatureC: 21, relativeHumidityPercent: 50 },
      { kind: 'touch', minutes: 11, wetUm: 55, airTemperatureC: 28, relativeHumidityPercent: 50 },
    ]);
    expect(fit.diffusion).toBeLessThan(0.95);
    expect(fit.logSd.diffusion).toBeLessThan(0.5);
    const ran = fitProduct(paint, [{ kind: 'ran', combUm: 60 }]);
    expect(ran.sag).toBeGreaterThan(1);
    expect(ran.logSd.sag).toBeLessThan(0.4);
  });
});
