/** Cutting and polishing, a step at a time: the ladder says what may be next, the film how far. */
import { finishOn, isNextStep } from '@orthochrom/contract/plan/finishOn.ts';
import { topCoat } from '@orthochrom/contract/plan/lookDue.ts';
import type { FinishStepCreate } from '@orthochrom/contract/shop/finishStep.ts';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { OutOfTurn, Stopped } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { FinishStepTable, type FinishStepRow } from './finishTable.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { stopsSaid } from './stopSaid.ts';

/**
 * @throws Stopped where the film does not allow it, OutOfTurn for a step that is not the next one
 */
export const finishStep = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  told: FinishStepCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    const context = await planContextOf(manager, probe, coat, { painterId: told.painterId });
    const { whole } = context;
    const top = topCoat(whole);
    if (top?.id !== coatId || top.state !== 'looked')
      throw new OutOfTurn('Only the top coat is cut and polished, once it is logged.');
    const answer = finishOn(context, whole, top, told, Date.now());
    const stops = answer?.verdicts.filter(({ level }) => level === 'stop') ?? [];
    if (stops.length > 0) throw new Stopped(stopsSaid(stops, context.painter), stops);
    if (!isNextStep(answer, told))
      throw new OutOfTurn(`${told.step} is not what comes next on this finish.`);
    const at = new Date();
    const row = { ...told, coatId, ticketId: coat.ticketId, at };
    await insertNew(manager, FinishStepTable, row as unknown as FinishStepRow);
    await trace({
      shopId: await shopIdOf(manager),
      painterId: told.painterId,
      aggregateType: 'ticket',
      aggregateId: coat.ticketId,
      kind: 'finish-step',
      patch: { coatId, step: told.step, ...(told.leftUm ? { leftUm: told.leftUm } : {}) },
    });
  });
