/**
 * The forecast against what able painters expect: jobs that were used to fit it, and coats right
 * and wrong that were not.
 */
import { readFileSync } from 'node:fs';
import { RISKS, type RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';
import { describe, expect, it } from 'vitest';
import { ask } from '../../src/calculations/ask.ts';
import { coatCalculation } from '../../src/calculations/coat.ts';
import {
  answerOrRefuse,
  registry,
  type CalculationName,
  type InputOf,
} from '../../src/registry.ts';
import { shortfalls, type Example } from '../examplePairs.ts';
import { rightCoats } from './rightCoats.ts';
import { GROSS_FAULTS, wrongCoat } from './wrongCoats.ts';

type Job = Example & {
  calculation: CalculationName;
  judged: 'right' | 'wrong';
  right?: RiskName[];
};
const jobs = JSON.parse(readFileSync(new URL('jobs.json', import.meta.url), 'utf8')) as Job[];
const titled = (start: string): Job => jobs.find(({ title }) => title.startsWith(start))!;
const answerTo = (title: string): unknown => {
  const { calculation, input } = titled(title);
  const outcome = answerOrRefuse(calculation, input);
  return 'answer' in outcome ? outcome.answer : undefined;
};
const risksOf = (input: InputOf<'coat'>) =>
  Object.fromEntries(
    Object.entries(ask(coatCalculation, input).risks).map(([name, { value }]) => [name, value]),
  ) as Partial<Record<RiskName, number>>;
/** How far the foremost of these goes before every other. */
function lead(
  risks: Partial<Record<RiskName, number>>,
  leads: readonly RiskName[],
): { best: number; others: number } {
  const most = (of: (name: RiskName) => boolean) =>
    Math.max(0, ...Object.entries(risks).flatMap(([name, p]) => (of(name as RiskName) ? [p] : [])));
  return {
    best: most((name) => leads.includes(name)),
    others: most((name) => !leads.includes(name)),
  };
}

describe('the calibration jobs', () => {
  it.each(jobs)('$title', (job) => {
    const outcome = answerOrRefuse(job.calculation, job.input);
    expect(shortfalls(job, outcome, answerTo)).toEqual([]);
    expect(
      registry[job.calculation].answer.safeParse('answer' in outcome ? outcome.answer : {}).error,
    ).toBeUndefined();
  });
  it.each(jobs.filter(({ judged, right }) => judged === 'wrong' && right))(
    'leads by a fifth: $title',
    ({ input, right }) => {
      const { best, others } = lead(risksOf(input as InputOf<'coat'>), right!);
      expect(best - others).toBeGreaterThanOrEqual(0.2);
    },
  );
  it.each([
    ['W01', ['gunSpeedMPerS', 'distanceMm'], 1],
    ['W02', ['gunSpeedMPerS', 'flashMinutes'], 1],
    ['W03', ['gunSpeedMPerS'], 1],
    ['W04', ['flashMinutes'], 1],
    ['W06', ['gunSpeedMPerS', 'afterMinutes', 'flashMinutes'], 1],
    ['W09', ['inletKPa'], 1],
    ['W10', ['inletKPa'], 1],
    ['W11', ['inletKPa'], 1],
    ['W12', ['gradeC'], 1],
    ['W13', ['distanceMm'], -1],
    ['W14', ['distanceMm'], -1],
    ['W15', ['distanceMm'], -1],
    ['W16', ['distanceMm'], -1],
    ['W17', ['stepMm'], -1],
    ['W18', ['stepMm'], -1],
    ['W19', ['gunSpeedMPerS'], 1],
    ['W22', ['gradeC'], 1],
  ] as const)('%s: first the change that a painter would make', (start, knobs, way) => {
    const { input, right } = titled(start);
    const [first] = ask(coatCalculation, {
      ...(input as InputOf<'coat'>),
      rankChanges: true,
    }).changes!;
    expect(knobs as readonly string[]).toContain(first!.knob);
    expect(Math.sign(first!.to - first!.from)).toBe(way);
    expect(right).toContain(first!.helps);
  });
});

describe('coats that were not used to fit', () => {
  it('right ones, of any class and gun: nothing is likely, and on the median nothing is near it', () => {
    const answers = rightCoats(80, 20261128).map(({ input }) => risksOf(input));
    const sorted = (name: RiskName) =>
      answers.flatMap((risks) => risks[name] ?? []).sort((a, b) => a - b);
    for (const name of RISKS) {
      const all = sorted(name);
      expect(all.length, name).toBeGreaterThan(5);
      expect(all.at(-1)!, `the worst ${name}`).toBeLessThan(0.3);
      expect(all[Math.floor(all.length / 2)]!, `the middle ${name}`).toBeLessThan(
        name === 'mottle' ? 0.08 : 0.05,
      );
    }
  });
  it.each(GROSS_FAULTS)('wrong ones: $name', (fault) => {
    const drawn = drawnFrom(5);
    for (let i = 0; i < 4; i++) {
      const { best, others } = lead(risksOf(wrongCoat(drawn, fault)), fault.leads);
      expect(best).toBeGreaterThanOrEqual(0.5);
      expect(best).toBeGreaterThan(others);
    }
  });
  it('a clear of medium solids at 21 °C lies well anywhere from 45 to 60 µm', () => {
    const { input } = titled('R01') as { input: InputOf<'coat'> };
    const { gunSpeedMPerS } = input.settings;
    for (const share of [45, 50, 55, 60]) {
      const { run, peel } = risksOf({
        ...input,
        settings: { ...input.settings, gunSpeedMPerS: (gunSpeedMPerS! * 55.7) / share },
      });
      expect(run! + peel!).toBeLessThan(0.1);
    }
  });
});
