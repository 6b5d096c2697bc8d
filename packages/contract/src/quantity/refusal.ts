/**
 * Bad input as the contract tells it: what was given, where, what is allowed and in which unit; the
 * first of all found leads.
 */
import type { z } from 'zod';
import { rangeIfAny } from './ranges.ts';

export type Path = (string | number)[];
export type Refusal = {
  code: string;
  message: string;
  path: Path;
  given?: unknown;
  allowed?: [number, number];
  unit?: string;
};
export type RefusalReport = Refusal & { more?: Refusal[] };

type Issue = z.core.$ZodIssue;

/** The refusal for a failed parse of `input`. */
export function refusalOf(error: z.ZodError, input: unknown): RefusalReport {
  const [first, ...more] = error.issues.flatMap((issue) => refusalsOf(issue, input, []));
  if (!first) throw new Error('a failed parse without an issue');
  return { ...first, ...(more.length > 0 ? { more } : {}) };
}

function refusalsOf(issue: Issue, input: unknown, base: Path): Refusal[] {
  const path = [...base, ...(issue.path as Path)];
  const given = valueAt(input, path);
  const field = String([...path].reverse().find((step) => typeof step === 'string') ?? 'input');
  switch (issue.code) {
    case 'invalid_type':
      return [invalidType(issue.expected, field, path, given)];
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        code: 'unknown-field',
        message: `${key} is not a field here.`,
        path: [...path, key],
      }));
    case 'invalid_value':
      return [notOneOf(issue.values.map(String), field, path, given)];
    case 'too_small':
    case 'too_big':
      return [outOfRange(issue, field, path, given)];
    case 'invalid_union':
      return unionRefusals(issue, input, path, field, given);
    case 'custom':
      return [
        {
          code: String(issue.params?.['code'] ?? 'contradiction'),
          message: sentence(field, issue.message),
          path,
        },
      ];
    default:
      return [{ code: 'wrong-type', message: sentence(field, issue.message), path, given }];
  }
}

const sentence = (field: string, message: string): string =>
  message.startsWith(field) ? `${message}.` : `${field}: ${message}.`;

function invalidType(expected: string, field: string, path: Path, given: unknown): Refusal {
  if (given === undefined) {
    const isBasis = field === 'of';
    return isBasis
      ? {
          code: 'basis-missing',
          message: 'Per cent of what? of: paint, mixSoFar or finalMix.',
          path,
        }
      : { code: 'missing-field', message: `${field} is missing.`, path };
  }
  if (typeof given === 'number' && !Number.isFinite(given))
    return rangeRefusal(field, path, given, rangeIfAny(field));
  return {
    code: 'wrong-type',
    message: `${field} is ${show(given)}; a ${expected} is wanted${unitHint(field)}.`,
    path,
    given,
  };
}

const unitHint = (field: string): string => {
  const unit = rangeIfAny(field)?.unit;
  return unit ? `, in ${unit}` : '';
};

function notOneOf(values: string[], field: string, path: Path, given: unknown): Refusal {
  if (given === undefined && field === 'of') return invalidType('string', field, path, given);
  if (given === undefined)
    return {
      code: 'missing-field',
      message: `${field} is missing; one of ${values.join(', ')} is wanted.`,
      path,
    };
  const isWord = typeof given === 'string';
  return {
    code: isWord ? 'not-one-of' : 'wrong-type',
    message: `${field} is ${show(given)}; one of ${values.join(', ')} is wanted.`,
    path,
    given,
  };
}

function outOfRange(
  issue: Extract<Issue, { code: 'too_small' | 'too_big' }>,
  field: string,
  path: Path,
  given: unknown,
): Refusal {
  if (issue.origin === 'number' || issue.origin === 'int') {
    const range = rangeIfAny(field);
    if (issue.code === 'too_small' && issue.inclusive === false && given === 0)
      return {
        code: 'out-of-range',
        message: `${field} is 0 ${range?.unit ?? ''}; it must be more than 0.`.replace('  ', ' '),
        path,
        given,
      };
    return rangeRefusal(field, path, given, range);
  }
  const bound =
    issue.code === 'too_small' ? `at least ${issue.minimum}` : `at most ${issue.maximum}`;
  const what = issue.origin === 'string' ? 'characters' : 'entries';
  return { code: 'out-of-range', message: `${field} must have ${bound} ${what}.`, path };
}

function rangeRefusal(
  field: string,
  path: Path,
  given: unknown,
  range?: { from: number; to: number; unit: string },
): Refusal {
  if (!range)
    return {
      code: 'out-of-range',
      message: `${field} is ${show(given)}; that is not possible.`,
      path,
      given,
    };
  const unit = range.unit ? ` ${range.unit}` : '';
  return {
    code: 'out-of-range',
    message: `${field} is ${show(given)}${unit}; ${range.from} to ${range.to}${unit} is possible.`,
    path,
    given,
    allowed: [range.from, range.to],
    unit: range.unit,
  };
}

/** Of the alternatives of a union the one that fits best speaks. */
function unionRefusals(
  issue: Extract<Issue, { code: 'invalid_union' }>,
  input: unknown,
  path: Path,
  field: string,
  given: unknown,
): Refusal[] {
  const branches = issue.errors.map((issues) =>
    issues.flatMap((inner) => refusalsOf(inner, input, path)),
  );
  const best = branches
    .filter((branch) => branch.length > 0)
    .sort((a, b) => misfit(a, path) - misfit(b, path))[0];
  if (best) return best;
  return [
    {
      code: given === undefined ? 'missing-field' : 'not-one-of',
      message: `${field} is ${show(given)}; that is not one of the words allowed.`,
      path,
      given,
    },
  ];
}

/** Trouble at the union's own level speaks against a branch more than trouble deep inside it. */
const misfit = (branch: Refusal[], path: Path): number =>
  branch.reduce(
    (sum, refusal) =>
      sum +
      (refusal.path.length <= path.length + 1 &&
      (refusal.code === 'missing-field' ||
        refusal.code === 'unknown-field' ||
        refusal.code === 'wrong-type')
        ? 10
        : 1),
    0,
  );

const valueAt = (input: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (value, step) =>
      value !== null && typeof value === 'object'
        ? (value as Record<string | number, unknown>)[step]
        : undefined,
    input,
  );

function show(value: unknown): string {
  if (typeof value === 'string') return `"${value.slice(0, 40)}"`;
  if (typeof value === 'object' && value !== null)
    return Array.isArray(value) ? 'a list' : 'an object';
  return String(value);
}
