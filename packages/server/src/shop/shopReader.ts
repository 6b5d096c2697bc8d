/**
 * The shop's set-up as the contract shows it: painters, rooms, guns with their nozzle sets, cups,
 * compressors and air lines.
 */
import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type {
  KnobsLeft,
  Painter,
  ProductPrices,
  Room,
  Shop,
  ShopSetup,
  StoredCup,
  StoredGun,
  StoredSet,
} from '@orthochrom/contract/shop/setup.ts';
import { IsNull, type EntityManager } from 'typeorm';
import {
  AirLineTable,
  CompressorTable,
  type AirLineRow,
  type CompressorRow,
} from '../compressedAir/airTables.ts';
import { gunTestsBySet, newestFor, withTest } from '../gun/testReader.ts';
import { newestUsages } from '../ticket/usageReader.ts';
import { present } from '../database/present.ts';
import { NotFound } from '../http/faults.ts';
import {
  CupTable,
  GunTable,
  NozzleSetTable,
  PainterTable,
  ProductPricesTable,
  RoomTable,
  ShopTable,
  type CupRow,
  type GunRow,
  type NozzleSetRow,
  type PainterRow,
  type ProductPricesRow,
  type RoomRow,
  type ShopRow,
} from './shopTables.ts';

export const painterOf = ({
  id,
  version,
  name,
  skill,
  units,
  way,
  prepWay,
  role,
}: PainterRow): Painter =>
  present({ id, version, name, skill, units, way, prepWay, role }) as Painter;

export const roomOf = ({
  shopId: _,
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  ...room
}: RoomRow): Room => present(room) as Room;

const setOf = ({ id, nozzleMm, needle, cap, fittedSince, retiredAt }: NozzleSetRow): StoredSet => ({
  id,
  nozzleMm,
  ...(needle ? { needle } : {}),
  ...(cap ? { cap } : {}),
  fittedSince: fittedSince.toISOString(),
  ...(retiredAt ? { retiredAt: retiredAt.toISOString() } : {}),
});

type TestsBySet = Awaited<ReturnType<typeof gunTestsBySet>>;
const gunOf = (
  { id, version, name, usedFor, gaugeTrust, note, body, intervals }: GunRow,
  sets: NozzleSetRow[],
  tests: TestsBySet,
): StoredGun => {
  const fitted = sets.filter(({ retiredAt }) => !retiredAt);
  return {
    id,
    version,
    name,
    usedFor,
    gaugeTrust,
    note,
    intervals,
    sets: sets.map(setOf),
    gun: {
      ...body,
      nozzlesMm: fitted.map(({ nozzleMm }) => nozzleMm),
      nozzleSets: fitted.map((set) => ({
        nozzleMm: set.nozzleMm,
        ...(set.needle ? { needle: set.needle } : {}),
        ...(set.cap ? { cap: set.cap } : {}),
        tests: tests.get(set.id) ?? [],
      })),
    },
  };
};

const compressorOf = ({
  shopId: _s,
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  describedAt: _d,
  ...compressor
}: CompressorRow): Compressor => compressor;
const airLineOf = ({
  shopId: _s,
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  describedAt: _d,
  roomId,
  compressorId,
  ...line
}: AirLineRow): AirLine => ({
  ...line,
  ...(roomId ? { roomId } : {}),
  ...(compressorId ? { compressorId } : {}),
});

export const shopOf = ({
  id,
  version,
  name,
  timeZone,
  ticketPrefix,
  currency,
  hours,
  apprenticeAsks,
}: ShopRow): Shop =>
  present({
    id,
    version,
    name,
    timeZone,
    ticketPrefix,
    currency,
    hours,
    apprenticeAsks,
  }) as Shop;

export const pricesOf = ({ id, version, productId, prices }: ProductPricesRow): ProductPrices => ({
  id,
  version,
  productId,
  prices,
});

export const cupOf = ({
  id,
  version,
  name,
  capacityMl,
  marksMl,
  scales,
  strainerUm,
}: CupRow): StoredCup => ({
  id,
  version,
  name,
  capacityMl,
  marksMl,
  scales,
  ...(strainerUm === null ? {} : { strainerUm }),
});

export async function shopSetup(manager: EntityManager): Promise<ShopSetup> {
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop) throw new NotFound('There is no shop yet.');
  const live = {
    where: { shopId: shop.id, archivedAt: IsNull() },
    order: { createdAt: 'ASC', id: 'ASC' },
  } as const;
  // One after the other: inside a transaction there is but one connection.
  const painters = await manager.find(PainterTable, live);
  const rooms = await manager.find(RoomTable, live);
  const guns = await manager.find(GunTable, live);
  const sets = await manager.find(NozzleSetTable, {
    order: { ordinal: 'ASC', fittedSince: 'ASC' },
  });
  const tests = await gunTestsBySet(
    manager,
    sets.map((set) => set.id),
  );
  const cups = await manager.find(CupTable, live);
  const compressors = await manager.find(CompressorTable, live);
  const airLines = await manager.find(AirLineTable, live);
  const pumpUps = await newestFor(manager, 'compressorId', compressors);
  const twoGauges = await newestFor(manager, 'airLineId', airLines);
  const prices = await manager.find(ProductPricesTable, live);
  return {
    shop: shopOf(shop),
    painters: painters.map(painterOf),
    rooms: rooms.map(roomOf),
    guns: guns.map((gun) =>
      gunOf(
        gun,
        sets.filter((set) => set.gunId === gun.id),
        tests,
      ),
    ),
    cups: cups.map(cupOf),
    compressors: compressors.map((row) =>
      withTest(compressorOf(row), 'pumpUp', pumpUps.get(row.id)),
    ),
    airLines: airLines.map((row) => withTest(airLineOf(row), 'twoGauges', twoGauges.get(row.id))),
    knobs: await knobsLeft(manager),
    usages: await newestUsages(manager),
    prices: prices.map(pricesOf),
  };
}

/** How the last coat of each gun left its knobs: a preset for small work is to be undone. */
async function knobsLeft(manager: EntityManager): Promise<ShopSetup['knobs']> {
  const rows: {
    gun_id: string;
    part: KnobsLeft['part'];
    done: Record<string, { value: number }>;
    planned: {
      answers?: { setup?: KnobsLeft };
      inputs?: { setup?: Pick<KnobsLeft, 'part' | 'mist'> };
    };
  }[] = await manager.query(
    `select g.id as gun_id, s.part, c.done, c.planned from gun g
     cross join lateral (select * from coat where gun_id = g.id and ended_at is not null
       order by ended_at desc limit 1) c
     join stage s on s.id = c.stage_id`,
  );
  return Object.fromEntries(
    rows.flatMap(({ gun_id, part, done, planned }) => {
      const setup = planned.answers?.setup;
      const work = planned.inputs?.setup;
      const [fanTurnsOut, fluidTurnsOut] = [
        done['fanTurnsOut']?.value ?? setup?.fanTurnsOut,
        done['fluidTurnsOut']?.value ?? setup?.fluidTurnsOut,
      ];
      return fanTurnsOut === undefined || fluidTurnsOut === undefined
        ? []
        : [
            [
              gun_id,
              {
                part: work?.part ?? part,
                ...(work?.mist ? { mist: true } : {}),
                fanTurnsOut,
                fluidTurnsOut,
              },
            ] as const,
          ];
    }),
  );
}
