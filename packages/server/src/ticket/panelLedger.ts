/** Panels as they are touched while spraying: done, half done, touched by mistake. */
import type { PanelSprayed, PanelTakenBack } from '@orthochrom/contract/shop/coat.ts';
import { HALVES } from '@orthochrom/core/route/routeInput.ts';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import { flowingSinceLastPanel } from '../compressedAir/flowing.ts';
import type { StandInGauge } from '../compressedAir/gauge.ts';
import type { Ledger } from '../event/ledger.ts';
import { BadInput } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { keepCoatAir } from './coatAir.ts';
import { mustBe } from './coatOrderRules.ts';
import { CoatHalfTable, CoatPanelTable, type CoatRow } from './coatTables.ts';
import { coatRow } from './planReader.ts';
import { mayGoOn, spellColumns, stageOf, whileSpraying } from './whileSpraying.ts';

/**
 * Flash runs per panel from its own time; a second tap leaves the first time standing. A panel in
 * halves is on when both are.
 */
export const panelSprayed = (
  ledger: Ledger,
  { probe, gauge }: { probe: StandInProbe; gauge: StandInGauge },
  coatId: string,
  { panelId, painterId, half }: z.infer<typeof PanelSprayed>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'spraying');
    await mustBeOfStage(manager, coat, panelId);
    const isTold = await manager.existsBy(CoatPanelTable, { coatId, panelId });
    if (!isTold) await mayGoOn(manager, probe, 'panel', coat, painterId);
    const flowing = await flowingSinceLastPanel(manager, gauge, coat);
    const sprayedAt = whileSpraying(coat);
    if (half) {
      await manager
        .createQueryBuilder()
        .insert()
        .into(CoatHalfTable)
        .values({ coatId, panelId, half, sprayedAt })
        .orIgnore()
        .execute();
      const halves = await manager.countBy(CoatHalfTable, { coatId, panelId });
      if (halves < HALVES.length) return tell();
    }
    const result = await manager
      .createQueryBuilder()
      .insert()
      .into(CoatPanelTable)
      .values({ coatId, panelId, sprayedAt, ...spellColumns(flowing) })
      .orIgnore()
      .returning('panel_id')
      .execute();
    if ((result.raw as unknown[]).length > 0) await tell();

    async function tell(): Promise<void> {
      await keepCoatAir(manager, probe, coatId, coat.roomId!);
      await trace({
        shopId: await shopIdOf(manager),
        painterId,
        aggregateType: 'ticket',
        aggregateId: coat.ticketId,
        kind: 'panel-sprayed',
        patch: { coatId, panelId, ...(half ? { half } : {}) },
      });
    }
  });

/** Touched by mistake: it is not on. When it was touched stays in the trail. */
export const panelTakenBack = (
  ledger: Ledger,
  coatId: string,
  { panelId, painterId }: z.infer<typeof PanelTakenBack>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'spraying');
    await mustBeOfStage(manager, coat, panelId);
    const on = await manager.findOneBy(CoatPanelTable, { coatId, panelId });
    const halves = await manager.findBy(CoatHalfTable, { coatId, panelId });
    if (!on && halves.length === 0) return;
    await manager.delete(CoatPanelTable, { coatId, panelId });
    await manager.delete(CoatHalfTable, { coatId, panelId });
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: coat.ticketId,
      kind: 'panel-taken-back',
      patch: {
        coatId,
        panelId,
        ...(on ? { sprayedAt: on.sprayedAt.toISOString() } : {}),
        halves: halves.map(({ half, sprayedAt }) => `${half} ${sprayedAt.toISOString()}`),
      },
    });
  });

async function mustBeOfStage(
  manager: EntityManager,
  coat: CoatRow,
  panelId: string,
): Promise<void> {
  const { panelIds } = await stageOf(manager, coat);
  if (!panelIds.includes(panelId))
    throw BadInput.at(['panelId'], 'not-one-of', 'This panel is not of this stage.');
}
