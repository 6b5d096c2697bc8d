/** Guns and their nozzle sets: described by the painter, changed with a version, never deleted. */
import type { GunCreate, GunEdit, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { USUAL_INTERVALS } from '@orthochrom/core/gun/care.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { GunTable, NozzleSetTable, type GunRow, type NozzleSetRow } from '../shop/shopTables.ts';
import { TestTable, type TestRow } from './testTable.ts';

type NozzleSet = NonNullable<StoredGun['gun']['nozzleSets']>[number];
const setsOf = (gun: StoredGun['gun']): NozzleSet[] =>
  gun.nozzleSets ?? gun.nozzlesMm.map((nozzleMm) => ({ nozzleMm }));

/**
 * Nozzle, needle and cap belong together: a set that is not listed any more is retired, with its
 * tests, never deleted.
 */
async function writeNozzleSets(
  manager: EntityManager,
  gunId: string,
  gun: StoredGun['gun'],
): Promise<NozzleSetRow[]> {
  const wanted = setsOf(gun);
  const existing = await manager.find(NozzleSetTable, { where: { gunId, retiredAt: IsNull() } });
  const isSame = (row: NozzleSetRow, set: NozzleSet) =>
    row.nozzleMm === set.nozzleMm &&
    (row.needle ?? '') === (set.needle ?? '') &&
    (row.cap ?? '') === (set.cap ?? '');
  for (const row of existing)
    if (!wanted.some((set) => isSame(row, set)))
      await manager.update(NozzleSetTable, { id: row.id }, { retiredAt: new Date() });
  const rows: NozzleSetRow[] = [];
  for (const [ordinal, set] of wanted.entries()) {
    const known = existing.find((candidate) => isSame(candidate, set) && !rows.includes(candidate));
    if (known) await manager.update(NozzleSetTable, { id: known.id }, { ordinal });
    const row = known ?? {
      id: newId(),
      gunId,
      ordinal,
      nozzleMm: set.nozzleMm,
      needle: set.needle ?? null,
      cap: set.cap ?? null,
      fittedSince: new Date(),
      retiredAt: null,
    };
    if (!known) await manager.insert(NozzleSetTable, row);
    rows.push(row);
  }
  return rows;
}

type Described = Pick<StoredGun, 'name' | 'usedFor' | 'gaugeTrust' | 'note' | 'gun'> & {
  intervals?: StoredGun['intervals'] | undefined;
};
function gunColumns({ name, usedFor, gaugeTrust, note, gun, intervals }: Described) {
  const { nozzleSets: _sets, nozzlesMm: _mm, ...body } = gun;
  return {
    name,
    usedFor,
    gaugeTrust,
    note,
    class: gun.class,
    body,
    ...(intervals ? { intervals } : {}),
  };
}

/** A gun that comes with tests (an import, the demo) keeps them. */
export const addGun = (ledger: Ledger, gun: GunCreate): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    const row = {
      id: gun.id,
      shopId,
      ...gunColumns({ ...gun, intervals: gun.intervals ?? USUAL_INTERVALS }),
    };
    await insertNew(manager, GunTable, row as GunRow);
    const rows = await writeNozzleSets(manager, gun.id, gun.gun);
    const takenAt = new Date();
    for (const [i, set] of setsOf(gun.gun).entries())
      for (const test of set.tests ?? [])
        await manager.insert(TestTable, {
          id: newId(),
          shopId,
          painterId: null,
          nozzleSetId: rows[i]!.id,
          airLineId: null,
          compressorId: null,
          gate: null,
          kind: test.kind,
          input: test,
          note: '',
          takenAt,
        } satisfies TestRow as never);
    await trace({ shopId, aggregateType: 'gun', aggregateId: gun.id, kind: 'added', patch: gun });
  });

export const changeGun = (
  ledger: Ledger,
  id: string,
  { version, ...gun }: z.infer<typeof GunEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    await changeVersioned(manager, GunTable, {
      what: 'gun',
      id,
      version,
      changes: gunColumns(gun),
      mine: gun,
    });
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
