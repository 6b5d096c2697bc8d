/** Painters and rooms: each change with its version and its trace. */
import type { PainterCreate, PainterEdit, RoomEdit } from '@orthochrom/contract/shop/setup.ts';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { shopIdOf } from './shopId.ts';
import { painterOf, roomOf } from './shopReader.ts';
import { PainterTable, RoomTable, type PainterRow } from './shopTables.ts';

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
  { version, ...changes }: z.infer<typeof PainterEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
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

export const changeRoom = (
  ledger: Ledger,
  id: string,
  {
    version,
    airSpeedMPerS = null as never,
    capLimitKPa = null as never,
    ...rest
  }: z.infer<typeof RoomEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const changes = { ...rest, airSpeedMPerS, capLimitKPa };
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
