/**
 * Constants of nature and of agreement: each stands here and nowhere else.
 * Source  bipm-2019; nist-sp811-2008; iso-2533 for the standard
 *         atmosphere
 */
/** From Celsius to kelvin. */
export const CELSIUS_OFFSET = 273.15;
/** The model's properties are given at 20 °C. */
export const REFERENCE_C = 20;
export const GAS_CONSTANT_J_PER_MOL_K = 8.314462618;
export const GRAVITY_M_PER_S2 = 9.80665;
export const STANDARD_ATMOSPHERE_PA = 101_325;
export const PSI_KPA = 6.894757293168361;
export const CFM_L_PER_MIN = 28.316846592;
export const INCH_MM = 25.4;

/** K, of °C. */
export const kelvin = (temperatureC: number): number => temperatureC + CELSIUS_OFFSET;
export const REFERENCE_K = kelvin(REFERENCE_C);
/** Radians, of degrees. */
export const radians = (angleDeg: number): number => (angleDeg * Math.PI) / 180;
