/**
 * The shop's set-up as the contract shows it: painters, rooms, guns with their nozzle sets, cups,
 * compressors and air lines.
 */
import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type {
  Painter,
  ProductPrices,
  Room,
  Shop,
  ShopSetup,
  StoredCup,
  StoredGun,
  StoredSet,
} from '@orthochrom/contract/shop/setup.ts';
import type { EntityManager } from 'typeorm';
import { readTogether } from '../database/readTogether.ts';
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
import { knobsLeft } from './knobsLeft.ts';
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

const LIVE = {
  where: 'shop_id = $1 and archived_at is null',
  order: 'created_at, id',
} as const;
const SETUP = {
  painters: { table: PainterTable, ...LIVE },
  rooms: { table: RoomTable, ...LIVE },
  guns: { table: GunTable, ...LIVE },
  sets: {
    table: NozzleSetTable,
    where: 'gun_id in (select id from gun where shop_id = $1)',
    order: 'ordinal, fitted_since',
  },
  cups: { table: CupTable, ...LIVE },
  compressors: { table: CompressorTable, ...LIVE },
  airLines: { table: AirLineTable, ...LIVE },
  prices: { table: ProductPricesTable, ...LIVE },
};

export async function shopSetup(manager: EntityManager): Promise<ShopSetup> {
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop) throw new NotFound('There is no shop yet.');
  const all = await readTogether(manager, SETUP, [shop.id]);
  const { guns, sets, compressors, airLines } = all;
  const tests = await gunTestsBySet(
    manager,
    sets.map((set) => set.id),
  );
  const pumpUps = await newestFor(manager, 'compressorId', compressors);
  const twoGauges = await newestFor(manager, 'airLineId', airLines);
  return {
    shop: shopOf(shop),
    painters: all.painters.map(painterOf),
    rooms: all.rooms.map(roomOf),
    guns: guns.map((gun) =>
      gunOf(
        gun,
        sets.filter((set) => set.gunId === gun.id),
        tests,
      ),
    ),
    cups: all.cups.map(cupOf),
    compressors: compressors.map((row) =>
      withTest(compressorOf(row), 'pumpUp', pumpUps.get(row.id)),
    ),
    airLines: airLines.map((row) => withTest(airLineOf(row), 'twoGauges', twoGauges.get(row.id))),
    knobs: await knobsLeft(manager),
    usages: await newestUsages(manager),
    prices: all.prices.map(pricesOf),
  };
}
