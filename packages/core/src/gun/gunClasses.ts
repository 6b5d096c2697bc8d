/**
 * What a kind of gun is like where nobody measured it: one design point for the air, suction for the paint, shape of the fan.
 * Fitted to practice (MODEL 7); mini and airbrush are guesses. The gun's own rating and tests replace it.
 */
import type { GunClass } from './gun.ts';

export type GunClassData = {
  inletKPa: number;
  capKPa: number;
  airFlowLPerMin: number;
  /** Share of the open outlet that is the ring around the tip. */
  ringShare: number;
  suctionPa: number;
  /** Height of paint over the tip; negative where it is lifted from below. */
  headM: number;
  /** Half angle of the open fan as its tangent. */
  fanTangent: number;
  fanAtCapM: { open: number; round: number };
  /** Drop size over the correlation's. */
  dropFactor: number;
  /** What lands over the law of impact: small air and small fans lose more than it says. */
  landingFactor: number;
  /** Paint at which the open fan is even at the design point, kg/s. */
  evenKgPerS: number;
  /** Without a fan knob the fan is always as it is. */
  hasFanKnob: boolean;
  /** Share of the paint that lands on a large flat panel: practice, until the landing is computed (MODEL 16.1). */
  transferFraction: number;
  isGuess: boolean;
};

const PSI_KPA = 6.894757;
const CFM_L_PER_MIN = 28.316847;

const design = (
  [inletPsi, capPsi, cfm]: [number, number, number],
  ringShare: number,
  suctionPa: number,
  fanTangent: number,
  transferFraction: number,
  evenKgPerS: number,
  rest: Partial<GunClassData> = {},
): GunClassData => ({
  inletKPa: inletPsi * PSI_KPA,
  capKPa: capPsi * PSI_KPA,
  airFlowLPerMin: cfm * CFM_L_PER_MIN,
  ringShare,
  suctionPa,
  headM: 0.09,
  fanTangent,
  fanAtCapM: { open: 0.025, round: 0.012 },
  hasFanKnob: true,
  transferFraction,
  evenKgPerS,
  dropFactor: 1.1,
  landingFactor: 1,
  isGuess: false,
  ...rest,
});

export const GUN_CLASSES: Record<GunClass, GunClassData> = {
  hvlp: design([20, 9.5, 12], 0.55, 7500, 0.64, 0.68, 2.3e-3),
  reducedPressure: design([29, 18, 9.5], 0.58, 7500, 0.66, 0.65, 2.3e-3),
  lvlp: design([25, 13, 3.8], 0.7, 4000, 0.5, 0.7, 1.5e-3, { dropFactor: 0.8, landingFactor: 0.85 }),
  conventional: design([50, 38, 12], 0.55, 11_000, 0.68, 0.35, 3.2e-3),
  siphon: design([45, 33, 10.5], 0.58, 9000, 0.62, 0.4, 3.6e-3, { headM: -0.13 }),
  mini: design([20, 9.5, 4.5], 0.6, 5500, 0.48, 0.65, 1.2e-3, { isGuess: true, dropFactor: 0.9, landingFactor: 0.9 }),
  airbrush: design([30, 25, 0.55], 0.85, 6000, 0.13, 0.6, 6e-5, {
    fanAtCapM: { open: 0.006, round: 0.004 },
    hasFanKnob: false,
    isGuess: true,
    dropFactor: 0.8,
    landingFactor: 0.8,
  }),
};
