/**
 * The day of a shop: every open job on the clock, what is late, what window closes, which grade by
 * the hour of each mix, and whether another start would be better.
 */
import { airAt } from '../air/forecast.ts';
import { airVerdictsOf, dawnVerdicts } from '../inForce/airVerdictsOf.ts';
import { potLifeMinutes, USABLE_POT_LIFE_SHARE } from '../mix/potLife.ts';
import { because, caution, isStopped, stop, type Verdict } from '../outcome/verdicts.ts';
import { gradeByHour } from './gradeByHour.ts';
import { layOutDay, type LaidDay, type MixBegun } from './dayClock.ts';
import type { DayAnswer, DayDone, DayInput, DayMix } from './dayJob.ts';

const START_STEP_MINUTES = 30;
const MOST_STARTS = 8;

/** Every block of the day, with what stands against it. */
export function dayOf(input: DayInput): DayAnswer {
  const laid = layOutDay(input, input.startMinute);
  const verdicts = verdictsOf(input, laid, input.startMinute);
  const best = bestStartOf(input, laid, verdicts);
  return {
    blocks: [...laid.blocks].sort((a, b) => a.startMinute - b.startMinute),
    mixes: laid.mixes.map((mix) => mixOf(input, mix)),
    windows: laid.windows,
    jobs: input.jobs.map((job) => doneOf(job, laid)),
    endMinute: endOf(input, laid),
    ...(best ? { bestStart: best } : {}),
    verdicts,
    reasons: [
      because('soonest-first', 'rule'),
      because('waits-by-the-minute', 'model'),
      because('air-by-forecast', 'model'),
    ],
  };
}

const endOf = ({ startMinute }: DayInput, { blocks }: LaidDay): number =>
  Math.max(startMinute, ...blocks.map(({ endMinute }) => endMinute));

function doneOf(
  { name, deadlineMinute }: DayInput['jobs'][number],
  { blocks, done }: LaidDay,
): DayDone {
  const own = blocks.filter(({ job }) => job === name);
  const endMinute = done.get(name);
  const late =
    deadlineMinute !== undefined && endMinute !== undefined ? endMinute - deadlineMinute : 0;
  return {
    job: name,
    ...(own.length > 0
      ? { startMinute: Math.min(...own.map(({ startMinute }) => startMinute)) }
      : {}),
    ...(endMinute === undefined ? {} : { endMinute }),
    ...(late > 0 ? { lateByMinutes: late } : {}),
  };
}

/** The grade that the air of its hour wants, and how long it is good. */
function mixOf(input: DayInput, { job, stage, startMinute }: MixBegun): DayMix {
  const climate = airAt(input.forecasts[job.room]!, startMinute);
  const { choice } =
    gradeByHour(stage, climate, {
      grades: input.grades,
      finish: stage.finish,
      jobSize: job.jobSize,
    }) ?? {};
  return {
    job: job.name,
    stage: stage.name,
    startMinute,
    airTemperatureC: climate.airTemperatureC,
    ...(choice ? { choice } : {}),
    ...(stage.potLife
      ? {
          potLifeEndsMinute:
            startMinute + potLifeMinutes(stage.potLife, climate.airTemperatureC).value,
        }
      : {}),
  };
}

function verdictsOf(input: DayInput, laid: LaidDay, startMinute: number): Verdict[] {
  const { jobs, forecasts, sunriseMinute, heatedRooms = [] } = input;
  const late = jobs.flatMap((job): Verdict[] => {
    const endMinute = laid.done.get(job.name);
    if (endMinute === undefined) return [];
    const { deadlineMinute } = job;
    return deadlineMinute !== undefined && endMinute > deadlineMinute + 1e-9
      ? [caution('job-late', { job: job.name, lateMinutes: endMinute - deadlineMinute })]
      : [];
  });
  const open = jobs.filter(({ name }) => !laid.done.has(name)).map(({ name }) => name);
  const notToday = open.length > 0 ? [caution('job-not-today', { jobs: open.join('; ') })] : [];
  const closed = laid.closed.map(({ job, stage, minutesSince, latestMinutes }) =>
    stop('window-closes-first', { job, stage, minutesSince, latestMinutes }),
  );
  const mixed = laid.mixes.flatMap(({ job, stage, startMinute: from, lastMinute }): Verdict[] => {
    if (!stage.potLife) return [];
    const { airTemperatureC } = airAt(forecasts[job.room]!, from);
    const minutes = potLifeMinutes(stage.potLife, airTemperatureC).value;
    return lastMinute - from > USABLE_POT_LIFE_SHARE * minutes
      ? [
          caution('mix-outlasted', {
            job: job.name,
            stage: stage.name,
            sprayMinutes: lastMinute - from,
            potLifeMinutes: minutes,
          }),
        ]
      : [];
  });
  const air = laid.blocks
    .filter(({ kind }) => kind === 'spray')
    .flatMap((block) => {
      const job = jobs.find(({ name }) => name === block.job)!;
      const stage = job.stages.find(({ name }) => name === block.stage);
      return airVerdictsOf(airAt(forecasts[block.room]!, block.startMinute), stage);
    })
    .filter(({ code }) => code !== 'panel-unread');
  const isDamp = jobs.some(({ room }) => !heatedRooms.includes(room));
  const dawn = isDamp ? dawnVerdicts(startMinute, { sunriseMinute, heated: false }) : [];
  const byCode = [...dawn, ...air].filter(
    ({ code }, i, all) => all.findIndex((other) => other.code === code) === i,
  );
  return [...closed, ...byCode, ...late, ...notToday, ...mixed].sort(
    (a, b) => Number(b.level === 'stop') - Number(a.level === 'stop'),
  );
}

/** A later start with less against the day; nothing where now is as good as any. */
function bestStartOf(
  input: DayInput,
  laid: LaidDay,
  verdicts: readonly Verdict[],
): DayAnswer['bestStart'] {
  const judged = (start: number, on: LaidDay, said: readonly Verdict[]) => ({
    start,
    coats: on.blocks.filter(({ kind }) => kind === 'spray').length,
    stops: Number(isStopped(said)),
    cautions: said.length,
    end: endOf(input, on),
  });
  const now = judged(input.startMinute, laid, verdicts);
  let best = now;
  for (let k = 1; k <= MOST_STARTS; k += 1) {
    const start = input.startMinute + k * START_STEP_MINUTES;
    if (start >= input.closesMinute) break;
    const other = layOutDay(input, start);
    const candidate = judged(start, other, verdictsOf(input, other, start));
    // A day that does less has less against it: that is no better start.
    const score =
      best.coats - candidate.coats ||
      candidate.stops - best.stops ||
      candidate.cautions - best.cautions ||
      candidate.end - best.end;
    if (score < -1e-6) best = candidate;
  }
  if (best === now) return undefined;
  const why =
    best.stops < now.stops
      ? 'nothingStops'
      : best.cautions < now.cautions
        ? 'lessAgainst'
        : 'soonerOut';
  return { startMinute: best.start, why };
}
