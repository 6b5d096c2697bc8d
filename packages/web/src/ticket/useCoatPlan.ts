/**
 * The live plan of the selected coat, worked out here as anything changes; the same module works it
 * out on the server.
 */
import {
  contextOf,
  isMissing,
  type Sources,
  type Wishes,
} from '@orthochrom/contract/plan/contextOf.ts';
import { planCoat, type CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { warmedAir } from '@orthochrom/core/air/forecast.ts';
import { useMemo } from 'react';
import { usePainter } from '../frame/painter.ts';

/** @returns undefined while a sheet or a gun of the coat's stage is missing */
export function usePlanContext(
  sources: Sources,
  coat: Coat | undefined,
  wishes: Wishes,
): PlanContext | undefined {
  const { painter } = usePainter();
  const { whole, setup, latest, air } = sources;
  return useMemo(() => {
    if (!coat) return undefined;
    const context = contextOf({ whole, setup, latest, air }, coat, painter.id, wishes);
    return isMissing(context) ? undefined : context;
  }, [whole, setup, latest, air, coat, wishes, painter]);
}

/** The same context in air that is warmer (or cooler) by so much: for asking what would change. */
export function inWarmerAir(context: PlanContext, deltaC: number): PlanContext {
  const { air } = context;
  const warm = warmedAir(
    { airTemperatureC: air.air.value, relativeHumidityPercent: air.humidity.value },
    deltaC,
  );
  return {
    ...context,
    air: {
      ...air,
      air: { ...air.air, value: warm.airTemperatureC },
      humidity: { ...air.humidity, value: warm.relativeHumidityPercent },
      ...(air.panel ? { panel: { ...air.panel, value: air.panel.value + deltaC } } : {}),
      ...(air.material
        ? { material: { ...air.material, value: air.material.value + deltaC } }
        : {}),
    },
  };
}

export const usePlan = (context: PlanContext | undefined): CoatPlan | undefined =>
  useMemo(() => context && planCoat(context), [context]);
