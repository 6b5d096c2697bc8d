/**
 * The panels of a stage as the plan sees them: which one stands for it, how it lies, how long a
 * round of the gun takes.
 */
import { shareOf } from '@orthochrom/core/amount/share.ts';
import { coatSeconds } from '@orthochrom/core/route/coatTime.ts';
import { panelLapSeconds } from '@orthochrom/core/coat/lap.ts';
import type { PlanContext } from './planContext.ts';

/** The panel that stands for the stage: its first. */
export const panelOf = ({ ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>) =>
  ticket.panels.find(({ id }) => stage.panelIds.includes(id));
const SLOPE_DEG = { upright: 90, slope: 60, flat: 0 } as const;
export const slopeDegOf = (context: Pick<PlanContext, 'ticket' | 'stage'>): number =>
  SLOPE_DEG[panelOf(context)?.orientation ?? 'upright'];

/**
 * The longest of the panels that this stage covers: where nobody measured, about half as long again
 * as a square of it.
 */
export function panelLengthM({ ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>): number {
  const areas = ticket.panels
    .filter(({ id }) => stage.panelIds.includes(id))
    .map(({ areaM2 }) => areaM2);
  return lengthOf(Math.max(...areas, 0.01));
}
const LENGTH_TO_HEIGHT = 1.5;
/** No panel says how long it is: its area, taken as half as long again as high. */
const lengthOf = (areaM2: number): number => Math.max(0.05, Math.sqrt(areaM2 * LENGTH_TO_HEIGHT));

/**
 * Until the gun is back beside what it laid, on the panel of this stage where that takes longest.
 */
export function lapSecondsOf(
  { ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>,
  { gunSpeedMPerS, stepMm }: { gunSpeedMPerS: number; stepMm: number },
): number | undefined {
  if (gunSpeedMPerS <= 0 || stepMm <= 0) return undefined;
  const laps = ticket.panels
    .filter(({ id }) => stage.panelIds.includes(id))
    .map(({ areaM2, orientation }) => {
      const lengthM = lengthOf(areaM2);
      return panelLapSeconds(
        { lengthM, heightM: areaM2 / lengthM, slopeDeg: SLOPE_DEG[orientation] },
        { gunSpeedMPerS, stepMm },
      );
    });
  return laps.length > 0 ? Math.max(...laps) : undefined;
}

/** As most hands go, where no set-up is at hand yet. */
const USUAL_HAND = { gunSpeedMPerS: 0.5, stepMm: 60 } as const;

/** About how long one coat of this stage takes to spray, by the hand of its set-up. */
export function sprayMinutes(
  { ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>,
  { gunSpeedMPerS, stepMm }: { gunSpeedMPerS: number; stepMm: number } = USUAL_HAND,
): number {
  const hand = gunSpeedMPerS > 0 && stepMm > 0 ? { gunSpeedMPerS, stepMm } : USUAL_HAND;
  const panels = ticket.panels
    .filter(({ id }) => stage.panelIds.includes(id))
    .map((panel) => ({
      areaM2: panel.areaM2 * shareOf(panel, stage.kind),
      heightM: panel.areaM2 / lengthOf(panel.areaM2),
    }))
    .filter(({ areaM2 }) => areaM2 > 0);
  return coatSeconds(panels, hand) / 60;
}
