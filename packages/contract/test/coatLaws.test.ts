/**
 * The forward model at its door: what painters and engineers would insist on, and every sentence it
 * can say.
 */
import { describe, expect, it } from 'vitest';
import type { ChangeKnob } from '@orthochrom/core/coat/move.ts';
import { ask } from '../src/calculations/ask.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { answerOrRefuse, type InputOf } from '../src/registry.ts';
import { changeText, popTermText, riskText, riskWord, tradeText } from '../src/words/coatWords.ts';

type Coat = InputOf<'coat'>;
const CLEAR: Coat = {
  climate: {
    airTemperatureC: 22,
    relativeHumidityPercent: 50,
    panelTemperatureC: 22,
    materialTemperatureC: 22,
    airMovement: 'downdraft',
  },
  material: { class: 'clearMediumSolids' },
  gun: { class: 'hvlp', nozzlesMm: [1.3] },
  settings: {
    nozzleMm: 1.3,
    inletKPa: 138,
    fluidTurnsOut: 3,
    fanTurnsOut: 2.2,
    distanceMm: 155,
    overlapPercent: 75,
    gunSpeedMPerS: 0.45,
  },
  panel: { slopeDeg: 90 },
  coats: [{ flashMinutes: 13 }, { flashMinutes: 13 }],
  bake: { afterMinutes: 12, toC: 60, rampCPerMin: 4, holdMinutes: 30 },
  spread: false,
};
const coat = (more: Partial<Coat> = {}) => ask(coatCalculation, { ...CLEAR, ...more });
const set = (settings: Partial<Coat['settings']>) =>
  coat({ settings: { ...CLEAR.settings, ...settings } });
const flashed = (...minutes: number[]) =>
  coat({ coats: minutes.map((flashMinutes) => ({ flashMinutes })) });
const baked = (bake: Partial<NonNullable<Coat['bake']>>) =>
  coat({ bake: { ...CLEAR.bake!, ...bake } });
const pop = ({ risks }: ReturnType<typeof coat>) => risks.pop!.value;

describe('film', () => {
  it('goes as one over the hand, and every coat adds its own', () => {
    expect(set({ gunSpeedMPerS: 0.9 }).film.wetUm.value).toBeCloseTo(
      coat().film.wetUm.value / 2,
      6,
    );
    expect(flashed(13, 13, 13).film.dryUm.value).toBeCloseTo(1.5 * coat().film.dryUm.value, 6);
  });
  it('lies evener at three quarters of overlap than at a half', () =>
    expect(coat().film.ripplePercent.value).toBeLessThan(
      set({ overlapPercent: 50 }).film.ripplePercent.value,
    ));
  it('is thicker with more paint, thinner with more reducer, and the choked fan floods', () => {
    expect(set({ fluidTurnsOut: 3.5 }).film.wetUm.value).toBeGreaterThan(coat().film.wetUm.value);
    const reduced = (parts: number) =>
      coat({
        material: {
          class: 'clearMediumSolids',
          recipe: {
            parts: [
              { name: 'C', parts: 4, role: 'paint' },
              { name: 'H', parts: 1, role: 'hardener' },
              { name: 'R', parts, role: 'reducer' },
            ],
          },
        },
      });
    expect(reduced(1).film.dryUm.value).toBeLessThan(reduced(0.1).film.dryUm.value);
    expect(reduced(1).sagMm.value).toBeGreaterThan(reduced(0.1).sagMm.value);
    expect(set({ fanTurnsOut: 0.2, overlapPercent: 75 }).film.wetUm.value).toBeGreaterThan(
      2 * coat().film.wetUm.value,
    );
  });
  it('runs on an upright panel and never on one that lies', () => {
    expect(coat({ panel: { slopeDeg: 0 } }).sagMm.value).toBe(0);
    expect(coat({ panel: { slopeDeg: 45 } }).sagMm.value).toBeLessThan(coat().sagMm.value);
  });
  it('of a blend is ready between its parents', () => {
    const base = (designC: number) =>
      coat({
        material: {
          class: 'solventBase',
          grade: { name: 'G', minC: designC - 3, maxC: designC + 3 },
        },
      }).flashReadyMinutes[0]!.value;
    const [quick, between, slow] = [base(16), base(22), base(30)];
    expect(quick).toBeLessThan(between);
    expect(between).toBeLessThan(slow);
  });
  it('of a thicker can comes out coarser, and less of it', () => {
    const thick = coat({ material: { class: 'clearMediumSolids', viscosityMm2PerS: 110 } });
    expect(thick.dropletUm.value).toBeGreaterThan(coat().dropletUm.value);
    expect(thick.fluidMlPerMin).toBeLessThan(coat().fluidMlPerMin);
  });
});

describe('popping', () => {
  it('is never lower with shorter flashes, earlier, steeper or hotter heat, or a slower hand', () => {
    const usual = pop(coat());
    for (const worse of [
      flashed(6, 13),
      flashed(1, 13),
      baked({ afterMinutes: 4 }),
      baked({ rampCPerMin: 12 }),
      baked({ toC: 75 }),
      set({ gunSpeedMPerS: 0.33 }),
    ])
      expect(pop(worse)).toBeGreaterThanOrEqual(usual);
  });
  it('over a base that waited as its sheet says is no less than over none', () => {
    const base = { stage: 'base' as const, carrier: 'solvent' as const };
    expect(pop(coat({ below: [base, base] }))).toBeGreaterThanOrEqual(pop(coat()) * 0.9);
    expect(coat({ below: [base] }).flashReadyMinutes).toHaveLength(2);
    expect(coat({ below: [base] }).solventLeft[0]!.byCoat).toHaveLength(2);
  });
});

describe('small guns and big tips', () => {
  it('lay a smaller fan with less air', () => {
    const mini = coat({
      gun: { class: 'mini', nozzlesMm: [1.0] },
      settings: { ...CLEAR.settings, nozzleMm: 1.0 },
    });
    expect(mini.fanWidthMm.value).toBeLessThan(coat().fanWidthMm.value);
    expect(mini.airFlowLPerMin).toBeLessThan(coat().airFlowLPerMin);
    expect(mini.reasons.map(({ code }) => code)).toContain('class-is-guess');
  });
  it('a conventional gun loses more than an HVLP gun', () => {
    const high = coat({
      gun: { class: 'conventional', nozzlesMm: [1.4] },
      settings: { ...CLEAR.settings, nozzleMm: 1.4, inletKPa: 330 },
    });
    expect(high.transferEfficiencyPercent.value).toBeLessThan(
      coat().transferEfficiencyPercent.value,
    );
  });
});

describe('what it says', () => {
  it('a high risk is said with what would help, in words', () => {
    const { verdicts } = ask(coatCalculation, {
      ...CLEAR,
      spread: true,
      coats: [{ flashMinutes: 2 }, { flashMinutes: 2 }],
    });
    const { message, instead } = verdicts.find(({ code }) => code === 'risk-high')!;
    expect(message).toMatch(/^[A-Z].*likely as planned\.$/);
    expect(instead!.text).toMatch(/^What would help most: \S/);
    expect(message + instead!.text).not.toContain('undefined');
  });
  it('sheet and model that part are both told, and the film that is over the sheet', () => {
    const { verdicts } = ask(coatCalculation, {
      ...CLEAR,
      spread: true,
      material: {
        ...CLEAR.material,
        sheet: { times: { atC: 21, flashMinutes: 60 }, gun: { wetFilmUm: 30 } },
      },
    });
    expect(verdicts.find(({ code }) => code === 'model-and-sheet-differ')?.message).toMatch(
      /The sheet says \d+ min, the model \d+ min/,
    );
    expect(verdicts.map(({ code }) => code)).toContain('film-over-sheet');
  });
  it('every lever and driver has its sentence, with units', () => {
    const knobs: ChangeKnob[] = [
      'inletKPa',
      'fluidTurnsOut',
      'fanTurnsOut',
      'distanceMm',
      'gunSpeedMPerS',
      'stepMm',
      'flashMinutes',
      'afterMinutes',
      'rampCPerMin',
      'gradeC',
    ];
    for (const knob of knobs)
      expect(changeText({ knob, from: 2, to: 3 })).toMatch(/^[A-Z].*2.* to 3/);
    for (const term of [
      'film',
      'filmBelow',
      'flash',
      'wetUnder',
      'slope',
      'wait',
      'fast',
      'heat',
      'air',
      'retained',
      'noHeat',
    ])
      expect(popTermText({ term })).toMatch(/\w/);
    expect(riskText({ risk: 'run', word: 'likely', knob: 'none', from: 0, to: 0 })['what']).toMatch(
      /no single small change/,
    );
    expect([0.05, 0.2, 0.5].map(riskWord)).toEqual(['unlikely', 'watch', 'likely']);
    expect(tradeText({ fog: 1.2, drops: 0.9, time: 1, wetness: 1.01 })).toBe(
      'finer drops (−10 %), more fog (+20 %)',
    );
    expect(tradeText({ fog: 1, drops: 1, time: 1, wetness: 1 })).toMatch(/about the same/);
  });
  it('what cannot be is refused where it stands', () => {
    const refusal = (input: object) =>
      answerOrRefuse('coat', { ...CLEAR, ...input }) as {
        error: { code: string; path: unknown[] };
      };
    expect(refusal({ coats: [] }).error.path).toEqual(['coats']);
    expect(refusal({ bake: { ...CLEAR.bake, toC: 400 } }).error).toMatchObject({
      code: 'out-of-range',
      path: ['bake', 'toC'],
    });
    expect(refusal({ gun: { ...CLEAR.gun, fullFanTurns: 2 } }).error.code).toBe('contradiction');
    expect(refusal({ material: { class: 'magic' } }).error).toMatchObject({
      code: 'not-one-of',
      path: ['material', 'class'],
    });
    expect(refusal({ wetness: 3 }).error.code).toBe('unknown-field');
  });
});
