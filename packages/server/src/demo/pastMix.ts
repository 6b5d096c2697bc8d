/** The gate and the mix of a coat of the past, as a painter would have kept them. */
import { GATE_VERSION, gateAbout } from '@orthochrom/contract/plan/gateToday.ts';
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { GateAnswerTable, MixTable } from '../ticket/ticketTables.ts';

export const MINUTE_MS = 60_000;
type PastMix = {
  ticket: Ticket;
  stage: StagePlan;
  room: Room;
  sheet: Sheet;
  mixId: string;
  at: Date;
  plan: Pick<ReturnType<typeof planCoat>, 'inputs' | 'mix'>;
};

export async function layGateAndMix(
  manager: EntityManager,
  { ticket, stage, room, sheet, mixId, at, plan }: PastMix,
): Promise<void> {
  const about = gateAbout(room, stage, sheet);
  const answers = {
    protection: { breathing: 'airFed', skin: true, eyes: true },
    extraction: 'on',
    ignition: [],
    bystanders: false,
  };
  const ids = {
    ticketId: ticket.id,
    stageId: stage.id,
    roomId: ticket.roomId,
    painterId: ticket.painterId,
  };
  await manager.insert(GateAnswerTable, {
    id: newId(),
    ...ids,
    step: 'mix',
    passed: true,
    about,
    answers,
    verdicts: [],
    gateVersion: GATE_VERSION,
    answeredAt: at,
  } as never);
  const components = plan.mix?.components ?? [];
  await manager.insert(MixTable, {
    id: mixId,
    stageId: stage.id,
    painterId: ticket.painterId,
    recipe: plan.inputs.mix?.recipe ?? { parts: [] },
    asked: components,
    poured: components.map(({ name, ml }) => ({ name, ml: Math.round(ml) })),
    readyMl: plan.mix?.readyMl ?? 0,
    batchNo: 1,
    mixedAt: at,
    potLifeEndsAt: plan.mix?.potLifeMinutes
      ? new Date(at.getTime() + plan.mix.potLifeMinutes.value * MINUTE_MS)
      : null,
    materialC: 21,
  } as never);
}
