/**
 * The day on a clock: what is sprayed when, what waits how long in the air of that minute, which
 * mix wants which grade.
 */
import { airVerdictsOf, dawnVerdicts } from '../inForce/airVerdictsOf.ts';
import { potLifeMinutes } from '../mix/potLife.ts';
import {
  because,
  caution,
  isStopped,
  stop,
  type Explained,
  type Reason,
  type Verdict,
} from '../outcome/verdicts.ts';
import type { ReducerChoice } from '../reducer/asked.ts';
import { gradeByHour } from './gradeByHour.ts';
import type { ScheduleInput, ScheduleStep } from './job.ts';
import { airOf, layOut, type Laid, type RecoatWindow } from './clock.ts';
import { USABLE_POT_LIFE_SHARE } from '../mix/potLife.ts';

export type ScheduleAnswer = Explained & {
  steps: ScheduleStep[];
  potLifeEnds: { stage: string; mix: number; minute: number }[];
  recoatWindows: RecoatWindow[];
  mixes: { stage: string; startMinute: number; airTemperatureC: number; choice?: ReducerChoice }[];
  endMinute: number;
  bestStart?: { startMinute: number; why: BetterStart };
};

/** Why that start: what the air holds against this one, or how much less waiting there is. */
export type BetterStart =
  | 'asGoodAsAny'
  | 'nothingStops'
  | 'lessAgainst'
  | { shorterByMinutes: number };

const START_STEP_MINUTES = 15;

/** The day laid out: steps, mixes, windows, pot lives, a better start if the forecast has one. */
export function scheduleOf(input: ScheduleInput): ScheduleAnswer {
  const startMinute = input.startMinute ?? input.forecast?.[0]?.minute ?? 0;
  const laid = layOut(input, startMinute);
  const mixes = mixesOf(input, laid);
  const best = bestStartOf(input, startMinute);
  return {
    steps: laid.steps,
    potLifeEnds: potLifeEnds(input, laid),
    recoatWindows: laid.windows,
    mixes: mixes.map(({ verdicts: _, ...mix }) => mix),
    endMinute: laid.endMinute,
    ...(best ? { bestStart: best } : {}),
    verdicts: onceEach([
      ...verdictsOf(input, laid, startMinute),
      ...mixes.flatMap(({ verdicts }) => verdicts),
      ...gradeChanges(mixes),
    ]),
    reasons: reasonsOf(input),
  };
}

/** The same thing said of every coat is said once. */
const onceEach = (verdicts: readonly Verdict[]): Verdict[] =>
  verdicts.filter(({ code }, i) => verdicts.findIndex((other) => other.code === code) === i);

type Mixed = ScheduleAnswer['mixes'][number] & { verdicts: Verdict[] };

function mixesOf(input: ScheduleInput, { mixes }: Laid): Mixed[] {
  const air = airOf(input);
  return mixes.map(({ stage, startMinute }) => {
    const climate = air(startMinute);
    const answer = gradeByHour(stage, climate, input);
    return {
      stage: stage.name,
      startMinute,
      airTemperatureC: climate.airTemperatureC,
      ...(answer?.choice ? { choice: answer.choice } : {}),
      verdicts: (answer?.verdicts ?? []).filter(({ code }) => GRADE_VERDICTS.includes(code)),
    };
  });
}
const GRADE_VERDICTS = ['no-grade-quick-enough', 'grade-too-quick-for-heat', 'silver-needs-slower'];

const choiceText = ({ choice }: Mixed): string =>
  (choice?.parts ?? [])
    .map(({ name, fraction }) =>
      fraction === 1 ? name : `${Math.round(fraction * 100)} % ${name}`,
    )
    .join(' + ');

function gradeChanges(mixes: readonly Mixed[]): Verdict[] {
  const graded = mixes
    .map((mix, i) => ({ mix, at: i + 1, text: choiceText(mix) }))
    .filter(({ text }) => text !== '');
  const changed = graded.findIndex(({ text }, i) => i > 0 && text !== graded[i - 1]!.text);
  if (changed < 0) return [];
  const { mix, at, text } = graded.at(changed)!;
  return [
    caution('grade-changes-in-the-day', {
      mix: `mix ${at}`,
      airC: mix.airTemperatureC,
      choice: text,
    }),
  ];
}

function potLifeEnds(input: ScheduleInput, { mixes }: Laid): ScheduleAnswer['potLifeEnds'] {
  const air = airOf(input);
  return mixes.flatMap(({ stage, mix, startMinute }) =>
    stage.potLife
      ? [
          {
            stage: stage.name,
            mix,
            minute:
              startMinute + potLifeMinutes(stage.potLife, air(startMinute).airTemperatureC).value,
          },
        ]
      : [],
  );
}

function verdictsOf(input: ScheduleInput, laid: Laid, startMinute: number): Verdict[] {
  const { deadlineMinute, sunriseMinute, heated } = input;
  const verdicts = airAlong(input, laid);
  if (deadlineMinute !== undefined && laid.endMinute > deadlineMinute + 1e-9)
    verdicts.push(caution('does-not-fit', { endMinute: laid.endMinute, deadlineMinute }));
  verdicts.push(...dawnVerdicts(startMinute, { sunriseMinute, heated }));
  for (const { minutesSince, latestMinutes } of laid.closed)
    verdicts.push(stop('window-over', { minutesSince, latestMinutes }));
  const air = airOf(input);
  for (const { stage, startMinute: mixed, lastMinute } of laid.mixes) {
    if (!stage.potLife) continue;
    const temperatureC = air(mixed).airTemperatureC;
    const potLife = potLifeMinutes(stage.potLife, temperatureC).value;
    if (lastMinute - mixed > USABLE_POT_LIFE_SHARE * potLife)
      verdicts.push(
        caution('pot-life-short', {
          sprayMinutes: lastMinute - mixed,
          potLifeMinutes: potLife,
          temperatureC,
        }),
      );
  }
  if (
    input.stages.some(
      ({ sheet }) => sheet.flashMinutes === undefined && sheet.toNextMinutes === undefined,
    )
  )
    verdicts.push(caution('no-sheet'));
  return verdicts;
}

/** The air of every spraying, worst first. */
function airAlong(input: ScheduleInput, { steps }: Laid): Verdict[] {
  const air = airOf(input);
  const all = steps
    .filter(({ kind }) => kind === 'spray')
    .flatMap((step) => {
      return airVerdictsOf(
        air(step.startMinute),
        input.stages.find(({ name }) => name === step.stage),
      );
    })
    .filter(({ code }) => code !== 'panel-unread');
  return [
    ...all.filter(({ level }) => level === 'stop'),
    ...all.filter(({ level }) => level !== 'stop'),
  ];
}

/**
 * A start in the forecast with nothing against it, the soonest out; nothing where this one is as
 * good.
 */
function bestStartOf(input: ScheduleInput, startMinute: number): ScheduleAnswer['bestStart'] {
  const { forecast } = input;
  if (!forecast || forecast.length < 2) return undefined;
  const judged = (start: number) => {
    const laid = layOut(input, start);
    const verdicts = verdictsOf(input, laid, start);
    return {
      start,
      stops: Number(isStopped(verdicts)),
      cautions: onceEach(verdicts).length,
      minutes: laid.endMinute - start,
    };
  };
  const now = judged(startMinute);
  const first = forecast[0]!.minute;
  const last = Math.max(first, forecast.at(-1)!.minute - now.minutes);
  let best = now;
  for (let start = first; start <= last; start += START_STEP_MINUTES) {
    const candidate = judged(start);
    const score =
      candidate.stops - best.stops ||
      candidate.cautions - best.cautions ||
      candidate.minutes - best.minutes;
    if (score < -1e-6) best = candidate;
  }
  if (best === now) return { startMinute, why: 'asGoodAsAny' };
  const why =
    best.stops < now.stops
      ? 'nothingStops'
      : best.cautions < now.cautions
        ? 'lessAgainst'
        : { shorterByMinutes: Math.round(now.minutes - best.minutes) };
  return { startMinute: best.start, why };
}

function reasonsOf({ forecast, stages }: ScheduleInput): Reason[] {
  return [
    because('waits-by-the-minute', 'model'),
    because('waits-each-panel', 'rule'),
    ...(forecast ? [because('air-by-forecast', 'model')] : []),
    ...(stages.some(({ bake }) => bake)
      ? [because('bake-from-panel', 'dataSheet'), because('heat-waits-for-last-panel', 'rule')]
      : []),
    ...stages.flatMap((stage, s) => {
      const minutes = stage.sheet.sandMinutes;
      const isWaitedFor =
        minutes !== undefined && !stage.bake && (stages[s + 1]?.prepMinutes ?? 0) > 0;
      return isWaitedFor
        ? [because('sanding-waits', 'dataSheet', { stage: stage.name, minutes })]
        : [];
    }),
  ];
}
