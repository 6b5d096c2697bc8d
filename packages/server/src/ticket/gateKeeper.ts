/** The gate of a stage: its answers are kept, and recipe and settings wait until it has passed for this stage, room and painter today. */
import { gateProduct } from '@orthochrom/contract/plan/planInputs.ts';
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
import { ticketById } from './ticketReader.ts';
import { GateAnswerTable, type GateAnswerRow } from './ticketTables.ts';

/** Raised when the gate asks more than before: answers to an older gate do not open it. */
export const GATE_VERSION = 1;

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

const dayIn = (at: Date, timeZone: string): string => at.toLocaleDateString('en-CA', { timeZone });

/** @throws GateOpen unless the newest answer for this stage, room and painter, given today, passed */
export async function mustHavePassedGate(
  manager: EntityManager,
  of: { ticketId: string; stageId: string; painterId: string },
): Promise<void> {
  const ticket = await ticketById(manager, of.ticketId);
  const { shop } = await shopSetup(manager);
  const [newest] = await manager.find(GateAnswerTable, {
    where: { stageId: of.stageId, roomId: ticket.roomId, painterId: of.painterId, gateVersion: GATE_VERSION },
    order: { answeredAt: 'DESC' },
    take: 1,
  });
  if (newest?.passed && dayIn(newest.answeredAt, shop.timeZone) === dayIn(new Date(), shop.timeZone)) return;
  throw new GateOpen('The safety gate of this stage comes first: answer it for this room and painter, today.');
}
