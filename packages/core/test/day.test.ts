/** Laws of a day over all jobs: two hands, one car to a room, one coat to a gun, waits served. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { dayOf } from '../src/schedule/day.ts';
import type { DayBlock, DayInput, DayJob } from '../src/schedule/dayJob.ts';

const SHEET = { atC: 20, flashMinutes: 12, minFlashMinutes: 6, toNextMinutes: 25 };
const ROOMS = ['booth', 'loft'];
const anyJob = (n: number): fc.Arbitrary<DayJob> =>
  fc.record({
    name: fc.constant(`job ${n}`),
    room: fc.constantFrom(...ROOMS),
    painter: fc.constantFrom('Nell', 'Wilf'),
    panels: fc.constant([{ name: 'hood', areaM2: 1.3 }]),
    stages: fc.array(
      fc.record({
        name: fc.constantFrom('Base', 'Clear'),
        stage: fc.constantFrom('base' as const, 'clear' as const),
        carrier: fc.constant('solvent' as const),
        coats: fc.integer({ min: 1, max: 3 }),
        sheet: fc.constant({ ...SHEET, bakeC: 60, bakeMinutes: 30, beforeBakeMinutes: 15 }),
        spraySeconds: fc.integer({ min: 120, max: 900 }),
        prepMinutes: fc.constantFrom(0, 20, 45),
        bake: fc.boolean(),
        gun: fc.constantFrom('Wren', 'Plover'),
      }),
      { minLength: 1, maxLength: 2 },
    ),
  });
const FORECAST = [
  { minute: 420, airTemperatureC: 17, relativeHumidityPercent: 55, panelTemperatureC: 16.5 },
  { minute: 1080, airTemperatureC: 26, relativeHumidityPercent: 45, panelTemperatureC: 25 },
];
const anyDay: fc.Arbitrary<DayInput> = fc
  .integer({ min: 1, max: 5 })
  .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => anyJob(i))))
  .map((jobs) => ({
    jobs,
    forecasts: Object.fromEntries(ROOMS.map((room) => [room, FORECAST])),
    startMinute: 480,
    closesMinute: 1020,
    breaks: [
      [600, 615],
      [750, 780],
    ],
  }));
const laws = (law: (input: DayInput, blocks: DayBlock[]) => void): void =>
  fc.assert(
    fc.property(anyDay, (input) => law(input, dayOf(input).blocks)),
    { numRuns: 30 },
  );
const BY_HAND = ['prep', 'mix', 'spray'];
const isByHand = ({ kind }: DayBlock): boolean => BY_HAND.includes(kind);
/** None of them at the same time. */
function expectApart(blocks: readonly DayBlock[]): void {
  const sorted = [...blocks].sort((a, b) => a.startMinute - b.startMinute);
  sorted.forEach((block, i) => {
    if (i > 0) expect(block.startMinute).toBeGreaterThanOrEqual(sorted[i - 1]!.endMinute - 1e-6);
  });
}

it('nobody does two things at once, and no gun lays two coats', () => {
  laws((_, blocks) => {
    for (const who of new Set(blocks.map(({ painter }) => painter)))
      expectApart(blocks.filter((block) => block.painter === who && isByHand(block)));
    for (const gun of new Set(blocks.map((block) => block.gun)))
      if (gun) expectApart(blocks.filter((block) => block.gun === gun));
  });
});

it('a room holds one car at a time, from its cup until its paint may be moved', () => {
  laws((_, blocks) => {
    for (const room of ROOMS) {
      const inRoom = blocks.filter((block) => block.room === room && block.kind !== 'prep');
      // What flashes may be rolled out after an hour; nothing else shares the room.
      expectApart(
        inRoom.map((block) =>
          block.kind === 'flash'
            ? { ...block, endMinute: Math.min(block.endMinute, block.startMinute + 60) }
            : block,
        ),
      );
    }
  });
});

it('no coat goes on before the one below is flashed, coats in their order', () => {
  laws((input, blocks) => {
    for (const { name } of input.jobs) {
      const own = blocks.filter(({ job }) => job === name);
      const sprays = own.filter(({ kind }) => kind === 'spray');
      const flashes = own.filter(({ kind }) => kind === 'flash');
      sprays.forEach((spray, i) => {
        if (i > 0)
          expect(spray.startMinute).toBeGreaterThanOrEqual(flashes[i - 1]!.endMinute - 1e-6);
      });
      expect(flashes).toHaveLength(sprays.length);
    }
  });
});

it('nobody mixes or sprays in a break or after closing', () => {
  laws((input, blocks) => {
    for (const { kind, startMinute, endMinute } of blocks) {
      if (kind !== 'mix' && kind !== 'spray') continue;
      expect(endMinute).toBeLessThanOrEqual(input.closesMinute + 1e-6);
      for (const [from, to] of input.breaks!)
        expect(startMinute >= to - 1e-6 || endMinute <= from + 1e-6).toBe(true);
    }
  });
});

it('what is done has all of its coats and all of its making ready', () => {
  laws((input, blocks) => {
    const { jobs } = dayOf(input);
    for (const { job, endMinute } of jobs) {
      if (endMinute === undefined) continue;
      const { stages } = input.jobs.find(({ name }) => name === job)!;
      const own = blocks.filter((block) => block.job === job);
      const coats = stages.reduce((sum, stage) => sum + stage.coats, 0);
      expect(own.filter(({ kind }) => kind === 'spray')).toHaveLength(coats);
      const prep = stages.reduce((sum, stage) => sum + stage.prepMinutes!, 0);
      const done = own
        .filter(({ kind }) => kind === 'prep')
        .reduce((sum, block) => sum + block.endMinute - block.startMinute, 0);
      expect(done).toBeCloseTo(prep, 6);
    }
  });
});

it('coats that are on are not laid again, and wet paint keeps its room', () => {
  fc.assert(
    fc.property(anyDay, (input) => {
      const [first, ...others] = input.jobs;
      const [stage, ...rest] = first!.stages;
      const wet = { ...first!, stages: [{ ...stage!, coatsOn: 1 }, ...rest], coatedMinute: 478 };
      const { blocks } = dayOf({ ...input, jobs: [wet, ...others] });
      const own = blocks.filter(({ job, kind }) => job === wet.name && kind === 'spray');
      expect(own.filter(({ coat }) => coat === 1).length).toBeLessThanOrEqual(rest.length);
      for (const { job, room, kind, startMinute } of blocks)
        if (job !== wet.name && room === wet.room && kind !== 'prep' && own.length > 0)
          expect(startMinute).toBeGreaterThanOrEqual(own.at(-1)!.endMinute - 1e-6);
    }),
    { numRuns: 30 },
  );
});
