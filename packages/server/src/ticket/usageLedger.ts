/** What a stage took: worked out when somebody says what was left, kept, and looked through. */
import { usedOn } from '@orthochrom/contract/plan/amounts.ts';
import {
  usageGroupOf,
  type UsageCounts,
  type UsageCreate,
} from '@orthochrom/contract/shop/usage.ts';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import type { Ledger, Trace } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { wholeTicket } from './ticketReader.ts';
import { UsageTable } from './usageTable.ts';

/**
 * @throws BadInput for a stage that is not on the ticket or a painter who is not in the shop,
 * OutOfTurn while nothing of it was poured and sprayed
 */
export const keepUsage = (
  ledger: Ledger,
  ticketId: string,
  { id, stageId, painterId, leftMl }: UsageCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const whole = await wholeTicket(manager, ticketId);
    const setup = await shopSetup(manager);
    const stage = whole.ticket.stages.find((one) => one.id === stageId);
    if (!stage) throw BadInput.at(['stageId'], 'not-one-of', 'This stage is not on the ticket.');
    if (!setup.painters.some((painter) => painter.id === painterId))
      throw BadInput.at(['painterId'], 'not-one-of', 'This painter is not in the shop.');
    const used = usedOn(whole, setup, { stageId, leftMl });
    if (!used)
      throw new OutOfTurn(
        'Nothing can be learned yet: a coat of this stage is on, and more was poured than is left.',
      );
    const row = {
      id,
      ticketId,
      stageId,
      painterId,
      group: usageGroupOf(stage.kind),
      leftMl,
      ...used,
      counts: null,
      at: new Date(),
    };
    await insertNew(manager, UsageTable, row);
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'left-in-cup',
      patch: { stageId, leftMl, ...used },
    });
    await traceHand(manager, trace, painterId);
  });

/** Whether a job is learned from. @returns the ticket's id */
export const countUsage = (
  ledger: Ledger,
  id: string,
  { painterId, counts }: z.infer<typeof UsageCounts>,
): Promise<string> =>
  ledger.write(async (manager, trace) => {
    const usage = await manager.findOneBy(UsageTable, { id });
    if (!usage) throw new NotFound(`There is no job ${id} to learn from.`);
    await manager.update(UsageTable, { id }, { counts });
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: usage.ticketId,
      kind: 'job-counts',
      patch: { usageId: id, counts },
    });
    await traceHand(manager, trace, usage.painterId);
    return usage.ticketId;
  });

/** The factor of a hand stands in the shop's set-up: other tablets read it again. */
const traceHand = async (
  manager: EntityManager,
  trace: (of: Trace) => Promise<void>,
  painterId: string,
): Promise<void> =>
  trace({
    shopId: await shopIdOf(manager),
    painterId,
    aggregateType: 'painter',
    aggregateId: painterId,
    kind: 'hand-learned',
    patch: {},
  });
