/**
 * From the gun to the panel: what lands, and what of its solvent is gone by then.
 *
 *   U_p = √(J/(1.2 · ½ W H)), t_f = z/(2 U_p)                                           [landing-1]
 *   Stk = ρ d² U_p/(9 μ H), e = 1/(1 + (1.2/Stk)²);  TE = min(0.98,
 *     mean e · C/(1 + (P_jet/560)^2.2))
 *                                                                                       [landing-2]
 *   N = k π · 6 D Sh c_s t_f/(d² ρ m_vol), f0 = 1 − e^−N, f = f0/(1 + f0 m_v/(c_s U_p ½ W H))
 *                                                                                       [landing-3]
 *   Sh = 2 + 0.6 √(0.6 U_p d/μ) (μ/(1.2 D))^⅓;  loss = Σ share · Σ(e f)/Σ e             [landing-4]
 *   landed = Q TE [φ + (1−φ)(1−loss)];  film = landed/(v P)                             [landing-5]
 *
 * π is the pace of the grade in the mix: not the water's.
 *
 * Source  impaction of jets with C and 560 W fitted; ranz-marshall-1952 for the drops' drying, k
 *         = 3 fitted (MODEL 11)
 * Holds   large flat panels; true loss may lie between a tenth and four tenths
 */
import {
  saturationPressurePa,
  vapourPressurePa,
  wetBulbC,
  type HumidAir,
} from '../air/humidAir.ts';
import { airViscosityPaS, FREE_AIR_KG_PER_M3 } from '../compressedAir/freeAir.ts';
import { kelvin } from '../units/physical.ts';
import {
  eachVolatile,
  SOLVENTS,
  solventPressurePa,
  VOLATILES,
  type Volatile,
  WATER_AIR_DIFFUSIVITY_M2_PER_S,
  WATER_MOLAR_KG_PER_MOL,
} from '../evaporation/solvents.ts';
import type { Mixture } from '../material/mixture.ts';
import type { CapFlow } from './airCap.ts';
import { dropSizesM } from './drops.ts';
import { GAS_CONSTANT_J_PER_MOL_K } from '../units/physical.ts';

const PANEL_AIR_KG_PER_M3 = 1.2;
const FLIGHT_FACTOR = 3;
const DROP_COOLING = 0.8;
const MOST_LANDS = 0.98;
const JET_W = 560;

export type LandingInput = {
  air: CapFlow;
  fluidM3PerS: number;
  mixture: Mixture;
  sauterM: number;
  distanceM: number;
  fanWidthM: number;
  fanHeightM: number;
  landingFactor: number;
  roomAir: HumidAir;
  /** Of what is not known about evaporation; 1 as the card has it. */
  evaporation?: number | undefined;
  /** Of the grade in the mix, over a medium one's. */
  gradePace: number;
};
export type Landing = {
  arrivalMPerS: number;
  transferFraction: number;
  /** Share of the sprayed volatile that is gone on landing, all and each. */
  loss: number;
  lossOf: Record<Volatile, number>;
  landedM3PerS: number;
};

/**
 * What of the spray arrives, m³/s, and the solvent it lost in flight. [landing-1, landing-2,
 * landing-3, landing-4, landing-5]
 */
export function landingOf(input: LandingInput): Landing {
  const { air, fluidM3PerS, mixture, distanceM } = input;
  const temperatureK = kelvin(input.roomAir.airTemperatureC);
  const mu = airViscosityPaS(temperatureK);
  const fanM2 = 0.5 * input.fanWidthM * input.fanHeightM;
  const arrivalMPerS = Math.sqrt(air.thrustN / (PANEL_AIR_KG_PER_M3 * fanM2));
  const flightSeconds = distanceM / (2 * arrivalMPerS);
  const drops = dropSizesM(input.sauterM).map((d) => {
    const stokes = (mixture.densityKgPerM3 * d ** 2 * arrivalMPerS) / (9 * mu * input.fanHeightM);
    return { d, hits: 1 / (1 + (1.2 / stokes) ** 2) };
  });
  const hits = drops.reduce((sum, drop) => sum + drop.hits, 0);
  const jetW = (air.airFlowM3PerS * FREE_AIR_KG_PER_M3 * air.jetMPerS ** 2) / 2;
  const transferFraction = Math.min(
    MOST_LANDS,
    ((hits / drops.length) * input.landingFactor) / (1 + (jetW / JET_W) ** 2.2),
  );
  const lossOf = eachVolatile(
    lossInFlight(input, { drops, hits, mu, temperatureK, arrivalMPerS, flightSeconds, fanM2 }),
  );
  const loss = VOLATILES.reduce((sum, name) => sum + mixture.volatile[name] * lossOf[name], 0);
  return {
    arrivalMPerS,
    transferFraction,
    loss,
    lossOf,
    landedM3PerS:
      fluidM3PerS * transferFraction * (mixture.solids + (1 - mixture.solids) * (1 - loss)),
  };
}

type Flight = {
  drops: readonly { d: number; hits: number }[];
  /** Of all drops together. */
  hits: number;
  /** Viscosity of air, Pa s. */
  mu: number;
  temperatureK: number;
  arrivalMPerS: number;
  flightSeconds: number;
  fanM2: number;
};

/**
 * Share of a volatile that the drops which hit have lost on the way: each drop by itself
 * (ranz-marshall-1952), and together no more than the fan's air takes up.
 */
const lossInFlight =
  (
    { fluidM3PerS, mixture, roomAir, evaporation = 1, gradePace }: LandingInput,
    { drops, hits, mu, temperatureK, arrivalMPerS, flightSeconds, fanM2 }: Flight,
  ) =>
  (volatile: Volatile): number => {
    if (mixture.volatile[volatile] <= 0) return 0;
    const { drivePa, molarKgPerMol, diffusivity: at20C } = volatileIn(volatile, roomAir);
    if (drivePa <= 0) return 0;
    const volatileKgPerM3 = mixture.densityKgPerM3 * mixture.volatileMassFraction;
    const diffusivity = at20C * (temperatureK / 293.15) ** 1.81;
    const quicker = FLIGHT_FACTOR * evaporation * (volatile === 'water' ? 1 : gradePace);
    const saturation = (drivePa * molarKgPerMol) / (GAS_CONSTANT_J_PER_MOL_K * temperatureK);
    const airTakes = saturation * arrivalMPerS * fanM2;
    const gone = drops.map(({ d, hits: e }) => {
      const sherwood =
        2 +
        0.6 *
          Math.sqrt((0.6 * arrivalMPerS * d) / mu) *
          (mu / (PANEL_AIR_KG_PER_M3 * diffusivity)) ** (1 / 3);
      const transfer = quicker * 6 * diffusivity * sherwood * saturation * flightSeconds;
      const alone = 1 - Math.exp(-transfer / (d ** 2 * volatileKgPerM3));
      return (e * alone) / (1 + (alone * fluidM3PerS * volatileKgPerM3) / airTakes);
    });
    return gone.reduce((sum, share) => sum + share, 0) / hits;
  };

/** What drives a volatile off a drop in this air, and how it spreads. */
function volatileIn(
  volatile: Volatile,
  roomAir: HumidAir,
): { drivePa: number; molarKgPerMol: number; diffusivity: number } {
  if (volatile === 'water')
    return {
      drivePa: saturationPressurePa(wetBulbC(roomAir)) - vapourPressurePa(roomAir),
      molarKgPerMol: WATER_MOLAR_KG_PER_MOL,
      diffusivity: WATER_AIR_DIFFUSIVITY_M2_PER_S,
    };
  const solvent = SOLVENTS[volatile];
  return {
    drivePa: DROP_COOLING * solventPressurePa(solvent, roomAir.airTemperatureC),
    molarKgPerMol: solvent.molarKgPerMol,
    diffusivity: solvent.airDiffusivityM2PerS,
  };
}
