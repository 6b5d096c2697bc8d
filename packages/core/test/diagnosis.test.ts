/** The judgement on a small knowledge of its own, and the readings that plan and record give. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  answerEvidence,
  logLikelihoodsOf,
  posteriorOf,
  tablesOf,
} from '../src/diagnosis/answers.ts';
import { causePosterior } from '../src/diagnosis/causes.ts';
import { beliefsOf, isMet } from '../src/diagnosis/evidence.ts';
import { logistic } from '../src/numerics/probability.ts';
import { linksOf, logPriorsOf, noisyOr } from '../src/diagnosis/faultPrior.ts';
import type { Knowledge, Log } from '../src/diagnosis/knowledge.ts';
import { rootLayerOf } from '../src/diagnosis/layers.ts';
import { readingsOf } from '../src/diagnosis/plannedAndDone.ts';
import { budgetOf } from '../src/diagnosis/repair.ts';

const fault = (id: string, ...showsIn: ('clear' | 'base' | 'any')[]) => ({ id, showsIn, seen: [] });
const SMALL: Knowledge = {
  version: 1,
  faults: [fault('PEEL', 'clear'), fault('RUN', 'clear'), fault('NONE_OF_THESE', 'any')],
  causes: [
    {
      id: 'low_air',
      layers: ['any'],
      steps: [],
      prior: 0.1,
      makes: { PEEL: 0.6, RUN: 0.1 },
      evidence: [{ reading: 'p', is: '<', than: -0.1, weight: 'strong' }],
    },
    {
      id: 'heavy',
      layers: ['any'],
      steps: [],
      prior: 0.1,
      makes: { RUN: 0.6 },
      evidence: [
        { reading: 'w', is: '>', than: 1.2, weight: 'strong', group: 'g' },
        { reading: 'c', is: '>', than: 1, weight: 'medium', group: 'g' },
      ],
    },
    {
      id: 'below',
      layers: ['primer', 'substrate'],
      steps: [],
      prior: 0.1,
      makes: { PEEL: 0.4 },
      evidence: [{ reading: 'g', is: '<', than: 'limit', weight: 'weak' }],
    },
  ],
  questions: [
    {
      id: 'q1',
      group: 'look',
      tool: 'none',
      cost: 1,
      film: 'any',
      knownBy: [],
      options: ['bumps', 'drips', 'skip'],
      skips: ['skip'],
      base: [0.5, 0.5, 0.5],
      rows: { PEEL: [0.97, 0.02, 0.5], RUN: [0.1, 0.97, 0.1] },
    },
    {
      id: 'q2',
      group: 'look',
      tool: 'none',
      cost: 1,
      film: 'any',
      knownBy: [],
      options: ['yes', 'no'],
      skips: [],
      base: [0.5, 0.5],
      rows: { PEEL: [0.8, 0.1] },
    },
  ],
  causeQuestions: [],
  saidOfCauses: {},
  lookAlikes: [],
  causePairs: [{ id: 'I', pair: ['low_air', 'heavy'], strength: { RUN: 0.9 } }],
  ruledOut: [],
  never: {},
  film: { leaveAtLeastUm: 40, singleStageLeaveAtLeastUm: 35, marginUm: 5, estimateFactor: 0.85 },
  rungs: {},
  neverOver: { except: [], rungs: [], asks: { faults: [], questions: [] } },
  evidence: {
    strong: { met: 8, notMet: 0.2 },
    medium: { met: 4, notMet: 0.45 },
    weak: { met: 2, notMet: 0.75 },
  },
  evidenceCap: [0.05, 40],
  leak: 0.002,
  misread: 0.05,
  noneOfThesePrior: 0.03,
};
const beliefIn = (log: Log, id: string) =>
  logistic(beliefsOf(SMALL, log).find(({ cause }) => cause.id === id)!.logOdds);
const priors = (log: Log) =>
  logPriorsOf(SMALL, linksOf(SMALL, beliefsOf(SMALL, log), undefined), log, undefined).map(
    Math.exp,
  );

describe('belief in a cause', () => {
  it('rises with a reading out of line, falls with one in order, and stays with none', () => {
    expect(beliefIn({}, 'low_air')).toBeCloseTo(0.1);
    expect(beliefIn({ p: -0.2 }, 'low_air')).toBeCloseTo((8 * 0.1) / 0.9 / (1 + (8 * 0.1) / 0.9));
    expect(beliefIn({ p: 0 }, 'low_air')).toBeLessThan(0.03);
  });
  it('of alternatives counts the loudest that is met, never their product', () => {
    expect(beliefIn({ w: 1.5, c: 2 }, 'heavy')).toBeCloseTo(beliefIn({ w: 1.5 }, 'heavy'), 2);
    expect(beliefIn({ w: 1, c: 2 }, 'heavy')).toBeGreaterThan(0.1);
  });
  it('of a cause nobody looked at sinks a little as the log fills, never under one found in order', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.boolean(), (withG, withW) => {
        const log: Log = { ...(withG ? { g: 400, limit: 300 } : {}), ...(withW ? { w: 1 } : {}) };
        expect(beliefIn(log, 'low_air')).toBeLessThanOrEqual(0.1 + 1e-12);
        expect(beliefIn(log, 'low_air')).toBeGreaterThan(beliefIn({ ...log, p: 0 }, 'low_air'));
      }),
    );
  });
  it('compares with another reading where the row names one, and says nothing while that is missing', () => {
    const row = SMALL.causes[2]!.evidence[0]!;
    expect([
      isMet(row, { g: 180, limit: 400 }),
      isMet(row, { g: 600, limit: 400 }),
      isMet(row, { g: 180 }),
    ]).toEqual([true, false, undefined]);
  });
});

describe('a fault from its causes', () => {
  it('is never sure and never out, and each cause more makes it likelier', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            probability: fc.double({ min: 0, max: 1, noNaN: true }),
            strength: fc.double({ min: 0, max: 0.95, noNaN: true }),
          }),
          { maxLength: 8 },
        ),
        (ways) => {
          const links = ways.map((way) => ({ ...way, causes: ['x'] }));
          const whole = noisyOr(links, 0.002);
          expect(whole).toBeGreaterThanOrEqual(0.002 - 1e-12);
          expect(whole).toBeLessThan(1);
          expect(noisyOr(links.slice(1), 0.002)).toBeLessThanOrEqual(whole + 1e-12);
        },
      ),
    );
  });
  it('two causes that make each other worse bring it more often than each alone would', () => {
    const both = priors({ p: -0.2, w: 1.5 })[1]!;
    const apart =
      1 -
      (1 - 0.002) *
        (1 - beliefIn({ p: -0.2, w: 1.5 }, 'low_air') * 0.1) *
        (1 - beliefIn({ p: -0.2, w: 1.5 }, 'heavy') * 0.6);
    expect(both).toBeGreaterThan(apart);
  });
  it('blames what was found out of line, and both where both were', () => {
    const log = { p: -0.2, w: 1.5 };
    const posteriors = causePosterior(SMALL, beliefsOf(SMALL, log), [0.5, 0.5, 0], undefined);
    expect(posteriors.get('low_air')).toBeGreaterThan(0.4);
    expect(posteriors.get('heavy')).toBeGreaterThan(0.3);
  });
});

describe('answers', () => {
  const tables = tablesOf(SMALL);
  it('bring every row to a sum of 1 over the options that say something', () => {
    const options = logLikelihoodsOf(SMALL, SMALL.questions[0]!);
    expect([...options.keys()]).toEqual(['bumps', 'drips']);
    SMALL.faults.forEach((_, f) =>
      expect(Math.exp(options.get('bumps')![f]!) + Math.exp(options.get('drips')![f]!)).toBeCloseTo(
        1,
      ),
    );
  });
  it('about the same fact do not count twice in full', () => {
    const evidence = answerEvidence(tables, [
      { question: 'q2', answer: 'yes' },
      { question: 'q1', answer: 'bumps' },
    ]);
    expect(evidence.map(({ question, power }) => [question, power])).toEqual([
      ['q1', 1],
      ['q2', 0.5],
    ]);
  });
  it('stay finite and sum to 1 however many there are', () => {
    const many = Array.from({ length: 400 }, () =>
      answerEvidence(tables, [{ question: 'q1', answer: 'bumps' }]),
    ).flat();
    const posterior = posteriorOf([-1, -2, -3], many);
    expect(posterior.reduce((a, b) => a + b, 0)).toBeCloseTo(1);
    expect(posterior[0]).toBeGreaterThan(0.999);
  });
});

it('the root lies in the lowest layer in which texture was seen, not where it shows', () => {
  const cause = {
    ...SMALL.causes[2]!,
    id: 'texture_below',
    layers: ['primer', 'sealer', 'base'] as const,
  };
  const shown = { id: 'OP_TEL', showsIn: ['clear'] as const, seen: [] };
  expect(rootLayerOf(cause, shown, { texture_layer: 'sealer' }, 'clear')).toBe('sealer');
  expect(rootLayerOf(SMALL.causes[0]!, shown, {}, undefined)).toBe('clear');
});

describe('film that may come off', () => {
  it('is none known without a figure, and an estimate counts less than a gauge', () => {
    expect(budgetOf(SMALL, {}, false)).toBeUndefined();
    expect(budgetOf(SMALL, { dft_clear_measured: 62 }, false)!.valueUm).toBeCloseTo(17);
    expect(budgetOf(SMALL, { dft_clear_est: 62 }, false)!.valueUm).toBeLessThan(17);
    expect(budgetOf(SMALL, { dft_clear_est: 30 }, false)!.valueUm).toBe(0);
  });
});

describe('planned against done', () => {
  const planned = { settings: { inletKPa: 172.4, distanceMm: 150 } };
  const at = (pressure: NonNullable<Parameters<typeof readingsOf>[1]>['pressure']) =>
    readingsOf(planned, { pressure });
  it('takes the same pressure from any unit', () => {
    const [psi, bar, kPa] = (
      [
        ['psi', 20],
        ['bar', 1.37895],
        ['kPa', 137.895],
      ] as const
    ).map(([unit, value]) => at({ value, unit, at: 'inlet', flowing: 'yes' }).readings['p_dev']);
    expect(psi).toBeCloseTo(-0.2, 3);
    expect(bar).toBeCloseTo(psi as number, 4);
    expect(kPa).toBeCloseTo(psi as number, 4);
  });
  it.each([
    ['at rest', { at: 'inlet', flowing: 'no' }, 'reading-at-rest'],
    ['at a place unknown', { at: 'unknown', flowing: 'yes' }, 'reading-place-unknown'],
    [
      'by a gauge nobody trusts',
      { at: 'inlet', flowing: 'yes', trust: 'none' },
      'gauge-not-trusted',
    ],
  ] as const)('a pressure read %s neither clears nor accuses', (_, how, code) => {
    const { readings, verdicts } = at({ value: 14, unit: 'psi', ...how });
    expect(readings).toEqual({});
    expect(verdicts.map((verdict) => verdict.code)).toContain(code);
  });
  it('a pressure known only at the wall says that it is not known at the gun', () => {
    expect(at({ value: 40, unit: 'psi', at: 'wall', flowing: 'yes' }).readings).toEqual({
      gauge_at_wall: true,
    });
  });
  it('names grades by their speed, distance in inches, the shortest flash', () => {
    const { readings } = readingsOf(
      { ...planned, grade: 'Medium', flashMinutes: [10, 10] },
      { settings: { distanceMm: 201 }, grade: 'Very slow', flashMinutes: [12, 4] },
    );
    expect(readings).toMatchObject({ red_step: 2, flash_ratio: 0.4 });
    expect(readings['dist_dev']).toBeCloseTo(51 / 25.4);
  });
  it('says nothing of what only one side knows', () => {
    expect(readingsOf(planned, {}).readings).toEqual({});
    expect(readingsOf({}, { wetFilmUm: 60, grade: 'Fast' }).readings).toEqual({});
  });
  it('measures the recipe that was poured against the one that was wanted', () => {
    const mix = (hardener: number) => ({
      recipe: {
        parts: [
          { name: 'a', parts: 4, role: 'paint' as const },
          { name: 'b', parts: hardener, role: 'hardener' as const },
        ],
      },
    });
    expect(readingsOf(mix(1), mix(0.5)).readings['hard_ratio']).toBeCloseTo(0.5);
  });
});
