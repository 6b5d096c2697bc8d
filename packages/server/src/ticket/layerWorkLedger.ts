/** What was done to a layer that is on: judged before it is written down, and written once. */
import { coatOrder, isOn } from '@orthochrom/contract/plan/coatOrder.ts';
import { faultsOf } from '@orthochrom/contract/plan/layersUnder.ts';
import { standingForWork } from '@orthochrom/contract/plan/layerWork.ts';
import type { LayerWorkCreate } from '@orthochrom/contract/shop/layerWork.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { takesWarmAir, warmAirOn } from '@orthochrom/contract/plan/heatOn.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { IsNull, type EntityManager } from 'typeorm';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { refuse } from './judge.ts';
import { keepLookAgain } from './lookAgainLedger.ts';
import { LayerWorkTable, type LayerWorkRow } from './layerWorkTable.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { TimerTable } from './ticketTables.ts';

const MINUTE_MS = 60_000;

export const addLayerWork = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  given: LayerWorkCreate,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { id, painterId, kind, settles = [], why, warmC, vehicleLimitC, ...answers } = given;
    const row = await coatRow(manager, coatId);
    const context = await planContextOf(manager, probe, row, { painterId });
    const { whole } = context;
    const coat = whole.coats.find((one) => one.id === coatId);
    if (!coat) throw new OutOfTurn('The stage of this coat is no longer on the ticket.');
    mustBeOn(coat, kind);
    if (kind === 'warmed' && !takesWarmAir(context))
      throw new OutOfTurn(
        `${context.room.name} does not warm its air, or this paint is not for it: let it flash as it is.`,
      );
    mustKnow(whole, coat, settles);
    if (kind === 'recoated') mustBeCovered(whole, coat);
    refuse(standingForWork(kind, whole, coat, context, Date.now(), answers), context);
    const work: LayerWorkRow = {
      id,
      ticketId: row.ticketId,
      coatId,
      painterId,
      kind,
      why: why.trim(),
      settles,
      answers: {
        ...answers,
        ...(warmC === undefined ? {} : { warmC }),
        ...(vehicleLimitC === undefined ? {} : { vehicleLimitC }),
      },
      at: new Date(),
    };
    await insertNew(manager, LayerWorkTable, work);
    if (kind === 'warmed') await moveFlash(manager, context, coat, work.at, warmC);
    if (kind === 'heated')
      await keepLookAgain(manager, row, () => planContextOf(manager, probe, row, { painterId }));
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: row.ticketId,
      kind: `layer-${kind}`,
      patch: { coatId, settles, why: work.why },
    });
  });

/** The clock of a coat in warm air ends when the panel is dry and cool again. */
async function moveFlash(
  manager: EntityManager,
  context: PlanContext,
  { id: coatId, endedAt }: Coat,
  on: Date,
  warmC: number | undefined,
): Promise<void> {
  const minutesSince = (on.getTime() - Date.parse(endedAt!)) / MINUTE_MS;
  const { openMinute } = warmAirOn(context, { minutesSince, warmC });
  await manager
    .createQueryBuilder()
    .update(TimerTable)
    .set({ dueAt: new Date(on.getTime() + openMinute!.value * MINUTE_MS) })
    .where({ coatId, kind: 'flash', confirmedAt: IsNull() })
    .execute();
}

/** @throws OutOfTurn while the coat is not on and touch-dry */
function mustBeOn(coat: Coat, kind: LayerWorkCreate['kind']): void {
  if (kind === 'warmed') {
    if (coat.state === 'sprayed') return;
    throw new OutOfTurn(`This coat is ${coat.state}: warm air is for one that still flashes.`);
  }
  if (!isOn(coat))
    throw new OutOfTurn(
      `This coat is ${coat.state}: it is ${WORK_WORD[kind]} once it has passed its touch test.`,
    );
}
const WORK_WORD: Record<LayerWorkCreate['kind'], string> = {
  sandedDry: 'sanded',
  sandedWet: 'sanded',
  flattened: 'flattened',
  recoated: 'coated again',
  left: 'judged',
  warmed: 'warmed',
  heated: 'heated',
  polished: 'polished',
};

function mustKnow(whole: TicketWhole, coat: Coat, settles: readonly string[]): void {
  const known = faultsOf(whole, coat).map(({ key }) => key);
  const strange = settles.findIndex((key) => !known.includes(key));
  if (strange >= 0)
    throw BadInput.at(
      ['settles', strange],
      'not-one-of',
      'This fault was not found in this coat: it cannot be settled here.',
    );
}

/**
 * @throws OutOfTurn where it is said that the layer was coated again and no coat of its stage went
 * over it
 */
function mustBeCovered({ ticket, coats }: TicketWhole, coat: Coat): void {
  const order = coatOrder(ticket.stages);
  const isCovered = coats.some(
    (over) => over.stageId === coat.stageId && order(over, coat) > 0 && isOn(over),
  );
  if (!isCovered)
    throw new OutOfTurn(
      'No coat of this stage went over it yet: spray it first, then say that it is mended.',
    );
}
