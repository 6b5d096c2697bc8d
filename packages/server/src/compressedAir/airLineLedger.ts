/**
 * Compressors and lines: described once, changed with a version. Changed pieces make earlier
 * measurements history.
 */
import type {
  AirLineCreate,
  AirLineEdit,
  CompressorCreate,
  CompressorEdit,
} from '@orthochrom/contract/shop/compressedAir.ts';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { RoomTable } from '../shop/shopTables.ts';
import { AirLineTable, CompressorTable, type AirLineRow, type CompressorRow } from './airTables.ts';

type LineDescription = Omit<z.infer<typeof AirLineCreate>, 'id'>;
type CompressorDescription = Omit<z.infer<typeof CompressorCreate>, 'id'>;

export const addCompressor = (
  ledger: Ledger,
  compressor: z.infer<typeof CompressorCreate>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    await insertNew(manager, CompressorTable, {
      ...compressor,
      shopId,
      describedAt: new Date(),
    } as CompressorRow);
    await trace({
      shopId,
      aggregateType: 'compressor',
      aggregateId: compressor.id,
      kind: 'added',
      patch: compressor,
    });
  });

export const changeCompressor = (
  ledger: Ledger,
  id: string,
  { version, ...changes }: z.infer<typeof CompressorEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const before = await manager.findOneBy(CompressorTable, { id });
    const isOther = before !== null && figuresOf(before) !== figuresOf(changes);
    await changeVersioned(manager, CompressorTable, {
      what: 'compressor',
      id,
      version,
      changes: { ...changes, ...(isOther ? { describedAt: new Date() } : {}) },
      mine: changes,
    });
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'compressor',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: changes,
    });
  });

const figuresOf = ({
  tankL,
  freeAirLPerMin,
  freeAirAtKPa,
  cutInKPa,
  cutOutKPa,
}: CompressorDescription): string =>
  [tankL, freeAirLPerMin, freeAirAtKPa, cutInKPa, cutOutKPa].join();

export const addAirLine = (ledger: Ledger, line: z.infer<typeof AirLineCreate>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await mustBeOurs(manager, line);
    const shopId = await shopIdOf(manager);
    const row = {
      roomId: null,
      compressorId: null,
      ...line,
      shopId,
      describedAt: new Date(),
    } as AirLineRow;
    await insertNew(manager, AirLineTable, row);
    await trace({
      shopId,
      aggregateType: 'airLine',
      aggregateId: line.id,
      kind: 'added',
      patch: line,
    });
  });

export const changeAirLine = (
  ledger: Ledger,
  id: string,
  { version, ...given }: z.infer<typeof AirLineEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await mustBeOurs(manager, given);
    const changes = {
      ...given,
      roomId: given.roomId ?? null,
      compressorId: given.compressorId ?? null,
    };
    const before = await manager.findOneBy(AirLineTable, { id });
    const isOther = before !== null && piecesOf(before) !== piecesOf(given);
    await changeVersioned(manager, AirLineTable, {
      what: 'air line',
      id,
      version,
      changes: { ...changes, ...(isOther ? { describedAt: new Date() } : {}) },
      mine: given,
    });
    await trace({
      shopId: await shopIdOf(manager),
      aggregateType: 'airLine',
      aggregateId: id,
      aggregateVersion: version + 1,
      kind: 'changed',
      patch: given,
    });
  });

/** What the air flows through; the name, the room or the supply may change without another loss. */
const piecesOf = ({ line: { hose, couplers, regulator } }: Pick<LineDescription, 'line'>): string =>
  [
    hose?.innerDiameterMm,
    hose?.lengthM,
    regulator,
    ...(couplers ?? []).map(({ kind, count }) => `${kind}${count}`),
  ].join();

async function mustBeOurs(
  manager: EntityManager,
  { roomId, compressorId }: LineDescription,
): Promise<void> {
  if (roomId && !(await manager.existsBy(RoomTable, { id: roomId })))
    throw BadInput.at(['roomId'], 'not-one-of', 'The shop has no such room.');
  if (compressorId && !(await manager.existsBy(CompressorTable, { id: compressorId })))
    throw BadInput.at(['compressorId'], 'not-one-of', 'The shop has no such compressor.');
}
