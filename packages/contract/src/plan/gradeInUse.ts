/**
 * Reducer, hardener and adjuster that go into the cup: the painter's own pick where there is one,
 * ours where there is none.
 */
import { HARDENER_SPEED } from '@orthochrom/core/inForce/cure.ts';
import { slowFractionForDesign } from '@orthochrom/core/evaporation/solvents.ts';
import { stepsFromMedium } from '@orthochrom/core/film/flashToday.ts';
import { gradeOfBlend, slowFractionOf } from '@orthochrom/core/reducer/blend.ts';
import { designTemperatureC, speedOf, type Grade } from '@orthochrom/core/reducer/grade.ts';
import type { Speed } from '@orthochrom/core/trade/vocabulary.ts';
import type { AnswerOf, InputOf } from '../registry.ts';

export type GradeInUse = {
  /** Empty: no reducer. */
  parts: { name: string; fraction: number }[];
  /** The blend as one grade. */
  grade?: Grade;
  hardener?: string;
  hardenerSpeed?: Speed;
  /** Over ours, where the painter took another. */
  hardenerSpeedFactor?: number;
  adjuster?: string;
  adjusterPercentOfPaint?: number;
  openTimeMinutes?: AnswerOf<'reducer'>['openTimeMinutes'];
  evaporationIndex?: number;
  /**
   * Steps slower than a medium grade, of what is really in the cup: what the clock of waits is
   * told.
   */
  stepsSlower?: number;
};

/** @returns undefined where nothing may be mixed: a stop */
export function gradeInUse(
  question: InputOf<'reducer'>,
  { choice, wanted, openTimeMinutes, evaporationIndex }: AnswerOf<'reducer'>,
): GradeInUse | undefined {
  if (!choice) return undefined;
  const own = question.wanted;
  const parts = own && own.parts.length > 0 && choice.parts.length > 0 ? own.parts : choice.parts;
  const hardener = own?.hardener ?? choice.hardener;
  const gradeNamed = (name: string | undefined) =>
    question.hardeners?.find((grade) => grade.name === name);
  const [hardenerGrade, ours] = [gradeNamed(hardener), gradeNamed(choice.hardener)];
  const judged = wanted ?? { openTimeMinutes, evaporationIndex };
  return {
    parts,
    ...(parts.length > 0 && question.grades ? { grade: gradeOfBlend(parts, question.grades) } : {}),
    ...(hardener ? { hardener } : {}),
    ...(hardenerGrade ? { hardenerSpeed: speedOf(hardenerGrade) } : {}),
    ...(hardenerGrade && ours && hardenerGrade !== ours
      ? {
          hardenerSpeedFactor:
            HARDENER_SPEED[speedOf(hardenerGrade)] / HARDENER_SPEED[speedOf(ours)],
        }
      : {}),
    ...(choice.adjuster ? { adjuster: choice.adjuster } : {}),
    ...(choice.adjusterPercentOfPaint === undefined
      ? {}
      : { adjusterPercentOfPaint: choice.adjusterPercentOfPaint }),
    ...(judged.openTimeMinutes ? { openTimeMinutes: judged.openTimeMinutes } : {}),
    ...(judged.evaporationIndex === undefined ? {} : { evaporationIndex: judged.evaporationIndex }),
    ...stepsOf(parts, question.grades, hardenerGrade),
  };
}

/**
 * The reducer's grade sets the pace, the hardener's where nothing is reduced; of what is neither,
 * its sheet's.
 */
function stepsOf(
  parts: GradeInUse['parts'],
  grades: readonly Grade[] | undefined,
  hardener: Grade | undefined,
): Pick<GradeInUse, 'stepsSlower'> {
  if (parts.length > 0 && grades)
    return { stepsSlower: stepsFromMedium(slowFractionOf(parts, grades)) };
  return hardener
    ? { stepsSlower: stepsFromMedium(slowFractionForDesign(designTemperatureC(hardener))) }
    : {};
}
