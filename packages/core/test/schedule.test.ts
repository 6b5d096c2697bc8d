/** A day on a clock: order, waits, mixes, limits; in still air and in air that moves. */
import type { ScheduleInput } from '../src/schedule/job.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scheduleOf } from '../src/schedule/schedule.ts';

const DAY: ScheduleInput = {
  stages: [
    {
      name: 'Base',
      stage: 'base',
      carrier: 'solvent',
      coats: 2,
      sheet: {
        atC: 20,
        flashMinutes: 10,
        minFlashMinutes: 5,
        toNextMinutes: 20,
        maxRecoatMinutes: 600,
      },
    },
    {
      name: 'Clear',
      stage: 'clear',
      carrier: 'solvent',
      coats: 2,
      activated: true,
      bake: true,
      prepMinutes: 10,
      sheet: {
        atC: 20,
        flashMinutes: 12,
        minFlashMinutes: 8,
        beforeBakeMinutes: 10,
        bakeC: 60,
        bakeMinutes: 30,
        cureMinutes: 1440,
      },
      potLife: { minutes: 180, atC: 20 },
    },
  ],
  climate: {
    airTemperatureC: 20,
    relativeHumidityPercent: 50,
    panelTemperatureC: 20,
    airMovement: 'downdraft',
  },
  panels: [
    { name: 'hood', areaM2: 1.5 },
    { name: 'roof', areaM2: 1.5 },
  ],
  spraySeconds: 300,
};
const codes = (input: ScheduleInput) => scheduleOf(input).verdicts.map(({ code }) => code);
const warmer = (c: number): ScheduleInput => ({
  ...DAY,
  climate: { ...DAY.climate!, airTemperatureC: c, panelTemperatureC: c },
});

describe('a day on a clock', () => {
  const day = scheduleOf(DAY);
  it('goes forward, each step from where the last one ended, and ends with the last but cure', () => {
    day.steps.forEach((step, i) => {
      expect(step.endMinute).toBeGreaterThanOrEqual(step.startMinute);
      if (i > 0) expect(step.startMinute).toBeGreaterThanOrEqual(day.steps[i - 1]!.startMinute);
    });
    expect(day.steps.map(({ kind }) => kind)).toContain('bake');
    expect(day.endMinute).toBe(day.steps.findLast(({ kind }) => kind !== 'cure')!.endMinute);
  });
  it('lets each panel wait its flash from its own end', () => {
    const sprays = day.steps.filter(({ kind, stage }) => kind === 'spray' && stage === 'Base');
    // A half of five minutes is one panel's own spraying.
    expect(sprays[1]!.startMinute - sprays[0]!.startMinute).toBeCloseTo(2.5 + 10, 1);
  });
  it('is no longer in the warmth, longer in the cold, never under the least', () => {
    expect(scheduleOf(warmer(28)).endMinute).toBeLessThanOrEqual(day.endMinute);
    expect(scheduleOf(warmer(16)).endMinute).toBeGreaterThan(day.endMinute);
    const hot = scheduleOf(warmer(36)).steps.filter(
      ({ kind, stage }) => kind === 'flash' && stage === 'Base',
    );
    expect(hot[0]!.endMinute - hot[0]!.startMinute).toBeGreaterThanOrEqual(5 - 2.5 - 1e-6);
  });
  it('counts each minute of a wait by its own air', () => {
    const cooling = scheduleOf({
      ...DAY,
      climate: undefined as never,
      forecast: [
        { minute: 0, airTemperatureC: 20, relativeHumidityPercent: 50, panelTemperatureC: 20 },
        { minute: 10, airTemperatureC: 16, relativeHumidityPercent: 50, panelTemperatureC: 16 },
      ],
    });
    expect(cooling.endMinute).toBeGreaterThan(day.endMinute);
    expect(cooling.endMinute).toBeLessThan(scheduleOf(warmer(16)).endMinute + 1e-6);
  });
  it('says what does not fit, what closes, what goes off in the pot, and what dawn brings', () => {
    expect(codes({ ...DAY, deadlineMinute: 60 })).toContain('does-not-fit');
    const long = { ...DAY, stages: [DAY.stages[0]!, { ...DAY.stages[1]!, prepMinutes: 800 }] };
    expect(codes(long)).toContain('window-over');
    expect(
      codes({
        ...DAY,
        stages: [DAY.stages[0]!, { ...DAY.stages[1]!, potLife: { minutes: 15, atC: 20 } }],
      }),
    ).toContain('pot-life-short');
    expect(codes({ ...DAY, startMinute: 380, sunriseMinute: 340 })).toContain('dawn-dew');
    expect(codes({ ...DAY, startMinute: 380, sunriseMinute: 340, heated: true })).not.toContain(
      'dawn-dew',
    );
    expect(codes(warmer(12))).toContain('panel-too-cold');
  });
  it('finds a better hour where the morning is a stop', () => {
    const { bestStart } = scheduleOf({
      ...DAY,
      climate: undefined as never,
      startMinute: 360,
      forecast: [
        { minute: 360, airTemperatureC: 11, relativeHumidityPercent: 80, panelTemperatureC: 10 },
        { minute: 600, airTemperatureC: 21, relativeHumidityPercent: 55, panelTemperatureC: 20 },
        { minute: 960, airTemperatureC: 23, relativeHumidityPercent: 50, panelTemperatureC: 23 },
      ],
    });
    expect(bestStart!.startMinute).toBeGreaterThan(420);
  });
  it('never heats before the last panel has waited, and never prepares before the coat below can be worked', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 14 }),
        fc.integer({ min: 60, max: 5400 }),
        fc.double({ min: 16, max: 32, noNaN: true }),
        fc.integer({ min: 5, max: 300 }),
        fc.boolean(),
        (panels, spraySeconds, airC, sandMinutes, activated) => {
          const [base, clear] = DAY.stages as [
            ScheduleInput['stages'][number],
            ScheduleInput['stages'][number],
          ];
          const { steps } = scheduleOf({
            ...warmer(airC),
            stages: [{ ...base, activated, sheet: { ...base.sheet, sandMinutes } }, clear],
            panels: Array.from({ length: panels }, (_, i) => ({
              name: `panel ${i}`,
              areaM2: 0.5 + (i % 3),
            })),
            spraySeconds,
          });
          const lastEnd = (stage: string) =>
            steps.findLast((step) => step.kind === 'spray' && step.stage === stage)!.endMinute;
          const bake = steps.find(({ kind }) => kind === 'bake')!;
          expect(bake.startMinute).toBeGreaterThanOrEqual(lastEnd('Clear') + 10 - 1e-6);
          const prepared = steps.find(({ kind }) => kind === 'prep')!;
          expect(prepared.startMinute).toBeGreaterThanOrEqual(lastEnd('Base') + sandMinutes - 1e-6);
        },
      ),
      { numRuns: 80 },
    ));
  it('tells when it can be taped and polished, after the job and without moving its end', () => {
    const [base, clear] = DAY.stages as [
      ScheduleInput['stages'][number],
      ScheduleInput['stages'][number],
    ];
    const told = scheduleOf({
      ...DAY,
      stages: [base, { ...clear, sheet: { ...clear.sheet, tapeMinutes: 240, polishMinutes: 720 } }],
    });
    expect(told.endMinute).toBe(scheduleOf(DAY).endMinute);
    const after = told.steps
      .filter(({ kind }) => kind === 'cure')
      .map(({ until, stage, endMinute }) => [until, stage, endMinute - told.endMinute]);
    expect(after).toEqual([
      ['tape', 'Clear', 240],
      ['polish', 'Clear', 720],
      ['cured', 'Clear', 1440],
    ]);
  });
});
