/**
 * Heat on a coat of a ticket: what its panels bear, when the slowest has it, and how long from
 * then.
 */
import { ask } from '../calculations/ask.ts';
import { heatCalculation } from '../calculations/heat.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { HeatRead } from '../shop/heatRead.ts';
import { panelSaid } from './layersFound.ts';
import type { Panel } from '../shop/ticket.ts';
import type { PlanContext } from './planContext.ts';
import { planCoat } from './planCoat.ts';
import { climateFrom } from './planInputs.ts';
import { layerOf } from './recoatInputs.ts';

export type HeatOn = AnswerOf<'heat'>;
/** Read on a panel, so many minutes after the heat came on. */
export type PanelRead = { panel: string; seenC: number; seenMinute: number };

type Asked = Pick<PlanContext, 'ticket' | 'stage' | 'sheet' | 'room' | 'air'>;

export function heatInput(
  { ticket, stage, sheet, room, air }: Asked,
  { minutesSince, cleared }: { minutesSince: number; cleared: boolean },
  reads: readonly PanelRead[] = [],
): InputOf<'heat'> {
  const panels = ticket.panels.filter(({ id }) => stage.panelIds.includes(id));
  return {
    method: 'booth',
    layer: layerOf({ sheet, stage }),
    climate: climateFrom(room, air),
    minutesSince,
    extractionCleared: cleared,
    ...(sheet.maxBakeC === undefined ? {} : { maxBakeC: sheet.maxBakeC }),
    panels: panels.map((panel) => {
      const name = panelSaid(ticket.panels, panel);
      const read = reads.find((one) => one.panel === name);
      const isFilled = panel.found?.some(({ history }) => history === 'filler') ?? false;
      return {
        name,
        substrate: panel.substrate,
        ...buildOf(panel, isFilled),
        ...(read ? { seenC: read.seenC, seenMinute: read.seenMinute } : {}),
      };
    }),
  };
}

/** As it was told; filler on metal makes it heavier. */
const buildOf = (
  { build, substrate }: Pick<Panel, 'build' | 'substrate'>,
  isFilled: boolean,
): { build?: NonNullable<Panel['build']> } => {
  if (build) return { build };
  return isFilled && substrate === 'metal' ? { build: 'filled' } : {};
};

/** A lamp that is on at this distance: where it belongs, by the hottest reading on a panel. */
export const lampOn = (
  context: Asked,
  distanceMm: number,
  reads: readonly PanelRead[] = [],
  { vehicleLimitC }: { vehicleLimitC?: number | undefined } = {},
): HeatOn =>
  ask(heatCalculation, {
    ...heatInput(context, { minutesSince: LONG_DRY, cleared: true }, reads),
    method: 'lamp',
    ...(vehicleLimitC === undefined ? {} : { vehicleLimitC }),
    lamp: { distanceMm },
  });

/** Once it is on: flash and vapour were answered before it was begun. */
export const heatOn = (
  context: Asked,
  reads: readonly PanelRead[] = [],
  { vehicleLimitC }: { vehicleLimitC?: number | undefined } = {},
): HeatOn =>
  ask(heatCalculation, {
    ...heatInput(context, { minutesSince: LONG_DRY, cleared: true }, reads),
    ...(vehicleLimitC === undefined ? {} : { vehicleLimitC }),
  });
const LONG_DRY = 100_000;

/** A booth that can warm its air, over waterborne without hardener that still flashes. */
export const takesWarmAir = ({
  room,
  sheet,
  stage,
}: Pick<Asked, 'room' | 'sheet' | 'stage'>): boolean =>
  room.place === 'booth' &&
  room.heated &&
  !layerOf({ sheet, stage }).activated &&
  sheet.carrier === 'waterborne';

/** Warm, moving air now, so many minutes after the coat: when it is dry in it, and cool again. */
export function warmAirOn(
  context: PlanContext,
  { minutesSince, warmC }: { minutesSince: number; warmC?: number | undefined },
): HeatOn {
  const { wetFilmUm, reducer, next, limits } = planCoat(context).inputs.recoat;
  const { extractionCleared: _, ...input } = heatInput(context, { minutesSince, cleared: false });
  return ask(heatCalculation, {
    ...input,
    method: 'warmBooth',
    ...(wetFilmUm === undefined ? {} : { wetFilmUm }),
    ...(reducer ? { reducer } : {}),
    warm: {
      next,
      ...(warmC === undefined ? {} : { warmC }),
      ...(limits?.maxPanelC === undefined ? {} : { maxPanelC: limits.maxPanelC }),
    },
  });
}

/** The last reading of each panel since the heat came on. */
export function readsSince(
  { panels }: Pick<PlanContext['ticket'], 'panels'>,
  reads: readonly HeatRead[],
  coatId: string,
  onAt: string,
): PanelRead[] {
  const onMs = Date.parse(onAt);
  return panels.flatMap((panel) => {
    const last = reads.findLast(
      (read) => read.coatId === coatId && read.panelId === panel.id && Date.parse(read.at) >= onMs,
    );
    if (!last) return [];
    const minutes = (Date.parse(last.at) - onMs) / MINUTE_MS;
    return [
      {
        panel: panelSaid(panels, panel),
        seenC: last.seenC,
        seenMinute: Math.max(LEAST_MINUTES, minutes),
      },
    ];
  });
}
const MINUTE_MS = 60_000;
/** A panel read at once has hardly begun to warm. */
const LEAST_MINUTES = 0.5;
