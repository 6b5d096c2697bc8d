/**
 * How quickly air warms or cools a panel: what it carries off as vapour it carries over as heat,
 * and
 * the walls shine.
 *
 *   h = 1.2 · 1005 · k_water · 0.87^⅔ + 5.2   W/m²K                                   [transfer-4]
 *
 * Source  lewis relation as in incropera-2007 ch. 6; radiation of a booth's walls by rule
 */
import { transferCoefficientMPerS } from './massTransfer.ts';
import { IN_FILM } from './solvents.ts';

const RADIATION_W_PER_M2_K = 5.2;

/** W/m²K over a panel in air that moves so fast. [transfer-4] */
export const heatTransferWPerM2K = (airSpeedMPerS: number): number =>
  1.2 *
    1005 *
    transferCoefficientMPerS(IN_FILM.water.airDiffusivityM2PerS, airSpeedMPerS) *
    0.87 ** (2 / 3) +
  RADIATION_W_PER_M2_K;
