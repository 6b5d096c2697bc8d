/**
 * What was really poured: checked against the plan that was taken, kept, and its pot life set
 * running.
 */
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { pourCheckCalculation } from '@orthochrom/contract/calculations/pourCheck.ts';
import type { AnswerOf, InputOf } from '@orthochrom/contract/registry.ts';
import type { MixCreate, MixFlowCup } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { mustBeNext } from './coatOrderRules.ts';
import { mustHavePassedGate, mustStandFree } from './judge.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { mixOf } from './ticketReader.ts';
import { stopSaid } from './stopSaid.ts';
import { MixTable, StageTable, TimerTable, type MixRow, type TimerRow } from './ticketTables.ts';

const MINUTE_MS = 60_000;

export const addMix = (
  ledger: Ledger,
  probe: StandInProbe,
  ticketId: string,
  mix: z.infer<typeof MixCreate>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, mix.coatId);
    if (coat.ticketId !== ticketId || coat.stageId !== mix.stageId)
      throw BadInput.at(
        ['coatId'],
        'contradiction',
        'This coat belongs to another ticket or stage.',
      );
    const context = await planContextOf(manager, probe, coat, { painterId: mix.painterId });
    mustHavePassedGate(context);
    const asked = coat.planned?.inputs['mix'] as InputOf<'mix'> | undefined;
    const answer = coat.planned?.answers['mix'] as AnswerOf<'mix'> | undefined;
    if (!asked || !answer?.components)
      throw new OutOfTurn('Take the plan of this coat before anything is poured.');
    await mustBeNext(manager, coat);
    mustStandFree('pour', coat, context);
    const { cups, painters } = await shopSetup(manager);
    const cup = cups.find(({ id }) => id === mix.cupId);
    const check = ask(pourCheckCalculation, {
      recipe: asked.recipe,
      poured: mix.poured,
      ...(asked.densitiesGPerMl ? { densitiesGPerMl: asked.densitiesGPerMl } : {}),
      ...(asked.sheet ? { sheet: asked.sheet } : {}),
      ...(cup ? { cup: { capacityMl: cup.capacityMl } } : {}),
      pots: cups.map(({ name, capacityMl }) => ({ name, capacityMl })),
    });
    const against = check.verdicts.find(({ level }) => level === 'stop');
    const painter = painters.find(({ id }) => id === mix.painterId);
    if (against)
      throw BadInput.at(
        ['poured'],
        'contradiction',
        painter ? stopSaid(against, painter) : against.message,
      );
    const mixedAt = new Date();
    const before = await correctedFrom(manager, mix);
    // What is poured into a mix that lives already does not make it younger.
    const potLifeEndsAt = before
      ? before.potLifeEndsAt
      : answer.potLifeMinutes
        ? new Date(mixedAt.getTime() + answer.potLifeMinutes.value * MINUTE_MS)
        : null;
    const row = {
      id: mix.id,
      stageId: mix.stageId,
      painterId: mix.painterId,
      recipe: asked.recipe,
      asked: answer.components,
      poured: mix.poured,
      readyMl: check.pouredMl,
      batchNo: mix.batchNo,
      mixedAt,
      potLifeEndsAt,
      materialC: asked.temperatureC ?? null,
      correctedFromId: mix.correctedFromId ?? null,
    } as MixRow;
    await insertNew(manager, MixTable, row);
    if (potLifeEndsAt && !before) {
      const timer = {
        id: newId(),
        ticketId,
        mixId: mix.id,
        kind: 'potLife',
        startedAt: mixedAt,
        dueAt: potLifeEndsAt,
        test: 'Empty and clean the gun before it thickens.',
      };
      await manager.insert(TimerTable, timer as Partial<TimerRow> as never);
    }
    await trace({
      shopId: await shopIdOf(manager),
      painterId: mix.painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'mixed',
      patch: { mixId: mix.id, poured: mix.poured },
    });
  });

/** @throws BadInput where what is corrected is no mix of this stage */
async function correctedFrom(
  manager: EntityManager,
  { correctedFromId, stageId }: z.infer<typeof MixCreate>,
): Promise<MixRow | undefined> {
  if (correctedFromId === undefined) return undefined;
  const before = await manager.findOneBy(MixTable, { id: correctedFromId, stageId });
  if (!before)
    throw BadInput.at(['correctedFromId'], 'not-one-of', 'This stage has no such mix to correct.');
  return before;
}

/** Seconds through a flow cup, kept with the mix they were timed of. @returns the ticket's id */
export const noteFlowCup = (
  ledger: Ledger,
  mixId: string,
  { version, painterId, flowCup }: z.infer<typeof MixFlowCup>,
): Promise<string> =>
  ledger.write(async (manager, trace) => {
    await changeVersioned(manager, MixTable, {
      what: 'mix',
      id: mixId,
      version,
      changes: { flowCup },
      mine: { flowCup },
      showTheirs: mixOf,
    });
    const mix = await manager.findOneByOrFail(MixTable, { id: mixId });
    const { ticketId } = await manager.findOneByOrFail(StageTable, { id: mix.stageId });
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: ticketId,
      kind: 'flow-cup-timed',
      patch: { mixId, flowCup },
    });
    return ticketId;
  });
