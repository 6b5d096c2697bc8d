/** The day in stretches of one level: the grade it asks for, where it cannot be sprayed. Pure. */
import { airAt, type ForecastPoint } from '@orthochrom/core/air/forecast.ts';
import { effectiveTemperatureC } from '@orthochrom/core/evaporation/evaporationIndex.ts';
import { airVerdictsOf, dawnVerdicts } from '@orthochrom/core/inForce/airVerdictsOf.ts';
import { worstLevel, type Verdict } from '@orthochrom/core/outcome/verdicts.ts';
import type { Level } from '@orthochrom/core/outcome/codes.ts';
import { designTemperatureC, speedOf, type Grade } from '@orthochrom/core/reducer/grade.ts';
import type { Speed } from '@orthochrom/core/trade/vocabulary.ts';

export type GradeBand = { name: string; speed: Speed; fromC: number; toC: number };
/**
 * A stretch of one level by the rule of every card; `grade` is the speed whose band the film's
 * temperature lies in.
 */
export type DayWindow = {
  fromMinute: number;
  toMinute: number;
  level: Level;
  why: Verdict[];
  grade: string;
};
/** What of the room counts for the day: an unheated one has a dawn. */
export type DayRoom = { sunriseMinute?: number; heated?: boolean };

export const STEP_MINUTES = 10;
/** Where the shop has no reducer sheet. */
export const USUAL_BANDS: GradeBand[] = [
  { name: 'fast', speed: 'fast', fromC: -40, toC: 18 },
  { name: 'medium', speed: 'medium', fromC: 18, toC: 25 },
  { name: 'slow', speed: 'slow', fromC: 25, toC: 32 },
  { name: 'very slow', speed: 'verySlow', fromC: 32, toC: 70 },
];

/** The shop's own grades side by side: where two overlap, the middle of the overlap parts them. */
export function gradeBands(grades: readonly Grade[]): GradeBand[] {
  if (grades.length === 0) return USUAL_BANDS;
  const sorted = [...grades].sort((a, b) => designTemperatureC(a) - designTemperatureC(b));
  const edge = (lower: Grade, upper: Grade) =>
    ((lower.maxC ?? designTemperatureC(lower)) + (upper.minC ?? designTemperatureC(upper))) / 2;
  return sorted.map((grade, i) => ({
    name: `${grade.name}, ${SPEED_NAME[speedOf(grade)]}`,
    speed: speedOf(grade),
    fromC: i === 0 ? -60 : edge(sorted[i - 1]!, grade),
    toC: i === sorted.length - 1 ? 90 : edge(grade, sorted[i + 1]!),
  }));
}

const SPEED_NAME = { fast: 'fast', medium: 'medium', slow: 'slow', verySlow: 'very slow' } as const;

function stateAt(
  forecast: readonly ForecastPoint[],
  minute: number,
  bands: readonly GradeBand[],
  room: DayRoom,
): Pick<DayWindow, 'level' | 'why' | 'grade'> {
  const air = airAt(forecast, minute);
  const all = [...airVerdictsOf(air), ...dawnVerdicts(minute, room)].filter(
    ({ code }) => code !== 'panel-unread',
  );
  const level = worstLevel(all);
  const effectiveC = effectiveTemperatureC(air);
  const grade = (bands.find(({ toC }) => effectiveC < toC) ?? bands.at(-1)!).name;
  return { level, why: all.filter((verdict) => verdict.level === level), grade };
}

const codesOf = (why: readonly Verdict[]): string => why.map(({ code }) => code).join();

/**
 * The day from a minute on, cut into stretches of one level each; the reasons are those that still
 * lie ahead.
 */
export function dayWindows(
  forecast: readonly ForecastPoint[],
  bands: readonly GradeBand[] = USUAL_BANDS,
  fromMinute = 0,
  room: DayRoom = {},
): DayWindow[] {
  const last = forecast.at(-1)!.minute;
  const windows: DayWindow[] = [];
  // From the very minute: what is said of now is what the head of the page shows.
  let minute = Math.min(last, Math.max(forecast[0]!.minute, fromMinute));
  while (minute < last) {
    const state = stateAt(forecast, minute, bands, room);
    const open = windows.at(-1);
    const next = (Math.floor(minute / STEP_MINUTES) + 1) * STEP_MINUTES;
    const toMinute = Math.min(next, last);
    const isSame =
      open &&
      open.level === state.level &&
      (state.level === 'stop' ||
        (open.grade === state.grade && codesOf(open.why) === codesOf(state.why)));
    if (isSame) {
      open.toMinute = toMinute;
      open.why = [
        ...open.why,
        ...state.why.filter(({ code }) => !open.why.some((known) => known.code === code)),
      ];
    } else windows.push({ fromMinute: minute, toMinute, ...state });
    minute = toMinute;
  }
  return windows;
}

export const clockText = (minute: number): string =>
  `${Math.floor(minute / 60)}:${String(Math.floor(minute % 60)).padStart(2, '0')}`;
