/** Painters and rooms: each change with its version and its trace. */
import type { PainterCreate, PainterEdit, RoomEdit } from '@orthochrom/contract/shop/setup.ts';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { shopIdOf } from './shopId.ts';
import { painterOf, roomOf } from './shopReader.ts';
import { PainterTable, RoomTable, type PainterRow, type RoomRow } from './shopTables.ts';

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
    const changes = { prepWay: null, ...told } as PainterRow;
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

/** What is not told any more is taken back. */
const NO_ROOM_WORD = {
  airSpeedMPerS: null,
  capLimitKPa: null,
  siliconeLastOn: null,
  wetsFloor: null,
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
