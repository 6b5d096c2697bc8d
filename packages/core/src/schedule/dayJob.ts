/** What a day over all jobs is asked with, and the board it makes. */
import type { Band } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { ForecastPoint } from '../air/forecast.ts';
import type { ReducerChoice } from '../reducer/asked.ts';
import type { Grade } from '../reducer/grade.ts';
import type { Finish, JobSize } from '../trade/vocabulary.ts';
import type { ScheduleStage } from './job.ts';

export const AFTER_KINDS = ['look', 'finish'] as const;
export type DayStage = ScheduleStage & {
  gun?: string | undefined;
  /** One coat over all its panels. */
  spraySeconds: number;
  /** Coats of it that are on already. */
  coatsOn?: number | undefined;
  finish?: Finish | undefined;
};
export type DayJob = {
  name: string;
  room: string;
  painter: string;
  stages: DayStage[];
  panels: { name: string; areaM2?: number | undefined }[];
  /** When the last coat that is on ended. */
  coatedMinute?: number | undefined;
  /** Not before: a car that comes later. */
  readyMinute?: number | undefined;
  deadlineMinute?: number | undefined;
  jobSize?: JobSize | undefined;
  /** Once all is on: looked at, cut and polished; by a hand, in no booth. */
  after?: { kind: (typeof AFTER_KINDS)[number]; minutes: number; fromMinute: number }[] | undefined;
};
export type DayInput = {
  jobs: DayJob[];
  /** By room. */
  forecasts: Record<string, ForecastPoint[]>;
  startMinute: number;
  closesMinute: number;
  /** Nobody mixes or sprays in one; what flashes goes on. */
  breaks?: Band[] | undefined;
  grades?: Grade[] | undefined;
  sunriseMinute?: number | undefined;
  /** Rooms without dew at dawn. */
  heatedRooms?: string[] | undefined;
};

export const BLOCK_KINDS = ['prep', 'mix', 'spray', 'flash', 'bake', ...AFTER_KINDS] as const;
export type DayBlock = {
  job: string;
  room: string;
  painter: string;
  gun?: string;
  stage: string;
  coat?: number;
  kind: (typeof BLOCK_KINDS)[number];
  startMinute: number;
  endMinute: number;
};
export type DayMix = {
  job: string;
  stage: string;
  startMinute: number;
  airTemperatureC: number;
  choice?: ReducerChoice;
  potLifeEndsMinute?: number;
};
export type DayWindow = { job: string; stage: string; opensMinute: number; closesMinute: number };
export type DayDone = {
  job: string;
  /** Absent where nothing of it is begun on this day. */
  startMinute?: number;
  /** Absent where it is not done on this day. */
  endMinute?: number;
  lateByMinutes?: number;
};
export type DayAnswer = Explained & {
  blocks: DayBlock[];
  mixes: DayMix[];
  windows: DayWindow[];
  jobs: DayDone[];
  endMinute: number;
  bestStart?: { startMinute: number; why: 'nothingStops' | 'lessAgainst' | 'soonerOut' };
};
