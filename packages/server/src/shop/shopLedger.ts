/** The shop's set-up as the contract shows it: painters, rooms, guns with their nozzle sets, cups. */
import type {
  GunCreate,
  GunEdit,
  KnobsLeft,
  Painter,
  PainterCreate,
  PainterEdit,
  Room,
  RoomEdit,
  ShopSetup,
  StoredCup,
  StoredGun,
} from '@orthochrom/contract/shop/setup.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { changeVersioned, insertOnce, type Ledger } from '../event/ledger.ts';
import { NotFound } from '../http/faults.ts';
import {
  CupTable,
  GunTable,
  NozzleSetTable,
  PainterTable,
  RoomTable,
  ShopTable,
  type CupRow,
  type GunRow,
  type NozzleSetRow,
  type PainterRow,
  type RoomRow,
} from './shopTables.ts';

const painterOf = ({ id, version, name, skill, units, way }: PainterRow): Painter => ({ id, version, name, skill, units, way });

export const roomOf = ({
  shopId: _,
  createdAt: _c,
  updatedAt: _u,
  archivedAt: _a,
  airSpeedMPerS,
  capLimitKPa,
  ...room
}: RoomRow): Room => ({
  ...room,
  ...(airSpeedMPerS === null ? {} : { airSpeedMPerS }),
  ...(capLimitKPa === null ? {} : { capLimitKPa }),
});

export const gunOf = ({ id, version, name, usedFor, gaugeTrust, note, body }: GunRow, sets: NozzleSetRow[]): StoredGun => ({
  id,
  version,
  name,
  usedFor,
  gaugeTrust,
  note,
  gun: {
    ...body,
    nozzlesMm: sets.map(({ nozzleMm }) => nozzleMm),
    nozzleSets: sets.map(({ nozzleMm, needle, cap, tests }) => ({
      nozzleMm,
      ...(needle ? { needle } : {}),
      ...(cap ? { cap } : {}),
      tests: tests as NonNullable<NonNullable<StoredGun['gun']['nozzleSets']>[number]['tests']>,
    })),
  },
});

export const cupOf = ({ id, version, name, capacityMl, marksMl, scales, strainerUm }: CupRow): StoredCup => ({
  id,
  version,
  name,
  capacityMl,
  marksMl,
  scales,
  ...(strainerUm === null ? {} : { strainerUm }),
});

export async function shopIdOf(manager: EntityManager): Promise<string> {
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop) throw new NotFound('There is no shop yet.');
  return shop.id;
}

export async function shopSetup(manager: EntityManager): Promise<ShopSetup> {
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop) throw new NotFound('There is no shop yet.');
  const live = { where: { shopId: shop.id, archivedAt: IsNull() }, order: { createdAt: 'ASC', name: 'ASC' } } as const;
  // One after the other: inside a transaction there is but one connection.
  const painters = await manager.find(PainterTable, live);
  const rooms = await manager.find(RoomTable, live);
  const guns = await manager.find(GunTable, live);
  const sets = await manager.find(NozzleSetTable, { where: { retiredAt: IsNull() }, order: { ordinal: 'ASC' } });
  const cups = await manager.find(CupTable, live);
  const { id, version, name, timeZone, ticketPrefix } = shop;
  return {
    shop: { id, version, name, timeZone, ticketPrefix },
    painters: painters.map(painterOf),
    rooms: rooms.map(roomOf),
    guns: guns.map((gun) =>
      gunOf(
        gun,
        sets.filter((set) => set.gunId === gun.id),
      ),
    ),
    cups: cups.map(cupOf),
    knobs: await knobsLeft(manager),
  };
}

/** How the last coat of each gun left its knobs: a preset for small work is to be undone. */
async function knobsLeft(manager: EntityManager): Promise<ShopSetup['knobs']> {
  const rows: {
    gun_id: string;
    part: KnobsLeft['part'];
    done: Record<string, { value: number }>;
    planned: { answers?: { setup?: KnobsLeft } };
  }[] = await manager.query(
    `select distinct on (c.gun_id) c.gun_id, s.part, c.done, c.planned from coat c join stage s on s.id = c.stage_id
     where c.ended_at is not null and c.gun_id is not null order by c.gun_id, c.ended_at desc`,
  );
  return Object.fromEntries(
    rows.flatMap(({ gun_id, part, done, planned }) => {
      const setup = planned.answers?.setup;
      const [fanTurnsOut, fluidTurnsOut] = [
        done['fanTurnsOut']?.value ?? setup?.fanTurnsOut,
        done['fluidTurnsOut']?.value ?? setup?.fluidTurnsOut,
      ];
      return fanTurnsOut === undefined || fluidTurnsOut === undefined
        ? []
        : [[gun_id, { part, fanTurnsOut, fluidTurnsOut }] as const];
    }),
  );
}

export const addPainter = (ledger: Ledger, painter: z.infer<typeof PainterCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    if (await insertOnce(manager, PainterTable, { ...painter, shopId } as PainterRow))
      await trace({
        shopId,
        painterId: painter.id,
        aggregateType: 'painter',
        aggregateId: painter.id,
        kind: 'added',
        patch: painter,
      });
  });

export const changePainter = (ledger: Ledger, id: string, { version, ...changes }: z.infer<typeof PainterEdit>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await changeVersioned(manager, PainterTable, { what: 'painter', id, version, changes, mine: changes, showTheirs: painterOf });
    await trace({
      shopId: await shopIdOf(manager),
      painterId: id,
      aggregateType: 'painter',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

export const changeRoom = (
  ledger: Ledger,
  id: string,
  { version, airSpeedMPerS = null as never, capLimitKPa = null as never, ...rest }: z.infer<typeof RoomEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = { ...rest, airSpeedMPerS, capLimitKPa };
    await changeVersioned(manager, RoomTable, { what: 'room', id, version, changes, mine: changes, showTheirs: roomOf });
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'room',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

/** Nozzle, needle and cap belong together: a set that is not listed any more is retired, with its tests, never deleted. */
async function writeNozzleSets(manager: EntityManager, gunId: string, gun: StoredGun['gun']): Promise<void> {
  const wanted =
    gun.nozzleSets ?? gun.nozzlesMm.map((nozzleMm) => ({ nozzleMm }) as NonNullable<StoredGun['gun']['nozzleSets']>[number]);
  const existing = await manager.find(NozzleSetTable, { where: { gunId, retiredAt: IsNull() } });
  const isSame = (row: NozzleSetRow, set: (typeof wanted)[number]) =>
    row.nozzleMm === set.nozzleMm && (row.needle ?? '') === (set.needle ?? '') && (row.cap ?? '') === (set.cap ?? '');
  for (const row of existing)
    if (!wanted.some((set) => isSame(row, set))) await manager.update(NozzleSetTable, { id: row.id }, { retiredAt: new Date() });
  for (const [ordinal, set] of wanted.entries()) {
    const row = existing.find((candidate) => isSame(candidate, set));
    const values = { ordinal, tests: set.tests ?? [] };
    if (row) await manager.update(NozzleSetTable, { id: row.id }, values as never);
    else
      await manager.insert(NozzleSetTable, {
        id: newId(),
        gunId,
        nozzleMm: set.nozzleMm,
        needle: set.needle ?? null,
        cap: set.cap ?? null,
        retiredAt: null,
        ...values,
      } as never);
  }
}

function gunColumns({
  name,
  usedFor,
  gaugeTrust,
  note,
  gun,
}: Pick<StoredGun, 'name' | 'usedFor' | 'gaugeTrust' | 'note' | 'gun'>) {
  const { nozzleSets: _sets, nozzlesMm: _mm, ...body } = gun;
  return { name, usedFor, gaugeTrust, note, class: gun.class, body };
}

export const addGun = (ledger: Ledger, gun: z.infer<typeof GunCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    if (!(await insertOnce(manager, GunTable, { id: gun.id, shopId, ...gunColumns(gun) } as GunRow))) return;
    await writeNozzleSets(manager, gun.id, gun.gun);
    await trace({ shopId, aggregateType: 'gun', aggregateId: gun.id, kind: 'added', patch: gun });
  });

export const changeGun = (ledger: Ledger, id: string, { version, ...gun }: z.infer<typeof GunEdit>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await changeVersioned(manager, GunTable, { what: 'gun', id, version, changes: gunColumns(gun), mine: gun });
    await writeNozzleSets(manager, id, gun.gun);
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'gun',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: gun,
    });
  });
