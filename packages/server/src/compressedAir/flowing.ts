/**
 * What the gauge at the gun shows for a coat that is being sprayed: its room's line, its gun, the
 * pressure it was set to.
 */
import { deliveryOf, lineOf } from '@orthochrom/contract/shop/compressedAir.ts';
import type { Overrides } from '@orthochrom/contract/shop/coat.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { airlineOf } from '@orthochrom/core/compressedAir/airline.ts';
import { airFlowOf, gunModelOf } from '@orthochrom/core/gun/gunModel.ts';
import type { EntityManager } from 'typeorm';
import { shopSetup } from '../shop/shopReader.ts';
import { coatRow } from '../ticket/planReader.ts';
import type { CoatRow } from '../ticket/coatTables.ts';
import type { Flowing, Spell, StandInGauge, Supply } from './gauge.ts';

/** Only the air is asked of this model: the paint does not matter. */
const ANY_PAINT = { densityKgPerM3: 1000, viscosityPaS: 0.05 };

export async function flowingNow(
  manager: EntityManager,
  gauge: StandInGauge,
  coatId: string,
): Promise<Flowing | undefined> {
  return flowingOf(manager, gauge, await coatRow(manager, coatId));
}

export async function flowingOf(
  manager: EntityManager,
  gauge: StandInGauge,
  coat: CoatRow,
): Promise<Flowing | undefined> {
  if (coat.state !== 'spraying' || !coat.startedAt) return undefined;
  const supply = await supplyOf(manager, coat);
  return supply && gauge.read(coat.id, supply, (Date.now() - coat.startedAt.getTime()) / 1000);
}

/** Lowest and highest since the panel before, by what is kept of that: any process can say it. */
export async function flowingSinceLastPanel(
  manager: EntityManager,
  gauge: StandInGauge,
  coat: CoatRow,
): Promise<Spell | undefined> {
  if (!(await flowingOf(manager, gauge, coat))) return undefined;
  const [{ at }]: [{ at: Date | null }] = await manager.query(
    'select max(sprayed_at) as at from coat_panel where coat_id = $1',
    [coat.id],
  );
  const startedMs = coat.startedAt!.getTime();
  return gauge.spellSince(coat.id, ((at?.getTime() ?? startedMs) - startedMs) / 1000);
}

async function supplyOf(manager: EntityManager, coat: CoatRow): Promise<Supply | undefined> {
  const setup = await shopSetup(manager);
  const airLine = setup.airLines.find(({ roomId }) => roomId === coat.roomId);
  const gun = setup.guns.find(({ id }) => id === coat.gunId);
  const planned = coat.planned?.answers['setup'] as AnswerOf<'setup'> | undefined;
  if (!airLine || !gun || !planned) return undefined;
  const override = (name: 'inletKPa' | 'fanTurnsOut') => {
    const own = (coat.overrides as Overrides)[name]?.chosen;
    return typeof own === 'number' ? own : planned[name];
  };
  const [setInletKPa, fanTurnsOut] = [override('inletKPa'), override('fanTurnsOut')];
  const model = gunModelOf(gun.gun, planned.nozzleMm, ANY_PAINT);
  const airFlowAt = (inletKPa: number) => airFlowOf(model, inletKPa, fanTurnsOut);
  const line = lineOf(airLine);
  const compressor = setup.compressors.find(({ id }) => id === airLine.compressorId);
  return {
    line,
    setInletKPa,
    restKPa: airlineOf({
      ...line,
      wantedInletKPa: setInletKPa,
      airFlowLPerMin: airFlowAt(setInletKPa),
    }).regulatorStaticKPa,
    airFlowAt,
    ...(compressor ? { compressor: { ...compressor, ...deliveryOf(compressor) } } : {}),
  };
}
