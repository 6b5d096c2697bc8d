/** Readings of the bench that a coat's own air gives. */
import { readingsOf } from '@orthochrom/core/diagnosis/plannedAndDone.ts';
import type { CoatAirPoint } from '../shop/air.ts';
import type { StagePlan } from '../shop/ticket.ts';
import type { Coat } from '../shop/coat.ts';
import type { Sheet, SheetRecipe } from '../sheet/sheet.ts';
import type { TicketEvidence } from './ticketEvidence.ts';

/** Every minute that anything was tapped, not one number for the day: the worst of them speaks. */
export function airReadings(
  { air, room, coat }: TicketEvidence,
  sheet: Sheet | undefined,
): Record<string, { value: number | boolean; from: string }> {
  const planned = (coat.planned?.inputs['climate'] ?? {}) as {
    panelTemperatureC?: number;
    airTemperatureC?: number;
    relativeHumidityPercent?: number;
  };
  const points: CoatAirPoint[] =
    air.length > 0
      ? [...air]
      : planned.airTemperatureC === undefined
        ? []
        : [
            {
              at: '',
              airC: planned.airTemperatureC,
              rhPercent: planned.relativeHumidityPercent ?? 50,
              ...(planned.panelTemperatureC === undefined
                ? {}
                : { panelC: planned.panelTemperatureC }),
            },
          ];
  const from =
    air.length > 0
      ? `the air at ${air.length} taps of this coat`
      : 'the air when the plan was taken';
  const limits = { minC: sheet?.limits?.minPanelC, maxC: sheet?.limits?.maxPanelC };
  const each = points.map((point) => {
    const { readings } = readingsOf(
      {},
      {
        climate: {
          airTemperatureC: point.airC,
          relativeHumidityPercent: point.rhPercent,
          ...(point.panelC === undefined ? {} : { panelTemperatureC: point.panelC }),
          airMovement: room.airMovement,
          ...(room.airSpeedMPerS === undefined ? {} : { airSpeedMPerS: room.airSpeedMPerS }),
        },
      },
    );
    const own =
      point.panelC === undefined || limits.minC === undefined || limits.maxC === undefined
        ? (readings['t_panel_dev'] as number | undefined)
        : Math.max(0, point.panelC - limits.maxC) + Math.min(0, point.panelC - limits.minC);
    return { ...readings, ...(own === undefined ? {} : { t_panel_dev: own }) } as Record<
      string,
      number | boolean
    >;
  });
  const material = air.flatMap(({ materialC }) => (materialC === undefined ? [] : [materialC]));
  const values = (id: string) =>
    each.flatMap((reading) => (typeof reading[id] === 'number' ? [reading[id]] : []));
  const out: Record<string, { value: number | boolean; from: string }> = {};
  const put = (id: string, list: number[], pick: (list: number[]) => number, source = from) => {
    if (list.length > 0) out[id] = { value: pick(list), from: source };
  };
  const farthest = (list: number[]) =>
    list.reduce((far, value) => (Math.abs(value) > Math.abs(far) ? value : far), 0);
  put('t_panel_dev', values('t_panel_dev'), farthest);
  put('rh', values('rh'), (list) => Math.max(...list));
  put('dew_margin', values('dew_margin'), (list) => Math.min(...list));
  put('t_mat', material, (list) => Math.min(...list));
  put('airflow', values('airflow'), (list) => Math.min(...list), 'how the air moves in this room');
  if (each[0]?.['draught'] !== undefined)
    out['draught'] = { value: each[0]['draught'], from: 'how the air moves in this room' };
  return out;
}

/** From panel to panel: pressure that sinks is air that runs short, not a knob. */
export function swingText({ panelsSprayed }: Coat): string {
  const lows = [...panelsSprayed]
    .sort((a, b) => a.sprayedAt.localeCompare(b.sprayedAt))
    .flatMap(({ lowestInletKPa }) => (lowestInletKPa === undefined ? [] : [lowestInletKPa]));
  const [first, last] = [lows[0], lows.at(-1)];
  return first !== undefined && last !== undefined && lows.length > 1 && last < first
    ? `lowest at the gun sank from panel to panel, by ${(100 * (1 - last / first)).toFixed(0)} % in all`
    : 'lowest and highest at the gun over the coat';
}

const outside = (value: number, [low, high]: readonly [number, number]): number =>
  Math.max(0, value - high) + Math.min(0, value - low);

export function againstSheet(
  coat: Coat,
  stage: StagePlan,
  recipe: SheetRecipe | undefined,
): Record<string, number | undefined> {
  if (!recipe) return {};
  const nozzleMm = coat.done['nozzleMm']?.value ?? coat.nozzleMm;
  return {
    nozzle_dev: nozzleMm === undefined ? undefined : outside(nozzleMm, recipe.nozzleMm),
    coats_dev: outside(stage.coats, recipe.coats),
  };
}
