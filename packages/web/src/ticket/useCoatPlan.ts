/** The live plan of the selected coat, worked out here as anything changes; the same module works it out on the server. */
import { cupFor } from '@orthochrom/contract/plan/planInputs.ts';
import { planCoat, type CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { Coat, SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { warmedAir } from '@orthochrom/core/air/forecast.ts';
import { useMemo } from 'react';
import { usePainter } from '../frame/painter.ts';

export type Wishes = Pick<PlanContext, 'wantedParts' | 'hardenerId' | 'readyMl' | 'part' | 'mist'> & {
  gunId?: string;
  cupId?: string;
};
type Sources = { whole: TicketWhole; setup: ShopSetup; sheets: SheetVersion[]; air: AirNow };

/** @returns undefined while a sheet or a gun of the coat's stage is missing */
export function usePlanContext(
  { whole, setup, sheets, air }: Sources,
  coat: Coat | undefined,
  wishes: Wishes,
): PlanContext | undefined {
  const { painter } = usePainter();
  return useMemo(() => {
    const stage = whole.ticket.stages.find(({ id }) => id === coat?.stageId);
    const pinned = whole.sheets.find(({ id }) => id === stage?.sheetVersionId);
    const room = setup.rooms.find(({ id }) => id === whole.ticket.roomId);
    const gun = setup.guns.find(({ id }) => id === (wishes.gunId ?? coat?.gunId ?? stage?.gunId)) ?? setup.guns[0];
    if (!coat || !stage || !pinned || !room || !gun) return undefined;
    const { wantedParts, hardenerId, readyMl, part, mist } = wishes;
    const airLine = setup.airLines.find(({ roomId }) => roomId === room.id);
    const flowCup = whole.mixes.findLast(({ stageId }) => stageId === stage.id)?.flowCup;
    const context: PlanContext = {
      ticket: whole.ticket,
      stage,
      sheet: pinned.sheet,
      products: new Map(sheets.map(({ sheet }) => [sheet.id, sheet])),
      painter,
      room,
      air,
      gun,
      ...(setup.knobs[gun.id] ? { knobsLeft: setup.knobs[gun.id]! } : {}),
      ...(airLine ? { airLine } : {}),
      ...(flowCup ? { flowCup } : {}),
      ...(part ? { part } : {}),
      ...(mist ? { mist } : {}),
      coatsLeft: Math.max(1, stage.coats - coat.ordinal + 1),
      isLastStage: whole.ticket.stages.at(-1)?.id === stage.id,
      ...(wantedParts ? { wantedParts } : {}),
      ...(hardenerId ? { hardenerId } : {}),
      ...(readyMl === undefined ? {} : { readyMl }),
    };
    const cup = setup.cups.find(({ id }) => id === wishes.cupId) ?? cupFor(setup.cups, context);
    return cup ? { ...context, cup } : context;
  }, [whole, setup, sheets, air, coat, wishes, painter]);
}

/** The same context in air that is warmer (or cooler) by so much: for asking what would change. */
export function inWarmerAir(context: PlanContext, deltaC: number): PlanContext {
  const { air } = context;
  const warm = warmedAir({ airTemperatureC: air.air.value, relativeHumidityPercent: air.humidity.value }, deltaC);
  return {
    ...context,
    air: {
      ...air,
      air: { ...air.air, value: warm.airTemperatureC },
      humidity: { ...air.humidity, value: warm.relativeHumidityPercent },
      ...(air.panel ? { panel: { ...air.panel, value: air.panel.value + deltaC } } : {}),
      ...(air.material ? { material: { ...air.material, value: air.material.value + deltaC } } : {}),
    },
  };
}

export const usePlan = (context: PlanContext | undefined): CoatPlan | undefined =>
  useMemo(() => context && planCoat(context), [context]);
