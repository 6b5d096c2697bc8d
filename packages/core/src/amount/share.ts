/**
 * Which share of a panel's area a coat takes, and how much more its shape and edges want.
 *
 *   edge = shape · (1 + step ÷ height) · (1 + 0.10 m ÷ length)                            [need-3]
 *
 * The first and the last pass are aimed at the rim: one step beside it; 50 mm past each end.
 * Source  passes: geometry, as in gun/overlap.ts; shares, shapes and the 50 mm: rule of thumb
 */
import type { Scope } from '../layers/foundLayer.ts';
import type { Stage } from '../trade/vocabulary.ts';

export const PANEL_SHAPES = ['flat', 'curved', 'lattice'] as const;
export type PanelShape = (typeof PANEL_SHAPES)[number];
export type PaintedPanel = {
  name: string;
  areaM2: number;
  coats?: number | undefined;
  scope?: Scope | undefined;
  spotM2?: number | undefined;
  heightM?: number | undefined;
  lengthM?: number | undefined;
  shape?: PanelShape | undefined;
};

/** A blend's colour reaches k/(n+1) of it in coat k of n: half on the whole. */
const BLEND = 0.5;
/** A spot of unknown size, as a share of its panel. */
const USUAL_SPOT = 0.15;
/** Each coat over a spot steps out beyond the one below. */
const SPOT_GROWS = { primer: 1.5, sealer: 2, colour: 3 } as const;

/** Share of a panel's area that each coat of a stage takes; without a stage, as colour. */
export function shareOf(panel: PaintedPanel, stage: Stage | undefined): number {
  const { scope = 'full', spotM2, areaM2 } = panel;
  if (scope === 'full') return 1;
  if (scope === 'leave') return 0;
  if (scope === 'clearOnly') return stage === 'clear' ? 1 : 0;
  if (stage === 'clear') return 1;
  const isUndercoat = stage === 'primer' || stage === 'sealer';
  if (scope === 'blend') return isUndercoat ? 0 : BLEND;
  const spot = spotM2 === undefined ? USUAL_SPOT : spotM2 / areaM2;
  return Math.min(1, SPOT_GROWS[isUndercoat ? stage : 'colour'] * spot);
}

const SHAPE_FACTOR: Record<PanelShape, number> = { flat: 1, curved: 1.15, lattice: 1.6 };
/** Past both ends of a pass together. */
const OVERSHOOT_M = 0.1;
const USUAL_FAN_MM = 200;
const USUAL_OVERLAP_PERCENT = 66;

export type Passes = {
  stepMm?: number | undefined;
  fanWidthMm?: number | undefined;
  overlapPercent?: number | undefined;
};
/** What a shape and its edges take beside the area; 1 where no height is known. [need-3] */
export function edgeFactor(
  { areaM2, heightM, lengthM, shape = 'flat' }: PaintedPanel,
  { stepMm, fanWidthMm = USUAL_FAN_MM, overlapPercent = USUAL_OVERLAP_PERCENT }: Passes,
): number {
  if (heightM === undefined) return SHAPE_FACTOR[shape];
  const stepM = (stepMm ?? fanWidthMm * (1 - overlapPercent / 100)) / 1000;
  const alongM = lengthM ?? areaM2 / heightM;
  return SHAPE_FACTOR[shape] * (1 + stepM / heightM) * (1 + OVERSHOOT_M / alongM);
}
