/**
 * The shop's own tests as a plan goes by them: the newest of each kind, as long as what was tested
 * is still as it was.
 */
import { GunTest } from '@orthochrom/contract/shapes/gun.ts';
import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import { In, type EntityManager } from 'typeorm';
import type { z } from 'zod';
import { TestTable, type TestRow } from './testTable.ts';

export const testOf = ({
  id,
  takenAt,
  painterId,
  nozzleSetId,
  airLineId,
  compressorId,
  input,
  note,
}: TestRow): StoredTest => ({
  id,
  takenAt: takenAt.toISOString(),
  ...(painterId ? { painterId } : {}),
  ...(nozzleSetId ? { nozzleSetId } : {}),
  ...(airLineId ? { airLineId } : {}),
  ...(compressorId ? { compressorId } : {}),
  test: input,
  note,
});

type GunTestValue = z.infer<typeof GunTest>;
const isGunTest = (test: unknown): test is GunTestValue => GunTest.safeParse(test).success;

/**
 * Newest of each kind for every nozzle set, oldest first, as a gun carries them into a calculation.
 */
export async function gunTestsBySet(
  manager: EntityManager,
  setIds: string[],
): Promise<Map<string, GunTestValue[]>> {
  if (setIds.length === 0) return new Map();
  const rows: { nozzle_set_id: string; input: unknown }[] = await manager.query(
    `select distinct on (nozzle_set_id, kind) nozzle_set_id, kind, input, taken_at from calibration
     where nozzle_set_id = any($1) order by nozzle_set_id, kind, taken_at desc`,
    [setIds],
  );
  const bySet = new Map<string, GunTestValue[]>();
  for (const { nozzle_set_id, input } of rows)
    if (isGunTest(input)) bySet.set(nozzle_set_id, [...(bySet.get(nozzle_set_id) ?? []), input]);
  return bySet;
}

/** The newest test of a line or compressor, if nothing about it was changed since. */
export async function newestFor(
  manager: EntityManager,
  field: 'airLineId' | 'compressorId',
  things: readonly { id: string; describedAt: Date }[],
): Promise<Map<string, StoredTest>> {
  if (things.length === 0) return new Map();
  const rows = await manager.find(TestTable, {
    where: { [field]: In(things.map(({ id }) => id)) },
    order: { takenAt: 'ASC' },
  });
  return new Map(
    rows.flatMap((row) => {
      const thing = things.find(({ id }) => id === row[field])!;
      return row.takenAt >= thing.describedAt ? [[thing.id, testOf(row)] as const] : [];
    }),
  );
}

export async function allTests(manager: EntityManager): Promise<StoredTest[]> {
  return (await manager.find(TestTable, { order: { takenAt: 'ASC' } })).map(testOf);
}

export const withTest = <K extends 'twoGauges' | 'pumpUp', T extends Compressor | AirLine>(
  thing: T,
  key: K,
  test: StoredTest | undefined,
): T => (test ? { ...thing, [key]: test } : thing);
