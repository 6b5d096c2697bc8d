/**
 * Which grade or blend, which hardener, how much: the whole answer for one coat in this air (MODEL
 * 3.2).
 */
import { TOO_QUICK_INDEX } from './reducerJob.ts';
import { airVerdictsOf } from '../inForce/airVerdictsOf.ts';
import { barsFastGrades } from '../trade/vocabulary.ts';
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import {
  because,
  caution,
  isStopped,
  stop,
  type Reason,
  type Verdict,
} from '../outcome/verdicts.ts';
import {
  blendFor,
  bySpeed,
  evaporationOf,
  staysAsMixed,
  type BlendPart,
  NEAR_ENOUGH_LOG,
} from './blend.ts';
import { reaches, type Grade } from './grade.ts';
import type { Judged, ReducerAnswer, ReducerInput } from './asked.ts';
import { hardenerFor } from './hardener.ts';
import { waterborneAnswer } from './waterborne.ts';
import { type Job, jobOf, hardenerEvaporation, judge, quantityOf } from './reducerJob.ts';
import { judgeWanted, wantedVerdicts } from './wantedReducer.ts';

/** So far under its printed foot a grade still goes, with a longer flash. */
const UNDER_FOOT_C = 6;

/**
 * Reducer, amount and hardener for this job's temperature, with what else would do; what the
 * painter wants instead is judged beside it.
 */
export function reducerOf(input: ReducerInput): ReducerAnswer {
  const where = { effectiveC: effectiveTemperatureC(input), airSpeedMPerS: airSpeedMPerSOf(input) };
  const air = airVerdictsOf(input, { limits: input.limits, carrier: input.carrier });
  return input.carrier === 'waterborne'
    ? waterborneAnswer(input, where, air)
    : solventAnswer(jobOf(input, where), air);
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
