/** What the painter wants instead, judged beside ours. */
import { FLOWS_WELL_C } from '../air/limits.ts';
import { barsFastGrades } from '../trade/vocabulary.ts';
import { solventEvaporation } from '../evaporation/evaporationIndex.ts';
import { SLOW_FRACTION_PER_STEP, slowFractionForDesign } from '../evaporation/solvents.ts';
import { caution, stop, type Verdict, term, type Term } from '../outcome/verdicts.ts';
import { slowFractionOf, type BlendPart } from './blend.ts';
import { designTemperatureC, reaches, speedOf, type Grade } from './grade.ts';
import type { ReducerAnswer, ReducerInput } from './asked.ts';
import { hardenerFor } from './hardener.ts';
import { type Job, judge } from './reducerJob.ts';
import { TOO_SLOW_INDEX, TOO_QUICK_INDEX } from './reducerJob.ts';

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
export function judgeWanted(
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

/** The hardener wanted is one of this system's, and one for this warmth. */
function hardenerVerdicts({ input, where }: Job, hardener: Grade | undefined): Verdict[] {
  if (hardener) return hardenerFor([hardener], where.effectiveC).verdicts;
  const name = input.wanted?.hardener;
  if (name === undefined) return [];
  const right = named(input.hardeners ?? []);
  return [stop('wrong-system', { name, right }, ['wanted', 'hardener'])];
}

/** What stands against the grade, amount or hardener that the painter wants. */
export function wantedVerdicts(job: Job, judged: ReducerAnswer['wanted']): Verdict[] {
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
  verdicts.push(...hardenerVerdicts(job, hardener));
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
