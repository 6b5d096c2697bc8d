/**
 * What a gun does as it is set, whoever set it: cap, paint, fan, step, hand, and what the wall must
 * show.
 */
import { airlineOf, type AirlineAnswer, type Line } from '../compressedAir/airline.ts';
import { clamp } from '../numerics/rounding.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { gunOutput, DROPS_LOG_SD, type GunOutput } from './gunOutput.ts';
import type { Gun } from './gun.ts';
import { ARM_M_PER_S } from './technique.ts';
import { stepMmOf } from './overlap.ts';
import { paintInCup, roomOf, type PaintOfCoat } from './paintInCup.ts';
import { sprayOf, type Spray } from './spray.ts';
import { testedModelOf } from './testedModel.ts';

export type OperatingPointInput = PaintOfCoat & {
  gun: Gun;
  nozzleMm: number;
  airline?: Line | undefined;
  panelLengthM?: number | undefined;
};
export type SetKnobs = {
  inletKPa: number;
  fluidTurnsOut: number;
  fanTurnsOut: number;
  distanceMm: number;
  overlapPercent: number;
  wetFilmUm: number;
};
export type OperatingPoint = {
  fanWidthMm: number;
  stepMm: number;
  capKPa: number;
  fluidMlPerMin: number;
  gunSpeedMPerS: number;
  secondsPerPass?: number;
  airFlowLPerMin: number;
  /** Sauter mean of the drops, and what lands on a large flat panel; absent where nothing flows. */
  dropletUm?: Spread;
  transferEfficiencyPercent?: Spread;
  regulatorFlowingKPa?: number;
  regulatorStaticKPa?: number;
  /** How sure the gun's own figures are, 80 %. */
  ranges: GunOutput['ranges'] & { regulatorFlowingKPa?: Spread };
};

const TRANSFER_POINTS = 10;
/** Wall pressure is as sure as the loss on the way: computed, or measured here. */
const LOSS_SHARE_UNSURE = { computed: 0.25, measured: 0.06 } as const;

/** The figures, and the line's own answer where a line is known. */
export function operatingPoint(
  input: OperatingPointInput,
  knobs: SetKnobs,
): { figures: OperatingPoint; line?: AirlineAnswer } {
  const { gun, nozzleMm, airline, panelLengthM } = input;
  const [paint, roomAir] = [paintInCup(input), roomOf(input)];
  const model = testedModelOf({ gun, paint, roomAir }, nozzleMm);
  const work = gunOutput(gun, model, paint, knobs);
  const stepMm = stepMmOf(knobs, work.fanWidthMm);
  const spray = sprayOf({ ...knobs, model, materialClass: paint.materialClass, paint, roomAir });
  // The film falls as the hand speeds up: turned round, the hand that lays the wanted film.
  const speedMPerS = spray.landing.landedM3PerS / ((knobs.wetFilmUm / 1e6) * (stepMm / 1000));
  const gunSpeedMPerS =
    speedMPerS > 0 ? clamp(speedMPerS, ARM_M_PER_S.slowest, ARM_M_PER_S.quickest) : 0;
  const line =
    airline &&
    airlineOf({ ...airline, wantedInletKPa: knobs.inletKPa, airFlowLPerMin: work.airFlowLPerMin });
  const { ranges, ...figures } = work;
  return {
    figures: {
      ...figures,
      stepMm,
      gunSpeedMPerS,
      ...predictedOf(spray),
      // Where nothing flows no hand lays a film, and no pass takes any time that could be told.
      ...(panelLengthM === undefined || gunSpeedMPerS <= 0
        ? {}
        : { secondsPerPass: panelLengthM / gunSpeedMPerS }),
      ...(line
        ? {
            regulatorFlowingKPa: line.regulatorFlowingKPa,
            regulatorStaticKPa: line.regulatorStaticKPa,
          }
        : {}),
      ranges: { ...ranges, ...(line ? { regulatorFlowingKPa: wallRange(line, airline) } : {}) },
    },
    ...(line ? { line } : {}),
  };
}

/**
 * On a gun that nobody measured: drops within a third, transfer within ten points (MODEL, read
 * first).
 */
function predictedOf({
  sauterUm,
  landing,
}: Spray): Pick<OperatingPoint, 'dropletUm' | 'transferEfficiencyPercent'> {
  if (sauterUm <= 0) return {};
  const percent = landing.transferFraction * 100;
  return {
    dropletUm: logNormalSpread(sauterUm, DROPS_LOG_SD),
    transferEfficiencyPercent: {
      value: percent,
      low: Math.max(0, percent - TRANSFER_POINTS),
      high: Math.min(98, percent + TRANSFER_POINTS),
    },
  };
}

function wallRange({ regulatorFlowingKPa: value, lossKPa }: AirlineAnswer, line: Line): Spread {
  const unsure =
    lossKPa *
    (line.measuredLossPercent === undefined
      ? LOSS_SHARE_UNSURE.computed
      : LOSS_SHARE_UNSURE.measured);
  return { value, low: value - unsure, high: value + unsure };
}
