/** Readings on the panel while heat is on: they move its clock, and the dates after it. */
import type { HeatReadCreate } from '@orthochrom/contract/shop/heatRead.ts';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { HeatReadTable } from './heatTable.ts';
import { keepLookAgain } from './lookAgainLedger.ts';
import { coatRow, planContextOf } from './planReader.ts';

/** @throws OutOfTurn where no heat was begun on this coat, BadInput for a panel it is not on */
export const readOnPanel = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { id, painterId, panelId, seenC }: HeatReadCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    const context = await planContextOf(manager, probe, coat, { painterId });
    const { whole, stage } = context;
    if (!whole.works.some((work) => work.kind === 'heated' && work.coatId === coatId))
      throw new OutOfTurn('No heat was begun on this coat: begin it first, then read the panel.');
    if (!stage.panelIds.includes(panelId))
      throw BadInput.at(['panelId'], 'not-one-of', 'This panel is not of this stage.');
    const { ticketId } = coat;
    const row = { id, ticketId, coatId, panelId, painterId, seenC, at: notedAt() };
    await insertNew(manager, HeatReadTable, row);
    await keepLookAgain(manager, coat, () => planContextOf(manager, probe, coat, { painterId }));
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'heat-read',
      patch: { coatId, panelId, seenC },
    });
  });
