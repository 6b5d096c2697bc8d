/**
 * Does the air give out? A single low reading says little; a pressure that falls from panel to
 * panel, or every Tuesday, does.
 *
 *   trend: least-squares slope of the lowest flowing pressure, panel by panel        [starvation-1]
 *
 * Source  ours; three psi is what a painter calls a swing
 */
export type Flowing = { lowestKPa: number; highestKPa: number };
export type Starvation = { swingKPa: number; slopeKPaPerPanel: number; isStarving: boolean };

/** Three psi. */
export const SWING_KPA = 20.7;
const LEAST_PANELS = 3;

/** @param panels lowest and highest flowing at the gun, in the order of spraying; at least one */
export function starvationOver(panels: readonly Flowing[]): Starvation {
  const lows = panels.map(({ lowestKPa }) => lowestKPa);
  const swingKPa = Math.max(...panels.map(({ highestKPa }) => highestKPa)) - Math.min(...lows);
  const slopeKPaPerPanel = slopeOf(lows);
  const fell = -slopeKPaPerPanel * (lows.length - 1);
  return {
    swingKPa,
    slopeKPaPerPanel,
    isStarving: swingKPa > SWING_KPA || (lows.length >= LEAST_PANELS && fell > SWING_KPA / 2),
  };
}

function slopeOf(values: readonly number[]): number {
  const middle = (values.length - 1) / 2;
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  const spread = values.reduce((sum, _, i) => sum + (i - middle) ** 2, 0);
  return spread === 0
    ? 0
    : values.reduce((sum, v, i) => sum + (i - middle) * (v - mean), 0) / spread;
}
