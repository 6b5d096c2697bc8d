/**
 * A year of tests and care for the demo's guns and air: one gun's tip wears, one line slowly
 * chokes, one gun is overdue.
 */
import { STANDARD_ATMOSPHERE_PA } from '@orthochrom/core/units/physical.ts';
import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type { GunTest } from '@orthochrom/contract/shapes/gun.ts';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import type { ShopTest } from '@orthochrom/contract/shop/test.ts';
import { CARE_ITEMS } from '@orthochrom/core/gun/care.ts';
import { gunOutput } from '@orthochrom/core/gun/gunOutput.ts';
import { gunModelOf } from '@orthochrom/core/gun/gunModel.ts';
import type { PatternSymptom } from '@orthochrom/core/gun/patternSymptoms.ts';
import type { z } from 'zod';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { CareTable, type CareRow } from '../gun/careTable.ts';
import { TestTable, type TestRow } from '../gun/testTable.ts';
import type { DemoLine } from './demoFiles.ts';

const DAY_MS = 86_400_000;
export const FITTED_DAYS_AGO = 400;
type Test = z.infer<typeof GunTest>;
type Teller = {
  manager: EntityManager;
  shopId: string;
  painterIds: string[];
  random: () => number;
};

/** How one gun's year went. */
type Year = {
  flowDrift: number;
  patterns: (weeksAgo: number, random: () => number) => PatternSymptom;
  patternEveryDays: number;
  servicedDaysAgo: number;
};
const steady: Year = {
  flowDrift: 0,
  patterns: (_, random) => (random() < 0.04 ? 'split' : 'even'),
  patternEveryDays: 7,
  servicedDaysAgo: 12,
};
const YEARS: Record<string, Year> = {
  Heron: { ...steady, servicedDaysAgo: 8 },
  /** The tip wears: more paint at the same turns, and lately one end of the fan is heavy. */
  Curlew: {
    ...steady,
    flowDrift: 0.24,
    patterns: (weeksAgo, random) => (weeksAgo < 9 && random() < 0.6 ? 'oneEndHeavy' : 'even'),
  },
  /** Left hanging: its pattern was last shot weeks ago. */
  Wren: { ...steady, patternEveryDays: 24, servicedDaysAgo: 41 },
  Bittern: {
    ...steady,
    patterns: (_, random) => (random() < 0.15 ? 'heavyCentre' : 'even'),
    patternEveryDays: 10,
    servicedDaysAgo: 64,
  },
  Dunlin: { ...steady, patternEveryDays: 13, servicedDaysAgo: 25 },
};
const CATCH_EVERY_DAYS = 45;
const FAN_EVERY_DAYS = 60;

export async function layGunYear(
  { manager, shopId, painterIds, random }: Teller,
  gun: StoredGun,
  given: Map<number, Test[]>,
): Promise<void> {
  const year = YEARS[gun.name] ?? steady;
  const painter = () => painterIds[Math.floor(random() * painterIds.length)]!;
  const rows: TestRow[] = [];
  for (const set of gun.sets) {
    const add = (daysAgo: number, test: ShopTest) =>
      rows.push(
        rowOf({ shopId, painterId: painter(), nozzleSetId: set.id }, daysAgo, test, random),
      );
    const own = given.get(set.nozzleMm) ?? [];
    if (own.length === 0 && gun.sets.length > 1) continue;
    for (let daysAgo = 360; daysAgo > 4; daysAgo -= year.patternEveryDays * (0.8 + random() * 0.4))
      add(daysAgo, {
        kind: 'pattern',
        seen: year.patterns(daysAgo / 7, random),
        distanceMm: 200,
        settings: {},
      });
    for (const test of own) {
      if (test.kind === 'catch')
        for (let daysAgo = 350; daysAgo > 20; daysAgo -= CATCH_EVERY_DAYS) {
          const share = 1 - year.flowDrift * (daysAgo / 350) + (random() - 0.5) * 0.03;
          add(daysAgo, { ...test, ml: Math.round(test.ml * share) });
        }
      if (test.kind === 'fan')
        for (let daysAgo = 340; daysAgo > 20; daysAgo -= FAN_EVERY_DAYS)
          add(daysAgo, {
            ...test,
            fanWidthMm: Math.round(test.fanWidthMm * (0.98 + random() * 0.04)),
          });
      add(11 + random(), test);
    }
    if (!own.some(({ kind }) => kind === 'catch')) add(90, firstCatch(gun, set.nozzleMm));
  }
  await manager.insert(TestTable, rows as never);
  const rounds = Array.from({ length: 8 }, (_, i) =>
    careRow(shopId, gun.id, painter(), 'serviced', year.servicedDaysAgo + i * 42),
  );
  await manager.insert(CareTable, rounds as never);
}

/** What a gun without a test of its own would have given: its size's figure, a little off. */
function firstCatch({ gun }: StoredGun, nozzleMm: number): ShopTest {
  const paint = { densityKgPerM3: 980, viscosityPaS: 0.04 };
  const at = {
    inletKPa: gun.ratedInletKPa ?? 138,
    fluidTurnsOut: 2.5,
    fanTurnsOut: gun.fullFanTurns ?? 2.5,
    distanceMm: 150,
  };
  const { fluidMlPerMin } = gunOutput(gun, gunModelOf(gun, nozzleMm, paint), paint, at);
  const { distanceMm: _, ...settings } = at;
  return {
    kind: 'catch',
    ml: Math.round((fluidMlPerMin / 2) * 0.94),
    seconds: 30,
    ...settings,
    viscosityMm2PerS: 48,
    densityGPerMl: 0.98,
  };
}

/**
 * The loft's filter chokes: its loss grew over the year. Compressors give a little less than on
 * their plate.
 */
export async function layAirYear(
  { manager, shopId, painterIds, random }: Teller,
  lines: (AirLine & { demo: DemoLine })[],
  compressors: Compressor[],
  gunId: string,
): Promise<void> {
  const painterId = painterIds[0]!;
  const rows: TestRow[] = [];
  for (const { id, demo } of lines) {
    const {
      measuredLossPercent: loss,
      measuredAtInletKPa: inletKPa,
      measuredAtAirFlowLPerMin: airFlowLPerMin,
    } = demo.line;
    if (loss === undefined || inletKPa === undefined || airFlowLPerMin === undefined) continue;
    for (const [daysAgo, share] of [
      [330, 0.66],
      [240, 0.74],
      [150, 0.83],
      [70, 0.93],
      [14, 1],
    ] as const)
      rows.push(
        rowOf(
          { shopId, painterId, airLineId: id },
          daysAgo,
          {
            kind: 'twoGauges',
            wallKPa: Math.round((inletKPa / (1 - (loss * share) / 100)) * 10) / 10,
            inletKPa,
            gunId,
            airFlowLPerMin,
          },
          random,
        ),
      );
  }
  for (const { id, freeAirLPerMin, cutInKPa, cutOutKPa, tankL } of compressors)
    for (const [daysAgo, share] of [
      [300, 1.01],
      [120, 0.985],
      [21, 0.97],
    ] as const) {
      const seconds = Math.round(
        (tankL * (cutOutKPa - cutInKPa) * 60_000) /
          (STANDARD_ATMOSPHERE_PA * freeAirLPerMin * share),
      );
      rows.push(
        rowOf(
          { shopId, painterId, compressorId: id },
          daysAgo,
          {
            kind: 'pumpUp',
            fromKPa: cutInKPa,
            toKPa: cutOutKPa,
            seconds,
            freeAirLPerMin: Math.round(freeAirLPerMin * share),
          },
          random,
        ),
      );
    }
  await manager.insert(TestTable, rows as never);
}

type Belongs = {
  shopId: string;
  painterId: string;
  nozzleSetId?: string;
  airLineId?: string;
  compressorId?: string;
};
const rowOf = (
  belongs: Belongs,
  daysAgo: number,
  test: ShopTest,
  random: () => number,
): TestRow => ({
  nozzleSetId: null,
  airLineId: null,
  compressorId: null,
  gate: null,
  ...belongs,
  id: newId(),
  kind: test.kind,
  input: test,
  note: '',
  takenAt: new Date(Date.now() - daysAgo * DAY_MS - random() * 4 * 3_600_000),
});

export const careRow = (
  shopId: string,
  gunId: string,
  painterId: string,
  kind: CareRow['kind'],
  daysAgo: number,
  of: { ticketId?: string; coatId?: string } = {},
): CareRow => ({
  id: newId(),
  shopId,
  gunId,
  painterId,
  ticketId: of.ticketId ?? null,
  coatId: of.coatId ?? null,
  kind,
  items: CARE_ITEMS[kind].map((key) => ({ key, answer: 'done' as const })),
  note: '',
  doneAt: new Date(Date.now() - daysAgo * DAY_MS),
});
