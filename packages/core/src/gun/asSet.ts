/** What a gun does as it is set, whoever set it: cap, paint, fan, step, hand, and what the wall must show. */
import { airlineOf, type AirlineAnswer, type Line } from '../compressedAir/airline.ts';
import { materialClassOf } from '../material/classes.ts';
import type { Spread } from '../outcome/spread.ts';
import { atWork, paintFor, type AtWork, type Coat } from './atWork.ts';
import type { Gun } from './gun.ts';
import { gunModelOf } from './gunModel.ts';
import { handSpeedMPerS } from './handSpeed.ts';

export type AsSetInput = Coat & { gun: Gun; nozzleMm: number; airline?: Line | undefined; panelLengthM?: number | undefined };
export type SetKnobs = {
  inletKPa: number;
  fluidTurnsOut: number;
  fanTurnsOut: number;
  distanceMm: number;
  overlapPercent: number;
  wetFilmUm: number;
};
export type AsSet = {
  fanWidthMm: number;
  stepMm: number;
  capKPa: number;
  fluidMlPerMin: number;
  gunSpeedMPerS: number;
  secondsPerPass?: number;
  airFlowLPerMin: number;
  regulatorFlowingKPa?: number;
  regulatorStaticKPa?: number;
  /** How sure the gun's own figures are, 80 %. */
  ranges: AtWork['ranges'] & { regulatorFlowingKPa?: Spread };
};

/** Wall pressure is as sure as the loss on the way: computed, or measured here. */
const LOSS_SHARE_UNSURE = { computed: 0.25, measured: 0.06 } as const;

/** The figures, and the line's own answer where a line is known. */
export function asSet(input: AsSetInput, knobs: SetKnobs): { figures: AsSet; line?: AirlineAnswer } {
  const { gun, nozzleMm, airline, panelLengthM } = input;
  const paint = paintFor(input);
  const work = atWork(gun, gunModelOf(gun, nozzleMm, paint), paint, knobs);
  const stepMm = work.fanWidthMm * (1 - knobs.overlapPercent / 100);
  const film = {
    gunClass: gun.class,
    materialClass: materialClassOf(input.stage, input.carrier, input),
    solids: paint.mixture.solids,
    fluidMlPerMin: work.fluidMlPerMin,
    stepMm,
  };
  const gunSpeedMPerS = handSpeedMPerS(film, knobs.wetFilmUm);
  const line = airline && airlineOf({ ...airline, wantedInletKPa: knobs.inletKPa, airFlowLPerMin: work.airFlowLPerMin });
  const { ranges, ...figures } = work;
  return {
    figures: {
      ...figures,
      stepMm,
      gunSpeedMPerS,
      // Where nothing flows no hand lays a film, and no pass takes any time that could be told.
      ...(panelLengthM === undefined || gunSpeedMPerS <= 0 ? {} : { secondsPerPass: panelLengthM / gunSpeedMPerS }),
      ...(line ? { regulatorFlowingKPa: line.regulatorFlowingKPa, regulatorStaticKPa: line.regulatorStaticKPa } : {}),
      ranges: { ...ranges, ...(line ? { regulatorFlowingKPa: wallRange(line, airline) } : {}) },
    },
    ...(line ? { line } : {}),
  };
}

function wallRange({ regulatorFlowingKPa: value, lossKPa }: AirlineAnswer, line: Line): Spread {
  const unsure = lossKPa * (line.measuredLossPercent === undefined ? LOSS_SHARE_UNSURE.computed : LOSS_SHARE_UNSURE.measured);
  return { value, low: value - unsure, high: value + unsure };
}
