/**
 * The gate of a stage: its answers are kept with what they were about; whether they still hold is
 * judged at every tap.
 */
import { askGate } from '@orthochrom/contract/plan/gateProduct.ts';
import { GATE_VERSION, gateAbout } from '@orthochrom/contract/plan/gateToday.ts';
import type { GateAnswers } from '@orthochrom/contract/shop/gateRecord.ts';
import type { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, NotFound } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { sheetVersions } from '../sheet/sheetLedger.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { roomOf } from '../shop/shopReader.ts';
import { RoomTable } from '../shop/shopTables.ts';
import { ticketById } from './ticketReader.ts';
import { GateAnswerTable, type GateAnswerRow } from './ticketTables.ts';

export const answerGate = (
  ledger: Ledger,
  ticketId: string,
  given: z.infer<typeof GateAnswers>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { id, stageId, step, painterId, ...answers } = given;
    const ticket = await ticketById(manager, ticketId);
    const stage = ticket.stages.find((s) => s.id === stageId);
    if (!stage) throw BadInput.at(['stageId'], 'not-one-of', 'This stage is not on the ticket.');
    const [pinned] = await sheetVersions(manager, [stage.sheetVersionId]);
    const roomRow = await manager.findOneBy(RoomTable, { id: ticket.roomId });
    if (!pinned || !roomRow) throw new NotFound('The sheet or the room of this ticket is missing.');
    const room = roomOf(roomRow);
    const { minutesSinceSpray, ...told } = answers;
    const verdict = askGate(
      { room, sheet: pinned.sheet, recipeName: stage.recipeName, step, minutesSinceSpray },
      told,
    );
    const row: GateAnswerRow = {
      id,
      ticketId,
      stageId,
      roomId: room.id,
      painterId,
      step,
      about: gateAbout(room, stage, pinned.sheet),
      passed: verdict.passed,
      answers,
      verdicts: verdict.verdicts,
      gateVersion: GATE_VERSION,
      answeredAt: notedAt(),
    };
    await insertNew(manager, GateAnswerTable, row);
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: verdict.passed ? 'gate-passed' : 'gate-stopped',
      patch: { stageId, step, answers },
    });
  });
