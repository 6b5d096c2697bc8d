/** Reducer, hardener and adjuster that go into the cup: the painter's own pick where there is one, ours where there is none. */
import { HARDENER_SPEED } from '@orthochrom/core/inForce/cure.ts';
import { gradeOfBlend } from '@orthochrom/core/reducer/blend.ts';
import { speedOf, type Grade } from '@orthochrom/core/reducer/grade.ts';
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
  /** Grades slower than ours: what the clock of waits is told. */
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
  const gradeNamed = (name: string | undefined) => question.hardeners?.find((grade) => grade.name === name);
  const [hardenerGrade, ours] = [gradeNamed(hardener), gradeNamed(choice.hardener)];
  const judged = wanted ?? { openTimeMinutes, evaporationIndex };
  return {
    parts,
    ...(parts.length > 0 && question.grades ? { grade: gradeOfBlend(parts, question.grades) } : {}),
    ...(hardener ? { hardener } : {}),
    ...(hardenerGrade ? { hardenerSpeed: speedOf(hardenerGrade) } : {}),
    ...(hardenerGrade && ours && hardenerGrade !== ours
      ? { hardenerSpeedFactor: HARDENER_SPEED[speedOf(hardenerGrade)] / HARDENER_SPEED[speedOf(ours)] }
      : {}),
    ...(choice.adjuster ? { adjuster: choice.adjuster } : {}),
    ...(choice.adjusterPercentOfPaint === undefined ? {} : { adjusterPercentOfPaint: choice.adjusterPercentOfPaint }),
    ...(judged.openTimeMinutes ? { openTimeMinutes: judged.openTimeMinutes } : {}),
    ...(judged.evaporationIndex === undefined ? {} : { evaporationIndex: judged.evaporationIndex }),
    ...(wanted ? { stepsSlower: wanted.stepsSlower } : {}),
  };
}
