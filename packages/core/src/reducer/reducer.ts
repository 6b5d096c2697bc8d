/**
 * Which grade or blend, which hardener, how much: the whole answer for one coat in this air (MODEL
 * 3.2).
 */
import { FLOWS_WELL_C } from '../air/limits.ts';
import { airVerdictsOf } from '../inForce/airVerdictsOf.ts';
import { barsFastGrades } from '../trade/vocabulary.ts';
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import {
  effectiveTemperatureC,
  solventEvaporation,
  wantedEvaporation,
} from '../evaporation/evaporationIndex.ts';
import { SLOW_FRACTION_PER_STEP, slowFractionForDesign } from '../evaporation/solvents.ts';
import {
  because,
  caution,
  isStopped,
  stop,
  type Reason,
  type Verdict,
  term,
  type Term,
} from '../outcome/verdicts.ts';
import {
  blendFor,
  bySpeed,
  evaporationOf,
  slowFractionOf,
  staysAsMixed,
  type BlendPart,
  type Surroundings,
  NEAR_ENOUGH_LOG,
} from './blend.ts';
import { designTemperatureC, reaches, speedOf, type Grade } from './grade.ts';
import type { Judged, ReducerAnswer, ReducerChoice, ReducerInput } from './asked.ts';
import { hardenerFor } from './hardener.ts';
import { openTimeMinutes } from './openTime.ts';
import { waterborneAnswer } from './waterborne.ts';

const TOO_SLOW_INDEX = 1 / 1.5;
const TOO_QUICK_INDEX = 1.5;
/** So far under its printed foot a grade still goes, with a longer flash. */
const UNDER_FOOT_C = 6;

type Job = {
  input: ReducerInput;
  where: Surroundings;
  wanted: number;
  grades: Grade[];
  allowed: Grade[];
  reduces: boolean;
};

export function reducerOf(input: ReducerInput): ReducerAnswer {
  const where = { effectiveC: effectiveTemperatureC(input), airSpeedMPerS: airSpeedMPerSOf(input) };
  const air = airVerdictsOf(input, { limits: input.limits, carrier: input.carrier });
  return input.carrier === 'waterborne'
    ? waterborneAnswer(input, where, air)
    : solventAnswer(jobOf(input, where), air);
}

function jobOf(input: ReducerInput, where: Surroundings): Job {
  const grades = (input.grades ?? []).filter((grade) => (grade.carrier ?? 'solvent') === 'solvent');
  const isFastBarred = barsFastGrades(input.finish);
  return {
    input,
    where,
    wanted: wantedEvaporation(input),
    grades,
    allowed: isFastBarred ? grades.filter((grade) => speedOf(grade) !== 'fast') : grades,
    reduces:
      input.stage === 'clear'
        ? (input.reduction?.maxPercent ?? 0) > 0
        : input.reduction?.maxPercent !== 0,
  };
}

function solventAnswer(job: Job, air: Verdict[]): ReducerAnswer {
  const { input, where, allowed, grades } = job;
  const hardener = input.hardeners?.length
    ? hardenerFor(input.hardeners, where.effectiveC)
    : undefined;
  const isGraded = job.reduces && allowed.length > 0;
  const isKept = isGraded && isNowNearEnough(job);
  const parts = isKept ? input.now! : isGraded ? blendFor(job.wanted, allowed, where) : [];
  const evaporation = isGraded
    ? evaporationOf(parts, allowed, where)
    : hardenerEvaporation(hardener?.hardener, where);
  const judged = evaporation === undefined ? undefined : judge(evaporation, job.wanted);
  const wanted = judgeWanted(job, parts, hardener?.hardener);
  const verdicts = [
    ...air,
    ...(job.reduces ? gradeVerdicts(job, parts, judged) : []),
    ...(hardener?.verdicts ?? []),
    ...wantedVerdicts(job, wanted),
  ];
  return {
    ...(isStopped(verdicts) || (job.reduces && grades.length > 0 && !isGraded)
      ? {}
      : {
          choice: {
            parts,
            ...(hardener ? { hardener: hardener.hardener.name } : {}),
            ...quantityOf(job),
          },
          ...(judged ?? {}),
        }),
    alternatives: job.reduces ? alternativesOf(job, parts) : [],
    ...(wanted ? { wanted } : {}),
    verdicts,
    reasons: isStopped(verdicts)
      ? circumstances(job)
      : [
          ...(isKept ? [because('kept-as-mixed', 'rule')] : []),
          ...solventReasons(job, parts, judged, hardener?.hardener),
        ],
  };
}

/** Where nothing is reduced, the hardener's own grade tells how quickly the film closes. */
const hardenerEvaporation = (
  hardener: Grade | undefined,
  where: Surroundings,
): number | undefined =>
  hardener &&
  solventEvaporation({
    slowFraction: slowFractionForDesign(designTemperatureC(hardener)),
    ...where,
  });

const judge = (evaporation: number, wanted: number): Judged => ({
  evaporationIndex: evaporation / wanted,
  openTimeMinutes: openTimeMinutes(evaporation),
});

function quantityOf({ input, reduces }: Job): Partial<ReducerChoice> {
  if (!reduces)
    return { reductionPercent: 0, ...(input.reduction ? { of: input.reduction.of } : {}) };
  return input.reduction
    ? { reductionPercent: input.reduction.sheetPercent, of: input.reduction.of }
    : {};
}

/** A cup that is mixed is not poured away for a degree. */
function isNowNearEnough({ input: { now }, allowed, where, wanted }: Job): boolean {
  const isAllowed = now?.every(({ name }) => allowed.some((grade) => grade.name === name));
  return (
    now !== undefined &&
    now.length > 0 &&
    isAllowed === true &&
    staysAsMixed(evaporationOf(now, allowed, where), wanted)
  );
}

function gradeVerdicts(job: Job, parts: BlendPart[], judged?: Judged): Verdict[] {
  const { grades, allowed, where } = job;
  if (grades.length > 0 && allowed.length === 0)
    return [stop('silver-needs-slower', undefined, ['grades'])];
  if (!judged || allowed.length === 0) return [];
  const sorted = bySpeed(allowed);
  const { effectiveC } = where;
  const [quickest, slowest] = [sorted[0]!, sorted.at(-1)!];
  const isPure = (grade: Grade) => parts.length === 1 && parts[0]!.name === grade.name;
  // A sheet that prints a band stands by its grade within it.
  const footC = quickest.minC ?? -Infinity;
  if (isPure(quickest) && effectiveC < footC - UNDER_FOOT_C)
    return [
      stop('no-grade-quick-enough', {
        grade: quickest.name,
        effectiveC,
        wantedC: footC - UNDER_FOOT_C,
      }),
    ];
  if (isPure(quickest) && effectiveC < footC)
    return [caution('grade-slow-for-cold', { grade: quickest.name, effectiveC })];
  if (judged.evaporationIndex > TOO_QUICK_INDEX && isPure(slowest) && !reaches(slowest, effectiveC))
    return [caution('grade-too-quick-for-heat', { grade: slowest.name, effectiveC })];
  return [];
}

/** Slow share of what sets the drying: the reducer's where there is one, else the hardener's. */
function slowShareOf(
  job: Job,
  parts: readonly BlendPart[],
  hardener: Grade | undefined,
): number | undefined {
  if (job.reduces && parts.length > 0) return slowFractionOf(parts, job.grades);
  return hardener && slowFractionForDesign(designTemperatureC(hardener));
}

/** The painter's pick by what it does to the drying; what was not picked otherwise is ours. */
function judgeWanted(
  job: Job,
  ours: BlendPart[],
  ourHardener: Grade | undefined,
): ReducerAnswer['wanted'] {
  const { input, where, grades, wanted: wantedRate } = job;
  const pick = input.wanted;
  if (!pick || pick.parts.some(({ name }) => !grades.some((grade) => grade.name === name)))
    return undefined;
  const parts = pick.parts.length > 0 ? pick.parts : ours;
  const hardener = pickedHardener(input) ?? ourHardener;
  const slowFraction = slowShareOf(job, parts, hardener);
  if (slowFraction === undefined) return undefined;
  const oursSlow = slowShareOf(job, ours, ourHardener) ?? slowFraction;
  const evaporation = solventEvaporation({ slowFraction, ...where });
  return {
    ...judge(evaporation, wantedRate),
    stepsSlower: (slowFraction - oursSlow) / SLOW_FRACTION_PER_STEP,
  };
}

const pickedHardener = ({ wanted, hardeners }: ReducerInput): Grade | undefined =>
  hardeners?.find(({ name }) => name === wanted?.hardener);

const named = (grades: readonly Grade[]): string | Term =>
  grades.map(({ name }) => name).join(' or ') || term('nothingElse');

function wantedVerdicts(job: Job, judged: ReducerAnswer['wanted']): Verdict[] {
  const { wanted, reduction, finish } = job.input;
  if (!wanted) return [];
  const verdicts: Verdict[] = wanted.parts
    .filter(({ name }) => job.reduces && !job.grades.some((grade) => grade.name === name))
    .map(({ name }) =>
      stop('wrong-system', { name, right: named(job.grades) }, ['wanted', 'parts']),
    );
  const percent = wanted.reductionPercent ?? (wanted.parts.length > 0 && !job.reduces ? 1 : 0);
  if (!job.reduces && percent > 0)
    verdicts.push(stop('reducer-not-on-sheet', { warmC: FLOWS_WELL_C }, ['wanted']));
  else if (reduction && percent > reduction.maxPercent)
    verdicts.push(
      caution('reducer-over-sheet', { percent, maxPercent: reduction.maxPercent }, [
        'wanted',
        'reductionPercent',
      ]),
    );
  const chosen = job.grades.filter((grade) =>
    wanted.parts.some(({ name, fraction }) => name === grade.name && fraction > 0),
  );
  if (barsFastGrades(finish) && chosen.some((grade) => speedOf(grade) === 'fast'))
    verdicts.push(stop('silver-needs-slower', undefined, ['wanted', 'parts']));
  const hardener = pickedHardener(job.input);
  if (wanted.hardener !== undefined && !hardener)
    verdicts.push(
      stop('wrong-system', { name: wanted.hardener, right: named(job.input.hardeners ?? []) }, [
        'wanted',
        'hardener',
      ]),
    );
  if (hardener) verdicts.push(...hardenerFor([hardener], job.where.effectiveC).verdicts);
  const grade = [
    ...wanted.parts.map(({ name }) => name),
    ...(hardener ? [hardener.name] : []),
  ].join(' + ');
  const { effectiveC } = job.where;
  const told = { grade, effectiveC };
  const isWithin = chosen.length > 0 && chosen.every((own) => reaches(own, effectiveC));
  if (judged && !isWithin && judged.evaporationIndex < TOO_SLOW_INDEX)
    verdicts.push(caution('grade-slow-for-cold', told, ['wanted']));
  if (judged && !isWithin && judged.evaporationIndex > TOO_QUICK_INDEX)
    verdicts.push(caution('grade-fast-for-heat', told, ['wanted']));
  return verdicts;
}

/** Every other pure grade the colour allows, nearest to right first. */
function alternativesOf(job: Job, chosen: BlendPart[]): ReducerAnswer['alternatives'] {
  const distance = ({ evaporationIndex }: Judged) => Math.abs(Math.log(evaporationIndex));
  return job.allowed
    .filter(({ name }) => !(chosen.length === 1 && chosen[0]!.name === name))
    .map(({ name }) => [{ name, fraction: 1 }])
    .map((parts) => ({ parts, ...judge(evaporationOf(parts, job.allowed, job.where), job.wanted) }))
    .sort((a, b) => distance(a) - distance(b));
}

/** What the grade rests on. Nothing here is said on a stop: it would read as advice to go on. */
function solventReasons(job: Job, parts: BlendPart[], judged?: Judged, hardener?: Grade): Reason[] {
  const { effectiveC } = job.where;
  const grade = parts
    .map(({ name, fraction }) => (fraction === 1 ? name : `${quarters(fraction)} ${name}`))
    .join(' + ');
  const isRight = judged && Math.abs(Math.log(judged.evaporationIndex)) < NEAR_ENOUGH_LOG;
  return [
    ...(grade && judged
      ? [
          isRight
            ? because('grade-for-temperature', 'model', { grade, effectiveC })
            : because('grade-nearest', 'model', {
                grade,
                effectiveC,
                indexFactor: judged.evaporationIndex,
              }),
        ]
      : []),
    ...(hardener
      ? [because('hardener-for-temperature', 'dataSheet', { hardener: hardener.name, effectiveC })]
      : []),
    ...circumstances(job),
  ];
}

function circumstances({ input, reduces }: Job): Reason[] {
  const reasons: Reason[] = [];
  if (!reduces) reasons.push(because('clear-not-reduced', input.reduction ? 'dataSheet' : 'rule'));
  if (input.jobSize === 'side' || input.jobSize === 'overall')
    reasons.push(because('large-job-slower', 'rule'));
  if (input.jobSize === 'spot') reasons.push(because('spot-quicker', 'rule'));
  if (input.finish && barsFastGrades(input.finish))
    reasons.push(because('effect-never-fast', 'rule', { finish: input.finish }));
  if (input.preference) reasons.push(because(`preference-${input.preference}`, 'rule'));
  if (input.relativeHumidityPercent > 65 && reduces)
    reasons.push(because('damp-air-slower', 'rule', { rhPercent: input.relativeHumidityPercent }));
  if (input.outdoorTemperatureC !== undefined)
    reasons.push(
      because('street-does-not-decide', 'rule', { outdoorC: input.outdoorTemperatureC }),
    );
  return reasons;
}

const quarters = (fraction: number): string =>
  ({ 0.25: '¼', 0.5: '½', 0.75: '¾' })[fraction] ?? String(fraction);
