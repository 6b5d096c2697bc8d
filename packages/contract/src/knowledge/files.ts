/** The files of knowledge, each held against its schema when it is first read. */
import causes from './causes.json' with { type: 'json' };
import faults from './faults.json' with { type: 'json' };
import numbers from './numbers.json' with { type: 'json' };
import pairs from './pairs.json' with { type: 'json' };
import questions from './questions.json' with { type: 'json' };
import readings from './readings.json' with { type: 'json' };
import repairs from './repairs.json' with { type: 'json' };
import safety from './safety.json' with { type: 'json' };
import steps from './steps.json' with { type: 'json' };
import stops from './stops.json' with { type: 'json' };
import type { z } from 'zod';
import { sentenceOf } from '../words/measured.ts';
import * as schema from './schema.ts';

/** As they lie in the folder, nothing checked. */
export const RAW_FILES = {
  causes,
  faults,
  numbers,
  pairs,
  questions,
  readings,
  repairs,
  safety,
  steps,
  stops,
};
export type RawFiles = { [K in keyof typeof RAW_FILES]: unknown };

type Read<Shape extends () => z.ZodType> = z.infer<ReturnType<Shape>>;
export type Files = {
  causes: Read<typeof schema.CausesFile>;
  faults: Read<typeof schema.FaultsFile>;
  numbers: Read<typeof schema.NumbersFile>;
  pairs: Read<typeof schema.PairsFile>;
  questions: Read<typeof schema.QuestionsFile>;
  readings: Read<typeof schema.ReadingsFile>;
  repairs: Read<typeof schema.RepairsFile>;
  safety: Read<typeof schema.SafetyFile>;
  steps: Read<typeof schema.StepsFile>;
  stops: Read<typeof schema.StopsFile>;
};

/**
 * A file that is not what it should be: says which, where in it and what is wrong, for whoever
 * edits it.
 */
export class BadKnowledge extends Error {}

/** Every sentence of a file as it is read, its figures by their units remembered. */
function withSentences<T>(value: T): T {
  if (typeof value === 'string') return sentenceOf(value) as T;
  if (Array.isArray(value)) return value.map(withSentences) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, withSentences(inner as unknown)]),
  ) as T;
}

function held<S extends z.ZodType>(name: keyof RawFiles, shape: () => S, raw: unknown): z.infer<S> {
  const parsed = shape().safeParse(raw);
  if (parsed.success) return withSentences(parsed.data);
  const first = parsed.error.issues[0]!;
  throw new BadKnowledge(`${name}.json, ${first.path.join(' › ')}: ${first.message}`);
}

let readSafety: Files['safety'] | undefined;
/** What stands always, by itself: whoever sprays does not wait for what is known of faults. */
export const theSafety = (): Files['safety'] =>
  (readSafety ??= held('safety', schema.SafetyFile, safety));

/** @throws BadKnowledge */
export function filesOf(raw: RawFiles): Files {
  const read = <S extends z.ZodType>(name: keyof RawFiles, shape: () => S): z.infer<S> =>
    held(name, shape, raw[name]);
  return {
    causes: read('causes', schema.CausesFile),
    faults: read('faults', schema.FaultsFile),
    numbers: read('numbers', schema.NumbersFile),
    pairs: read('pairs', schema.PairsFile),
    questions: read('questions', schema.QuestionsFile),
    readings: read('readings', schema.ReadingsFile),
    repairs: read('repairs', schema.RepairsFile),
    safety: read('safety', schema.SafetyFile),
    steps: read('steps', schema.StepsFile),
    stops: read('stops', schema.StopsFile),
  };
}
