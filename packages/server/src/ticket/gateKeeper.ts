/** The gate of a stage: its answers are kept, and recipe and settings wait until it has passed for this stage, room and painter today. */
import { gateProduct } from '@orthochrom/contract/plan/planInputs.ts';
import { GATE_VERSION, gateToday } from '@orthochrom/contract/plan/gateToday.ts';
import { ask } from '@orthochrom/contract/registry.ts';
import type { GateAnswers } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import { insertOnce, type Ledger } from '../event/ledger.ts';
import { BadInput, GateOpen, NotFound } from '../http/faults.ts';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { roomOf, shopSetup } from '../shop/shopReader.ts';
import { RoomTable } from '../shop/shopTables.ts';
import { gatesOf, ticketById } from './ticketReader.ts';
import { GateAnswerTable, type GateAnswerRow } from './ticketTables.ts';

export const answerGate = (ledger: Ledger, ticketId: string, given: z.infer<typeof GateAnswers>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { id, stageId, step, painterId, ...answers } = given;
    const ticket = await ticketById(manager, ticketId);
    const stage = ticket.stages.find((s) => s.id === stageId);
    if (!stage) throw BadInput.at(['stageId'], 'not-one-of', 'This stage is not on the ticket.');
    const [pinned] = await sheetVersions(manager, [stage.sheetVersionId]);
    const roomRow = await manager.findOneBy(RoomTable, { id: ticket.roomId });
    if (!pinned || !roomRow) throw new NotFound('The sheet or the room of this ticket is missing.');
    const room = roomOf(roomRow);
    const verdict = ask('gate', {
      product: gateProduct(pinned.sheet, stage.recipeName),
      place: room.place,
      region: room.region,
      roomExtraction: room.extraction,
      ...answers,
      regionRules: { ...room.regionRules, ...answers.regionRules },
      step,
    });
    const row: GateAnswerRow = {
      id,
      ticketId,
      stageId,
      roomId: room.id,
      painterId,
      step,
      passed: verdict.passed,
      answers,
      verdicts: verdict.verdicts,
      gateVersion: GATE_VERSION,
      answeredAt: new Date(),
    };
    if (await insertOnce(manager, GateAnswerTable, row))
      await trace({
        shopId: await shopIdOf(manager),
        painterId,
        aggregateType: 'ticket',
        aggregateId: ticketId,
        kind: verdict.passed ? 'gate-passed' : 'gate-stopped',
        patch: { stageId, step, answers },
      });
  });

/** @throws GateOpen unless the newest answer for this stage, room and painter, given today, passed */
export async function mustHavePassedGate(
  manager: EntityManager,
  of: { ticketId: string; stageId: string; painterId: string },
): Promise<void> {
  const { roomId } = await ticketById(manager, of.ticketId);
  const { shop } = await shopSetup(manager);
  const gates = await gatesOf(manager, of.ticketId);
  if (gateToday(gates, { ...of, roomId, nowMs: Date.now(), timeZone: shop.timeZone })?.passed) return;
  throw new GateOpen('The safety gate of this stage comes first: answer it for this room and painter, today.');
}
