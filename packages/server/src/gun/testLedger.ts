/** Taking a test: kept once, for good, by the nozzle set, line or compressor it belongs to. */
import { askGate } from '@orthochrom/contract/plan/gateProduct.ts';
import type { TestCreate, TestGate } from '@orthochrom/contract/shop/test.ts';
import type { EntityManager } from 'typeorm';
import { AirLineTable, CompressorTable } from '../compressedAir/airTables.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { NozzleSetTable } from '../shop/shopTables.ts';
import { refuse } from '../ticket/judge.ts';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { TestTable, type TestRow } from './testTable.ts';

export const addTest = (
  ledger: Ledger,
  { test, ...given }: TestCreate,
  takenAt = new Date(),
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    await mustBelong(manager, given);
    if (given.gate) await mustPassGate(manager, given.gate, given.painterId);
    const row: TestRow = {
      nozzleSetId: null,
      airLineId: null,
      compressorId: null,
      gate: null,
      ...given,
      shopId,
      kind: test.kind,
      input: test,
      takenAt,
    };
    await insertNew(manager, TestTable, row);
    await trace({
      shopId,
      painterId: given.painterId,
      aggregateType: 'test',
      aggregateId: row.id,
      kind: 'taken',
      patch: { ...given, test },
    });
  });

/** @throws Stopped with every verdict of the gate that the mix in the cup stands behind */
async function mustPassGate(
  manager: EntityManager,
  gate: TestGate,
  painterId: string,
): Promise<void> {
  const { roomId, sheetVersionId, recipeName, ...answers } = gate;
  const { rooms, painters } = await shopSetup(manager);
  const room = rooms.find(({ id }) => id === roomId);
  const [version] = await sheetVersions(manager, [sheetVersionId]);
  if (!room) throw BadInput.at(['gate', 'roomId'], 'not-one-of', 'The shop has no such room.');
  if (!version)
    throw BadInput.at(['gate', 'sheetVersionId'], 'not-one-of', 'The shop has no such data sheet.');
  const painter = painters.find(({ id }) => id === painterId);
  if (!painter) throw BadInput.at(['painterId'], 'not-one-of', 'The shop has no such painter.');
  refuse(askGate({ room, sheet: version.sheet, recipeName, step: 'spray' }, answers).verdicts, {
    painter,
  });
}

/**
 * @throws BadInput for a set, line or compressor that the shop does not have, or a set that is
 * retired
 */
async function mustBelong(
  manager: EntityManager,
  {
    nozzleSetId,
    airLineId,
    compressorId,
  }: {
    nozzleSetId?: string | undefined;
    airLineId?: string | undefined;
    compressorId?: string | undefined;
  },
): Promise<void> {
  if (nozzleSetId) {
    const set = await manager.findOneBy(NozzleSetTable, { id: nozzleSetId });
    if (!set) throw BadInput.at(['nozzleSetId'], 'not-one-of', 'The shop has no such nozzle set.');
    if (set.retiredAt)
      throw BadInput.at(
        ['nozzleSetId'],
        'not-one-of',
        'This nozzle set is retired: test the one that is fitted.',
      );
  }
  if (airLineId && !(await manager.existsBy(AirLineTable, { id: airLineId })))
    throw BadInput.at(['airLineId'], 'not-one-of', 'The shop has no such air line.');
  if (compressorId && !(await manager.existsBy(CompressorTable, { id: compressorId })))
    throw BadInput.at(['compressorId'], 'not-one-of', 'The shop has no such compressor.');
}
