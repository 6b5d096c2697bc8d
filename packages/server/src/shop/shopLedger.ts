/** Painters, rooms and cups: each change with its version and its trace. */
import type {
  CupCreate,
  CupEdit,
  PainterCreate,
  PainterEdit,
  RoomCreate,
  RoomEdit,
  ShopEdit,
} from '@orthochrom/contract/shop/setup.ts';
import { USUAL_ROLE, type Role } from '@orthochrom/contract/shop/signIn.ts';
import { IsNull, type EntityManager } from 'typeorm';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { NotYours, OutOfTurn } from '../http/faults.ts';
import { actingNow } from '../http/requestIdentity.ts';
import { TicketTable } from '../ticket/ticketTables.ts';
import { shopIdOf } from './shopId.ts';
import { cupOf, painterOf, roomOf, shopOf } from './shopReader.ts';
import {
  CupTable,
  PainterTable,
  RoomTable,
  ShopTable,
  type CupRow,
  type PainterRow,
  type RoomRow,
  type ShopRow,
} from './shopTables.ts';

export const changeShop = (
  ledger: Ledger,
  { version, ...told }: z.infer<typeof ShopEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    const changes = { currency: null, hours: null, apprenticeAsks: null, ...told } as ShopRow;
    await changeVersioned(manager, ShopTable, {
      what: 'shop',
      id: shopId,
      version,
      changes,
      mine: changes,
      showTheirs: shopOf,
    });
    await trace({
      shopId,
      aggregateType: 'shop',
      aggregateId: shopId,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

export const addPainter = (ledger: Ledger, painter: z.infer<typeof PainterCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    await insertNew(manager, PainterTable, { ...painter, shopId } as PainterRow);
    await trace({
      shopId,
      painterId: painter.id,
      aggregateType: 'painter',
      aggregateId: painter.id,
      kind: 'added',
      patch: painter,
    });
  });

export const changePainter = (
  ledger: Ledger,
  id: string,
  { version, ...told }: z.infer<typeof PainterEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = { prepWay: null, role: null, ...told } as PainterRow;
    await holdOwn(manager, id, told.role);
    await changeVersioned(manager, PainterTable, {
      what: 'painter',
      id,
      version,
      changes,
      mine: changes,
      showTheirs: painterOf,
    });
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

/**
 * One's own ways are one's own; roles are given by a lead.
 * @throws NotYours, and nothing is changed
 */
async function holdOwn(manager: EntityManager, id: string, role: Role | undefined): Promise<void> {
  const acting = actingNow();
  if (!acting || acting.role === 'lead') return;
  if (acting.painterId !== id)
    throw new NotYours('Another’s ways are changed by himself or by a lead. Nothing was changed.');
  const { role: until } = await manager.findOneByOrFail(PainterTable, { id });
  if ((until ?? USUAL_ROLE) !== (role ?? USUAL_ROLE))
    throw new NotYours('A role is given by a lead. Nothing was changed.');
}

/** What is not told any more is taken back. */
const NO_ROOM_WORD = {
  airSpeedMPerS: null,
  capLimitKPa: null,
  siliconeLastOn: null,
  wetsFloor: null,
  filtered: null,
  sideLight: null,
  ignitionSources: null,
  carEndAtFan: null,
} satisfies Partial<RoomRow>;

export const changeRoom = (
  ledger: Ledger,
  id: string,
  { version, ...told }: z.infer<typeof RoomEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = { ...NO_ROOM_WORD, ...told } as RoomRow;
    await changeVersioned(manager, RoomTable, {
      what: 'room',
      id,
      version,
      changes,
      mine: changes,
      showTheirs: roomOf,
    });
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'room',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

export const addRoom = (ledger: Ledger, room: z.infer<typeof RoomCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    await insertNew(manager, RoomTable, { ...NO_ROOM_WORD, ...room, shopId } as RoomRow);
    await trace({
      shopId,
      aggregateType: 'room',
      aggregateId: room.id,
      kind: 'added',
      patch: room,
    });
  });

export const addCup = (ledger: Ledger, cup: z.infer<typeof CupCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    await insertNew(manager, CupTable, { strainerUm: null, ...cup, shopId } as CupRow);
    await trace({ shopId, aggregateType: 'cup', aggregateId: cup.id, kind: 'added', patch: cup });
  });

export const changeCup = (
  ledger: Ledger,
  id: string,
  { version, ...told }: z.infer<typeof CupEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = { strainerUm: null, ...told };
    await changeVersioned(manager, CupTable, {
      what: 'cup',
      id,
      version,
      changes,
      mine: changes,
      showTheirs: cupOf,
    });
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'cup',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

const SHELVES = {
  painter: { table: PainterTable, word: 'painter', held: 'painterId' },
  room: { table: RoomTable, word: 'room', held: 'roomId' },
  cup: { table: CupTable, word: 'cup', held: undefined },
} as const;
export type Shelf = keyof typeof SHELVES;

/**
 * Puts a painter, a room or a cup away.
 * @throws OutOfTurn where it is the last of its kind, or an open ticket is worked with it
 */
export const archive = (ledger: Ledger, shelf: Shelf, id: string, version: number): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { table, word, held } = SHELVES[shelf];
    const shopId = await shopIdOf(manager);
    const live = await manager.count(table as typeof CupTable, {
      where: { shopId, archivedAt: IsNull() },
    });
    if (live <= 1)
      throw new OutOfTurn(`This is the last ${word}: the shop needs one. Add another first.`);
    const open = held
      ? await manager.findBy(TicketTable, { [held]: id, state: 'open', archivedAt: IsNull() })
      : [];
    if (open.length > 0)
      throw new OutOfTurn(
        `${open.map(({ number }) => number).join(', ')} is still worked with it: close or change that ticket first.`,
      );
    await changeVersioned(manager, table as typeof CupTable, {
      what: word,
      id,
      version,
      changes: { archivedAt: new Date() },
      mine: { archived: true },
    });
    await trace({ shopId, aggregateType: shelf, aggregateId: id, kind: 'archived', patch: {} });
  });
