/**
 * How believable the forecast is: jobs judged by able painters, before and after; 500 right coats
 * drawn at random; what each test of the shop narrows. The figures of docs/MODEL.md, got again.
 */
import { readFileSync } from 'node:fs';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { coatCalculation } from '@orthochrom/contract/calculations/coat.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import { RISKS, HIGH_RISK, type RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import { rightCoats } from '../packages/contract/test/calibration/rightCoats.ts';

type Risks = Partial<Record<RiskName, number>>;
type Job = {
  title: string;
  calculation: string;
  judged: 'right' | 'wrong';
  right?: RiskName[];
  input: InputOf<'coat'>;
  before?: Risks;
};
const jobs = (
  JSON.parse(
    readFileSync(
      new URL('../packages/contract/test/calibration/jobs.json', import.meta.url),
      'utf8',
    ),
  ) as Job[]
).filter(({ title }) => /^[RW]\d/.test(title));
const line = (what: string, value: string) => console.log(`${what.padEnd(34)} ${value}`);
const of = (input: InputOf<'coat'>) => ask(coatCalculation, input);
const risksOf = (input: InputOf<'coat'>): Risks =>
  Object.fromEntries(Object.entries(of(input).risks).map(([name, { value }]) => [name, value]));

/** What is foreseen: the leading risk where it is likely, else good. */
function foreseen(risks: Risks): RiskName | 'good' {
  const [name, p] = (Object.entries(risks) as [RiskName, number][]).reduce((a, b) =>
    b[1] > a[1] ? b : a,
  );
  return p > HIGH_RISK ? name : 'good';
}

/** Rows: what an able painter says comes of it. Columns: what is foreseen. */
function confusion(title: string, risksFor: (job: Job) => Risks): void {
  const rows = new Map<string, Map<string, number>>();
  for (const job of jobs) {
    const is = foreseen(risksFor(job));
    const truth =
      job.judged === 'right' ? 'good' : job.right!.includes(is as RiskName) ? is : job.right![0]!;
    const row = rows.get(truth) ?? new Map<string, number>();
    row.set(is, (row.get(is) ?? 0) + 1);
    rows.set(truth, row);
  }
  console.log(title);
  for (const [truth, row] of rows)
    line(`  ${truth}`, [...row].map(([is, count]) => `${count} ${is}`).join(', '));
}

const quantile = (sorted: readonly number[], share: number) =>
  sorted[Math.floor(share * (sorted.length - 1))] ?? 0;

export function benchForesight(): void {
  console.log('\nforesight');
  confusion('jobs judged: before', ({ before }) => before!);
  confusion('jobs judged: now', ({ input }) => risksOf(input));
  const right = rightCoats(500, 20261128).map(({ input }) => risksOf(input));
  console.log('500 right coats, any class and gun, 14 to 35 °C: middle, 90 of 100, worst');
  for (const name of RISKS) {
    const sorted = right.flatMap((risks) => risks[name] ?? []).sort((a, b) => a - b);
    line(
      `  ${name}, ${sorted.length}`,
      [0.5, 0.9, 1].map((share) => quantile(sorted, share).toFixed(3)).join('  '),
    );
  }
  const { input } = jobs.find(({ title }) => title.startsWith('R01'))!;
  const { nozzleMm, inletKPa, fluidTurnsOut, fanTurnsOut } = input.settings as Required<
    InputOf<'coat'>['settings']
  >;
  const tested = (tests: object[]): InputOf<'coat'> =>
    ({ ...input, gun: { ...input.gun, nozzleSets: [{ nozzleMm, tests }] } }) as InputOf<'coat'>;
  const caught = { kind: 'catch', seconds: 30, ml: 66, inletKPa, fluidTurnsOut, fanTurnsOut };
  const combed = { kind: 'comb', wetUm: 55.7, settings: input.settings };
  const ran = { kind: 'ran', combUm: 90 } as const;
  const cases: [string, InputOf<'coat'>][] = [
    ['learner, untested', { ...input, technique: { skill: 'learner' } }],
    ['able, untested', input],
    ['expert, untested', { ...input, technique: { skill: 'expert' } }],
    ['able, a catch', tested([caught])],
    ['able, a comb reading', tested([combed])],
    [
      'able, comb, and it ran at 90 µm',
      { ...tested([combed]), material: { ...input.material, tests: [ran] } },
    ],
  ];
  console.log('a clear of medium solids at 21 °C: film, ±; run and its band; runs from');
  for (const [name, asked] of cases) {
    const { film, risks, runsFromUm } = of(asked);
    const half = (Math.log(film.wetUm.high / film.wetUm.low) / 2) * 100;
    const run = risks.run!;
    line(
      `  ${name}`,
      `${film.wetUm.value.toFixed(0)} µm ± ${half.toFixed(0)} %, ${run.value.toFixed(3)} [${run.low.toFixed(3)} to ${run.high.toFixed(2)}], ${runsFromUm!.value.toFixed(0)} µm [${runsFromUm!.low.toFixed(0)} to ${runsFromUm!.high.toFixed(0)}]`,
    );
  }
}
