/**
 * The grade that the air of a mix's hour wants; nothing where nothing is reduced by grades.
 *
 * Source  reducer/reducer.ts
 */
import type { Climate } from '../air/climate.ts';
import type { ReducerAnswer } from '../reducer/asked.ts';
import type { Grade } from '../reducer/grade.ts';
import { reducerOf } from '../reducer/reducer.ts';
import type { Finish, JobSize } from '../trade/vocabulary.ts';
import type { ScheduleStage } from './job.ts';

/** What the choice is asked with beside the stage and the air. */
export type GradesAtHand = {
  grades?: Grade[] | undefined;
  finish?: Finish | undefined;
  jobSize?: JobSize | undefined;
};

/** The choice for a stage that is mixed in this air. */
export function gradeByHour(
  stage: Pick<ScheduleStage, 'stage' | 'carrier' | 'limits'>,
  climate: Climate,
  { grades = [], finish, jobSize = 'panel' }: GradesAtHand,
): ReducerAnswer | undefined {
  if (stage.carrier !== 'solvent' || grades.length === 0) return undefined;
  return reducerOf({
    ...climate,
    airMovement: climate.airMovement ?? 'downdraft',
    jobSize,
    carrier: stage.carrier,
    stage: stage.stage,
    ...(finish && stage.stage !== 'clear' ? { finish } : {}),
    grades,
    ...(stage.limits ? { limits: stage.limits } : {}),
  });
}
