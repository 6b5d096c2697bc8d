/**
 * What becomes of the ripple that drops leave, and of what shows from below: three wavelengths,
 * each flattened by surface tension.
 *
 *   a_0 = 2.05 √(π d³ h/6)/L · [1 + 0.6 max(0, log10(η/0.3))]                             [level-1]
 *   da/dt = −γ (2π/L)⁴ M a,  M = ∫ (h−z)²/η dz                                            [level-2]
 *   s = hypot(√Σ (2π a/L)², 9.0e−3 V_c),
 *     V_c the share of the last coat in drops too big to flow out
 *                                                                                         [level-3]
 *   peel index = max(0, 10 − 5 log10(1 + s/1.6e−4) − 1.8 max(0, ln(E/1.6)))               [level-4]
 *
 * Source  orchard-1962 (from memory, check against the paper); start and scale fitted (MODEL 12)
 * Ignores yield stress, surface-tension gradients, and the shrinking of the ripple with its film:
 *         the card's own figures
 *         were fitted without it (docs/MODEL.md)
 */
import { clamp } from '../numerics/rounding.ts';

export const WAVELENGTHS_M = [1e-3, 2.5e-3, 5e-3] as const;
const DROP_ROUGHNESS = 2.05;
const THICK_PA_S = 0.3;

/** Amplitude left by landing drops, m. [level-1] */
export const landingAmplitudeM = (
  wavelengthM: number,
  { dropM, wetFilmM, viscosityPaS }: { dropM: number; wetFilmM: number; viscosityPaS: number },
): number =>
  ((DROP_ROUGHNESS * Math.sqrt((Math.PI * dropM ** 3 * wetFilmM) / 6)) / wavelengthM) *
  (1 + 0.6 * Math.max(0, Math.log10(viscosityPaS / THICK_PA_S)));

/** What shows from below, and what the newest drops left, by wavelength, m. */
export type Ripples = { old: number[]; fresh: number[] };
/** The ground's ripple at the three wavelengths, m, before anything is laid. */
export const flatGround = (groundM: readonly number[] = [0, 0, 0]): Ripples => ({
  old: [...groundM],
  fresh: [0, 0, 0],
});

/** A new coat lies over what was there: all of that is ground now. */
export function landOn({ old, fresh }: Ripples, freshM: readonly number[]): void {
  freshM.forEach((amplitude, i) => {
    old[i] = Math.hypot(old[i]!, fresh[i]!);
    fresh[i] = amplitude;
  });
}

/** One step. @param mobility ∫ (h−z)²/η dz [level-2] */
export function level(
  { old, fresh }: Ripples,
  tensionNPerM: number,
  mobility: number,
  seconds: number,
): void {
  for (let i = 0; i < 3; i++) {
    const wave = (2 * Math.PI) / WAVELENGTHS_M[i]!;
    const kept = Math.exp(-tensionNPerM * wave * wave * wave * wave * mobility * seconds);
    old[i] = old[i]! * kept;
    fresh[i] = fresh[i]! * kept;
  }
}

/** Ripple of ground and fresh coat together, by wavelength, m. */
export const amplitudesM = ({ old, fresh }: Ripples): number[] =>
  old.map((a, i) => Math.hypot(a, fresh[i]!));

const SPOT_STEEPNESS = 9e-3;
/**
 * Steepness of what is left, as an eye takes it in: ripple, and the spots of what was too big to
 * flow out. [level-3]
 */
export const steepnessOf = (amplitudes: readonly number[], spots = 0): number =>
  Math.hypot(
    SPOT_STEEPNESS * spots,
    ...amplitudes.map((a, i) => (2 * Math.PI * a) / WAVELENGTHS_M[i]!),
  );

/** A film that closes quicker than this shuts its waves in. */
const CLOSES_EARLY = 1.6;

/**
 * 10 is a mirror. @param evaporation E of a solvent paint over this panel; absent: waterborne, or
 * not asked [level-4]
 */
export const peelIndex = (steepness: number, evaporation = 1): number =>
  clamp(
    10 -
      5 * Math.log10(1 + steepness / 1.6e-4) -
      1.8 * Math.max(0, Math.log(evaporation / CLOSES_EARLY)),
    0,
    10,
  );
