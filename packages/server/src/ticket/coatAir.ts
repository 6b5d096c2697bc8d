/** The air of a coat over its own minutes, kept at every tap. */
import type { CoatAirPoint } from '@orthochrom/contract/shop/air.ts';
import { EntitySchema, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { airNow } from '../air/airLedger.ts';
import type { StandInProbe } from '../air/probe.ts';
import { doubles, ids, instants, key, optionalDoubles, refersTo } from '../database/columns.ts';

/**
 * The air of a coat minute by minute as far as anything was tapped: its beginning, each panel, its
 * end, its touch test. Append-only.
 */
export type CoatAirRow = {
  id: string;
  coatId: string;
  at: Date;
  airC: number;
  rhPercent: number;
  panelC: number | null;
  materialC: number | null;
};
export const CoatAirTable = new EntitySchema<CoatAirRow>({
  name: 'CoatAir',
  tableName: 'coat_air',
  columns: {
    ...key('coat_air'),
    ...ids('coatId'),
    ...instants('at'),
    ...doubles('airC', 'rhPercent'),
    ...optionalDoubles('panelC', 'materialC'),
  },
  indices: [{ name: 'coat_air_coat_at', columns: ['coatId', 'at'] }],
  foreignKeys: [refersTo('coat_air', 'coatId', 'Coat')],
});

/** Taken with the tap that belongs to it, in the same transaction. */
export async function keepCoatAir(
  manager: EntityManager,
  probe: StandInProbe,
  coatId: string,
  roomId: string,
): Promise<void> {
  const { air, humidity, panel, material } = await airNow(manager, probe, roomId);
  await manager.insert(CoatAirTable, {
    id: newId(),
    coatId,
    at: new Date(),
    airC: air.value,
    rhPercent: humidity.value,
    panelC: panel?.value ?? null,
    materialC: material?.value ?? null,
  });
}

export async function coatAir(manager: EntityManager, coatId: string): Promise<CoatAirPoint[]> {
  const rows = await manager.find(CoatAirTable, { where: { coatId }, order: { at: 'ASC' } });
  return rows.map(({ at, airC, rhPercent, panelC, materialC }) => ({
    at: at.toISOString(),
    airC,
    rhPercent,
    ...(panelC === null ? {} : { panelC }),
    ...(materialC === null ? {} : { materialC }),
  }));
}
