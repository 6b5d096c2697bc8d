/** What goes into a diagnosis and what comes out. */
import { FaultLayer, RepairVerdict } from './trade.ts';
import { CupName, Finish, Trust } from './trade.ts';
import { PRESSURE_UNITS, READ_AT, FLOWING } from '@orthochrom/core/gun/reading.ts';
import { z } from 'zod';
import {
  contradiction,
  listOf,
  moreThanZero,
  optional,
  outOfRange,
  quantity,
  wanted,
} from '../quantity/fields.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';
import { Climate } from './climate.ts';
import { Bake } from './film.ts';
import { Settings } from './gun.ts';
import { PotLife, Recipe } from './mixing.ts';
import { Advice, explained, Spread } from './verdicts.ts';

const PressureReading = z.strictObject({
  value: z.number().min(0).max(2000),
  unit: z.enum(PRESSURE_UNITS),
  at: z.enum(READ_AT),
  flowing: z.enum(FLOWING),
  trust: Trust.optional(),
});
export const CoatRecord = z.strictObject({
  climate: Climate.optional(),
  settings: Settings.optional(),
  pressure: PressureReading.optional(),
  recipe: Recipe.optional(),
  grade: z.string().min(1).max(80).optional(),
  hardenerGrade: z.string().min(1).max(80).optional(),
  viscosity: z
    .strictObject({ cup: CupName, seconds: moreThanZero('seconds'), ...wanted('atC') })
    .optional(),
  ...optional('wetFilmUm', 'coats', 'mixAgeMinutes'),
  flashMinutes: listOf(quantity('flashMinutes')).optional(),
  bake: Bake.optional(),
  potLife: PotLife.optional(),
  finish: Finish.optional(),
});

const ReadingValue = z.union([z.number(), z.boolean(), z.string()]);
const unknownField = (path: (string | number)[], key: string) => ({
  code: 'custom' as const,
  path,
  message: `${key} is not a reading that is known here`,
  params: { code: 'unknown-field' },
});
const wrongKind = (path: (string | number)[], key: string, kind: string) => ({
  code: 'custom' as const,
  path,
  message: `${key} must be a ${kind}`,
  params: { code: 'wrong-type' },
});
const notOneOf = (path: (string | number)[], given: string, values: readonly string[]) => ({
  code: 'custom' as const,
  path,
  message: `"${given}" is none of ${values.join(', ')}`,
  params: { code: 'not-one-of' },
});

/** Readings by id, each of its own kind and in its own range. */
export const Readings = z.record(z.string(), ReadingValue).superRefine((readings, ctx) => {
  const known = theKnowledge().files.readings.readings;
  for (const [key, value] of Object.entries(readings)) {
    const reading = Object.hasOwn(known, key) ? known[key]! : undefined;
    if (!reading) ctx.addIssue(unknownField([key], key));
    else if (reading.kind === 'bool' && typeof value !== 'boolean')
      ctx.addIssue(wrongKind([key], key, 'boolean'));
    else if (reading.kind === 'number' && typeof value !== 'number')
      ctx.addIssue(wrongKind([key], key, 'number'));
    else if (
      reading.kind === 'number' &&
      typeof value === 'number' &&
      (value < reading.from || value > reading.to)
    )
      ctx.addIssue(
        outOfRange(
          [key],
          `${value} ${reading.unit}; ${reading.from} to ${reading.to} ${reading.unit} is possible`,
        ),
      );
    else if (reading.kind === 'enum' && typeof value !== 'string')
      ctx.addIssue(wrongKind([key], key, 'string'));
    else if (reading.kind === 'enum' && !reading.values.includes(String(value)))
      ctx.addIssue(notOneOf([key], String(value), reading.values));
  }
});
export const Conditions = z.strictObject({
  readings: Readings.optional(),
  trust: z
    .record(z.string(), Trust)
    .superRefine((trust, ctx) => {
      const known = theKnowledge().files.readings.readings;
      for (const key of Object.keys(trust))
        if (!Object.hasOwn(known, key)) ctx.addIssue(unknownField([key], key));
    })
    .optional(),
  planned: CoatRecord.optional(),
  done: CoatRecord.optional(),
});

/** Looked, and could not say: as good as not asked, but not asked again. */
export const CANT_TELL = 'cant_tell';

export const Observations = z
  .array(z.strictObject({ question: z.string(), answer: z.string() }))
  .max(80)
  .superRefine((observations, ctx) => {
    const { questions, causeQuestions } = theKnowledge().files.questions;
    const asked = new Map(
      [...questions, ...causeQuestions].map(({ id, options }) => [id, Object.keys(options)]),
    );
    const given = new Map<string, string>();
    observations.forEach(({ question, answer }, i) => {
      const options = asked.get(question);
      if (!options) ctx.addIssue(notOneOf([i, 'question'], question, [...asked.keys()]));
      else if (answer !== CANT_TELL && !options.includes(answer))
        ctx.addIssue(notOneOf([i, 'answer'], answer, [...options, CANT_TELL]));
      const before = given.get(question);
      if (before !== undefined && before !== answer)
        ctx.addIssue(
          contradiction(
            [i, 'answer'],
            `${question} was answered with ${before} already; it has one answer`,
          ),
        );
      given.set(question, answer);
    });
  });

export const diagnoseShape = {
  observations: Observations,
  layerSuspected: FaultLayer.optional(),
  conditions: Conditions.optional(),
  /** Beside the contract: whether the film is still wet, where the painter stands before it. */
  film: z.enum(['wet', 'dry']).optional(),
};

const Found = z.strictObject({ id: z.string(), name: z.string(), probability: z.number() });
export const AskedQuestion = z.strictObject({
  id: z.string(),
  text: z.string(),
  options: z.array(z.string()),
  gainBits: z.number(),
  /** The answer stands; one of this question's likely answers would turn what to do. */
  wouldChange: z.literal(true).optional(),
});
export const DiagnoseAnswer = z.strictObject({
  decided: z.boolean(),
  faults: z.array(Found),
  secondFault: Found.optional(),
  causes: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      probability: z.number(),
      layer: FaultLayer.optional(),
      evidence: z.array(z.strictObject({ text: z.string(), weight: z.number() })),
    }),
  ),
  cleared: z.array(z.strictObject({ id: z.string(), why: z.string() })),
  nextQuestion: AskedQuestion.optional(),
  nextQuestions: z.array(AskedQuestion),
  now: z.array(Advice),
  nextCoat: z.array(Advice),
  nextJob: z.array(z.strictObject({ setting: z.string(), change: z.string(), why: z.string() })),
  repair: z
    .strictObject({
      ladder: z.array(
        z.strictObject({
          step: z.string(),
          grit: z.string().optional(),
          condition: z.string(),
          /** Where the work can hurt somebody: at the step where it bites, once. */
          caution: z.string().optional(),
        }),
      ),
      removalBudgetUm: Spread.optional(),
      verdict: RepairVerdict,
    })
    .optional(),
  ...explained,
});
