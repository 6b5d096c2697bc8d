/** The air now: the probe's readings, and those taken by hand while they are fresh. */
import type { AirNow, Reading } from '@orthochrom/contract/shop/air.ts';
import type { ReadingCreate } from '@orthochrom/contract/shop/reading.ts';
import { MoreThan, type EntityManager } from 'typeorm';
import type { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { shopIdOf } from '../shop/shopId.ts';
import type { StandInProbe } from './probe.ts';
import { ReadingTable, type ReadingRow } from './readingTable.ts';

/** A reading by hand goes before the probe's for this long; then it is too old to stand for now. */
const HAND_READING_MINUTES = 30;

export async function airNow(
  manager: EntityManager,
  probe: StandInProbe,
  roomId: string,
): Promise<AirNow> {
  const now = new Date();
  const seen = probe.read(roomId);
  const hand = await manager.find(ReadingTable, {
    where: { roomId, takenAt: MoreThan(new Date(now.getTime() - HAND_READING_MINUTES * 60_000)) },
    order: { takenAt: 'DESC' },
  });
  const byProbe = (value: number): Reading => ({ value, at: now.toISOString(), by: 'probe' });
  const reading = (quantity: ReadingRow['quantity'], probed: number): Reading => {
    const own = hand.find((row) => row.quantity === quantity);
    return own
      ? { value: own.valueCanonical, at: own.takenAt.toISOString(), by: 'hand' }
      : byProbe(probed);
  };
  const { day, minute, shiftC, playing } = seen;
  return {
    roomId,
    air: reading('airC', seen.airTemperatureC),
    humidity: reading('rhPercent', seen.relativeHumidityPercent),
    panel: reading('panelC', seen.panelTemperatureC ?? seen.airTemperatureC),
    material: reading('materialC', seen.materialTemperatureC ?? seen.airTemperatureC),
    ...(seen.outdoorTemperatureC === undefined
      ? {}
      : { outdoor: byProbe(seen.outdoorTemperatureC) }),
    standIn: { day, minute, shiftC, playing },
  };
}

export const addReading = (
  ledger: Ledger,
  { painterId, ...reading }: z.infer<typeof ReadingCreate>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    const row: ReadingRow = {
      ...reading,
      shopId,
      takenBy: painterId,
      instrument: 'hand',
      takenAt: notedAt(),
    };
    await insertNew(manager, ReadingTable, row);
    await trace({
      shopId,
      painterId,
      aggregateType: 'reading',
      aggregateId: row.id,
      kind: 'taken',
      patch: reading,
    });
  });
