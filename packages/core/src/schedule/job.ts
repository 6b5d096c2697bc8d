/** What a day's plan is asked with, and the steps it is made of. */
import type { Climate } from '../air/climate.ts';
import type { ForecastPoint } from '../air/forecast.ts';
import type { Limits } from '../air/limits.ts';
import type { SheetTimes } from '../inForce/timesOf.ts';
import type { PotLife } from '../mix/potLife.ts';
import type { Grade } from '../reducer/grade.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { Carrier, Finish, JobSize, Stage } from '../trade/vocabulary.ts';

export type ScheduleStage = {
  name: string;
  stage: Stage;
  carrier: Carrier;
  coats: number;
  sheet: SheetTimes;
  class?: MaterialClass;
  limits?: Limits;
  activated?: boolean;
  prepMinutes?: number;
  bake?: boolean;
  mixes?: number;
  potLife?: PotLife;
};
export type ScheduleInput = {
  stages: ScheduleStage[];
  climate?: Climate;
  forecast?: ForecastPoint[];
  startMinute?: number;
  panels: { name: string; areaM2?: number }[];
  spraySeconds: number;
  grades?: Grade[];
  finish?: Finish;
  jobSize?: JobSize;
  deadlineMinute?: number;
  sunriseMinute?: number;
  heated?: boolean;
};
export const STEP_KINDS = ['prep', 'spray', 'flash', 'test', 'bake', 'cure'] as const;
/** What is touched before the next thing, and what a wait after the job is for. */
export type ReadyTest = 'edgesDry' | 'edgesBeforeHeat';
export type CuredUntil = 'tape' | 'polish' | 'cured';
export type ScheduleStep = {
  stage?: string;
  coat?: number;
  startMinute: number;
  endMinute: number;
  kind: (typeof STEP_KINDS)[number];
  readyTest?: ReadyTest;
  until?: CuredUntil;
};
