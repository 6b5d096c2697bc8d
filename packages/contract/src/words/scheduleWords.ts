/** A schedule's steps, tests and better start in words. */
import type { CuredUntil, ReadyTest, ScheduleStep } from '@orthochrom/core/schedule/job.ts';
import type { BetterStart, ScheduleAnswer } from '@orthochrom/core/schedule/schedule.ts';

const READY_TEST: Record<ReadyTest, string> = {
  edgesDry: 'touch the masking at the edges: dry, no string',
  edgesBeforeHeat: 'touch the edges and the masking before heat',
};
const UNTIL: Record<CuredUntil, string> = {
  tape: 'Dry to tape',
  polish: 'Dry to polish',
  cured: 'Cure',
};
const START: Record<Exclude<BetterStart, object>, string> = {
  asGoodAsAny: 'as good as any in this forecast',
  nothingStops: 'nothing in the air stops it then',
  lessAgainst: 'less in the air speaks against it then',
};

function stepName({ kind, stage, coat, until }: ScheduleStep): string {
  const names: Record<ScheduleStep['kind'], string> = {
    prep: `Prepare ${stage}`,
    spray: `${stage}, coat ${coat}`,
    flash: `Flash ${stage}, coat ${coat}`,
    test: `Test ${stage}, coat ${coat}`,
    bake: `Bake ${stage}`,
    cure: `${UNTIL[until ?? 'cured']} ${stage}`,
  };
  return names[kind];
}

/** The answer as the contract has it: names of steps, the test in words, why that start. */
export function scheduleInWords({ steps, bestStart, ...answer }: ScheduleAnswer) {
  return {
    ...answer,
    steps: steps.map(({ until, readyTest, ...step }) => ({
      name: stepName({ ...step, ...(until ? { until } : {}) }),
      ...step,
      ...(readyTest ? { readyTest: READY_TEST[readyTest] } : {}),
    })),
    ...(bestStart
      ? { bestStart: { startMinute: bestStart.startMinute, why: startWords(bestStart.why) } }
      : {}),
  };
}

const startWords = (why: BetterStart): string =>
  typeof why === 'object' ? `the waits are ${why.shorterByMinutes} min shorter then` : START[why];
