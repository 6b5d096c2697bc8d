/**
 * Reads the example pairs of the contract and holds an outcome against one, as its pairs say
 * how.
 */
import { readFileSync } from 'node:fs';
import { worstLevel } from '@orthochrom/core/outcome/verdicts.ts';
import type { Outcome } from '../src/calculations/outcome.ts';

type Wanted =
  | number
  | string
  | boolean
  | {
      is?: number;
      within?: number;
      min?: number;
      max?: number;
      oneOf?: unknown[];
      length?: number;
      lengthMin?: number;
      lengthMax?: number;
      contains?: unknown[];
      present?: boolean;
    };
type Comparison = '<' | '<=' | '=' | '>' | '>=';
export type Example = {
  title: string;
  input: unknown;
  expect: {
    answer?: Record<string, Wanted>;
    verdicts?: { worst?: 'go' | 'caution' | 'stop'; has?: string[]; not?: string[] };
    order?: [string, '<' | '<=' | '=', string][];
    against?: { title: string; path: string; is: Comparison; times?: [number, number] }[];
    error?: { code: string; path: (string | number)[] };
  };
};

export const examplesOf = (name: string): Example[] =>
  JSON.parse(
    readFileSync(new URL(`../examples/${name}.json`, import.meta.url), 'utf8'),
  ) as Example[];

const isSpread = (value: unknown): value is { value: number } =>
  typeof value === 'object' && value !== null && 'value' in value && 'low' in value;

export function valueAt(answer: unknown, path: string): unknown {
  const found = path
    .split('.')
    .reduce<unknown>(
      (value, step) => (value as Record<string, unknown> | undefined)?.[step],
      answer,
    );
  return isSpread(found) ? found.value : found;
}

const LEVELS = ['go', 'caution', 'stop'];
const compare: Record<Comparison, (a: number, b: number) => boolean> = {
  '<': (a, b) => a < b,
  '<=': (a, b) => a <= b,
  '=': (a, b) => Math.abs(a - b) < 1e-9,
  '>': (a, b) => a > b,
  '>=': (a, b) => a >= b,
};

function misses(path: string, found: unknown, wanted: Wanted): string[] {
  const miss = (what: string) => [`${path}: ${JSON.stringify(found)} ${what}`];
  if (typeof wanted === 'number')
    return typeof found === 'number' &&
      Math.abs(found - wanted) <= Math.max(0.0005, Math.abs(wanted) * 0.001)
      ? []
      : miss(`is not ${wanted}`);
  if (typeof wanted !== 'object') return found === wanted ? [] : miss(`is not ${String(wanted)}`);
  const n = found as number;
  const length = (found as unknown[] | undefined)?.length ?? -1;
  return [
    ...(wanted.is !== undefined && !(Math.abs(n - wanted.is) <= wanted.within!)
      ? miss(`is not ${wanted.is} ± ${wanted.within}`)
      : []),
    ...(wanted.min !== undefined && !(n >= wanted.min) ? miss(`is under ${wanted.min}`) : []),
    ...(wanted.max !== undefined && !(n <= wanted.max) ? miss(`is over ${wanted.max}`) : []),
    ...(wanted.oneOf && !wanted.oneOf.includes(found)
      ? miss(`is none of ${wanted.oneOf.join()}`)
      : []),
    ...(wanted.length !== undefined && length !== wanted.length
      ? miss(`has not ${wanted.length} entries`)
      : []),
    ...(wanted.lengthMin !== undefined && length < wanted.lengthMin
      ? miss(`has under ${wanted.lengthMin} entries`)
      : []),
    ...(wanted.lengthMax !== undefined && length > wanted.lengthMax
      ? miss(`has over ${wanted.lengthMax} entries`)
      : []),
    ...(wanted.contains && !wanted.contains.every((item) => (found as unknown[]).includes(item))
      ? miss('lacks an entry')
      : []),
    ...(wanted.present !== undefined && (found !== undefined) !== wanted.present
      ? miss(wanted.present ? 'is missing' : 'should be absent')
      : []),
  ];
}

/** Every way in which the outcome falls short of the example; empty when it holds. */
export function shortfalls(
  { expect }: Example,
  outcome: Outcome,
  answerTo: (title: string) => unknown,
): string[] {
  if (expect.error) {
    const told =
      'error' in outcome ? { code: outcome.error.code, path: outcome.error.path } : 'an answer';
    return JSON.stringify(told) === JSON.stringify(expect.error)
      ? []
      : [`wanted ${JSON.stringify(expect.error)}, got ${JSON.stringify(told)}`];
  }
  if ('error' in outcome) return [`refused: ${JSON.stringify(outcome.error)}`];
  const { answer } = outcome;
  const verdicts = (answer as { verdicts: { code: string; level: 'go' | 'caution' | 'stop' }[] })
    .verdicts;
  const codes = verdicts.map(({ code }) => code);
  const worst = worstLevel(verdicts);
  const { worst: allowed, has = [], not = [] } = expect.verdicts ?? {};
  return [
    ...Object.entries(expect.answer ?? {}).flatMap(([path, wanted]) =>
      misses(path, valueAt(answer, path), wanted),
    ),
    ...(allowed && LEVELS.indexOf(worst) > LEVELS.indexOf(allowed)
      ? [`${worst} is worse than ${allowed}: ${codes.join()}`]
      : []),
    ...(allowed === 'stop' && worst !== 'stop' ? [`no stop among ${codes.join()}`] : []),
    ...has
      .filter((code) => !codes.includes(code))
      .map((code) => `lacks ${code}, has ${codes.join()}`),
    ...not.filter((code) => codes.includes(code)).map((code) => `should not say ${code}`),
    ...(expect.order ?? [])
      .filter(
        ([a, is, b]) => !compare[is](valueAt(answer, a) as number, valueAt(answer, b) as number),
      )
      .map(([a, is, b]) => `${a} is not ${is} ${b}`),
    ...(expect.against ?? []).flatMap((other) => againstMisses(answer, other, answerTo)),
  ];
}

function againstMisses(
  answer: unknown,
  { title, path, is, times }: NonNullable<Example['expect']['against']>[number],
  answerTo: (title: string) => unknown,
): string[] {
  const [mine, theirs] = [
    valueAt(answer, path) as number,
    valueAt(answerTo(title), path) as number,
  ];
  return [
    ...(compare[is](mine, theirs) ? [] : [`${path}: ${mine} is not ${is} ${theirs} of "${title}"`]),
    ...(times && !(mine / theirs >= times[0] && mine / theirs <= times[1])
      ? [`${path}: ${mine / theirs} times "${title}", wanted ${times.join(' to ')}`]
      : []),
  ];
}
