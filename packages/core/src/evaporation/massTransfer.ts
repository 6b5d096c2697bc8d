/**
 * How quickly moving air carries vapour off a panel.
 *
 *   k_f = 1.6 · 0.664 Re^½ Sc^⅓ D/L    laminar plate with a gain for room turbulence   [transfer-1]
 *   k_n = 1.6e-3 (D/8.5e-6)^⅔          natural convection, which carries on in still air
 *                                                                                      [transfer-2]
 *   k   = (k_f³ + k_n³)^⅓                                                              [transfer-3]
 *
 * Source  pohlhausen-1921 plate solution as in incropera-2007 ch. 7; gain and k_n fitted
 *         (docs/MODEL.md)
 */
const PLATE_LENGTH_M = 0.3;
const AIR_VISCOSITY_M2_PER_S = 1.52e-5;

/** Mass transfer coefficient, m/s, of a vapour with this diffusivity in air at 20 °C. */
export function transferCoefficientMPerS(diffusivityM2PerS: number, airSpeedMPerS: number): number {
  const reynolds = (airSpeedMPerS * PLATE_LENGTH_M) / AIR_VISCOSITY_M2_PER_S;
  const schmidt = AIR_VISCOSITY_M2_PER_S / diffusivityM2PerS;
  const forced =
    (1.6 * 0.664 * Math.sqrt(reynolds) * Math.cbrt(schmidt) * diffusivityM2PerS) / PLATE_LENGTH_M;
  const natural = 1.6e-3 * (diffusivityM2PerS / 8.5e-6) ** (2 / 3);
  return Math.cbrt(forced ** 3 + natural ** 3);
}
