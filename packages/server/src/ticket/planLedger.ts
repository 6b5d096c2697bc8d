/** Taking a plan, and overriding it. */
import { planCoat, stopsOf } from '@orthochrom/contract/plan/planCoat.ts';
import { ownPressure, pressureStops } from '@orthochrom/contract/plan/ownPressure.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { CALCULATION_VERSION, type AnswerOf } from '@orthochrom/contract/registry.ts';
import type { OverridePlan, Overrides, TakenPlan, TakePlan } from '@orthochrom/contract/shop/ticket.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { BadInput, OutOfTurn } from '../http/faults.ts';
import { changeCoat, mustBe, mustBeNext } from './coatTurn.ts';
import { mustHavePassedGate } from './gateKeeper.ts';
import { coatRow, planContextOf } from './planReader.ts';

/** "Take it": the plan as it is now is worked out here, frozen with its inputs, and kept beside whatever is overridden. */
export const takePlan = (ledger: Ledger, probe: StandInProbe, coatId: string, wish: z.infer<typeof TakePlan>): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'planned', 'taken');
    await mustBeNext(manager, coat);
    await mustHavePassedGate(manager, { ticketId: coat.ticketId, stageId: coat.stageId, painterId: wish.painterId });
    const { version, painterId, gunId, overrides, wantedParts, hardenerId, cupId, readyMl, part, mist } = wish;
    const context = await planContextOf(manager, probe, coat, {
      painterId,
      gunId,
      ...(cupId ? { cupId } : {}),
      ...(readyMl === undefined ? {} : { readyMl }),
      ...(wantedParts ? { wantedParts } : {}),
      ...(hardenerId ? { hardenerId } : {}),
      ...(part ? { part } : {}),
      ...(mist ? { mist } : {}),
    });
    const plan = planCoat(context);
    const [stop] = stopsOf(plan);
    if (stop) throw new OutOfTurn(stop.message);
    mustKeepLimits(context, overrides, setupFan(plan.setup, overrides));
    const { inputs, climate, reducer, mix, setup, recoat } = plan;
    const planned: TakenPlan = {
      at: new Date().toISOString(),
      calculationVersion: CALCULATION_VERSION,
      sheetVersionIds: context.sheetVersionIds,
      inputs,
      answers: { climate, reducer, ...(mix ? { mix } : {}), setup, recoat },
    };
    const { air, humidity, panel, material } = context.air;
    const changes = {
      state: 'taken',
      planned,
      overrides,
      gunId,
      nozzleMm: setup.nozzleMm,
      painterId,
      roomId: context.room.id,
      airC: air.value,
      rhPercent: humidity.value,
      panelC: panel?.value ?? null,
      materialC: material?.value ?? null,
    };
    await changeCoat(manager, trace, coat, { kind: 'plan-taken', version, painterId, changes, mine: wish });
  });

/** An override keeps the recommendation beside it, with a word why; the plan that was taken stays as it was. */
export const overrideSettings = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, overrides }: z.infer<typeof OverridePlan>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    const context = await planContextOf(manager, probe, coat, { painterId, gunId: coat.gunId! });
    mustKeepLimits(context, overrides, setupFan(coat.planned!.answers['setup'] as AnswerOf<'setup'>, overrides));
    await changeCoat(manager, trace, coat, {
      kind: 'overridden',
      version,
      painterId,
      changes: { overrides },
      mine: overrides,
    });
  });

const setupFan = (setup: Pick<AnswerOf<'setup'>, 'fanTurnsOut'>, { fanTurnsOut }: Overrides): number =>
  typeof fanTurnsOut?.chosen === 'number' ? fanTurnsOut.chosen : setup.fanTurnsOut;

/** @throws BadInput when the painter's own pressure is one that must never be */
function mustKeepLimits(context: PlanContext, { inletKPa }: Overrides, fanTurnsOut: number): void {
  if (typeof inletKPa?.chosen !== 'number') return;
  const [stop] = pressureStops(ownPressure(context, { valueKPa: inletKPa.chosen, at: 'inlet', fanTurnsOut }));
  if (stop) throw BadInput.at(['overrides', 'inletKPa', 'chosen'], 'contradiction', stop.message);
}
