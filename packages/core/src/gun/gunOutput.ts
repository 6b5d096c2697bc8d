/**
 * What a gun does at given knobs: pressure at the cap, paint a minute, width of the fan, air drawn;
 * each with how sure it is. A test narrows its own figure near where it was made, and less the
 * further away (MODEL 15).
 */
import { litresPerMinute } from '../compressedAir/freeAir.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { capFlow, capKPaAt } from './airCap.ts';
import { eitherKind, isKindUnknown } from './hvlpKind.ts';
import type { Gun } from './gun.ts';
import { flowOf, hornShareOf, widthOf, type GunModel, type PaintAtTip } from './gunModel.ts';
import { combinedSd } from '../numerics/deviation.ts';

export type Knobs = {
  inletKPa: number;
  fluidTurnsOut: number;
  fanTurnsOut: number;
  distanceMm: number;
};
export type GunOutput = {
  capKPa: number;
  fluidMlPerMin: number;
  fanWidthMm: number;
  airFlowLPerMin: number;
  ranges: { capKPa: Spread; fluidMlPerMin: Spread; fanWidthMm: Spread };
};
/**
 * Logarithmic deviations: before any test, by the maker's rating, of the test itself; and per unit
 * of ln away from it.
 */
const SURE = {
  flow: { untested: 0.18, tested: 0.04, away: 0.3 },
  cap: { untested: 0.12, rated: 0.06, tested: 0.025, away: 0.15 },
  fan: { untested: 0.15, tested: 0.031, away: 0.35 },
} as const;

/** Of the size of drops on a gun nobody measured. */
export const DROPS_LOG_SD = 0.14;

/** What leaves the gun at these knobs: cap pressure, air, paint and fan, each with how sure. */
export function gunOutput(gun: Gun, model: GunModel, paint: PaintAtTip, knobs: Knobs): GunOutput {
  const hornShare = hornShareOf(model, knobs.fanTurnsOut);
  const air = capFlow(model.areas, knobs.inletKPa, hornShare);
  const flow = flowOf(model, paint, { fluidTurnsOut: knobs.fluidTurnsOut, capKPa: air.capKPa });
  const fanWidthMm = widthOf(model, {
    distanceMm: knobs.distanceMm,
    capKPa: air.capKPa,
    hornShare,
  });
  const capKPa = capSpreadOf(gun, model, knobs);
  return {
    capKPa: capKPa.value,
    fluidMlPerMin: flow * 6e7,
    fanWidthMm,
    airFlowLPerMin: litresPerMinute(air.airFlowM3PerS),
    ranges: {
      capKPa,
      fluidMlPerMin: logNormalSpread(flow * 6e7, flowLogSd(model, knobs)),
      fanWidthMm: logNormalSpread(fanWidthMm, fanLogSd(model, knobs)),
    },
  };
}

/** Pressure at the cap and how sure it is: the one figure of it that is told. */
export function capSpreadOf(
  gun: Gun,
  model: GunModel,
  knobs: Pick<Knobs, 'inletKPa' | 'fanTurnsOut'>,
): Spread {
  const hornShare = hornShareOf(model, knobs.fanTurnsOut);
  const capKPa = capKPaAt(model.areas, knobs.inletKPa, hornShare);
  return isKindUnknown(gun, model.nozzleMm)
    ? eitherKind(capKPa, knobs.inletKPa, hornShare, SURE.cap.tested)
    : logNormalSpread(capKPa, capLogSd(gun, model, knobs));
}

/**
 * What a reading leaves of a doubt: two measurements of one logarithm, the reading's own the wider
 * the further from where it was taken. s = s0 s_t/√(s0² + s_t²), s_t² + (a Δ)² away from it; never
 * wider than without.
 */
export const afterTest = (
  untested: number,
  { tested, away }: { tested: number; away: number },
  apartLn: number,
): number => combinedSd(untested, Math.hypot(tested, away * apartLn));

const apart = (a: number, b: number): number =>
  Math.abs(Math.log(Math.max(a, 0.05) / Math.max(b, 0.05)));

/** How far the flow is known, as a deviation of its logarithm; less near a catch test. */
export function flowLogSd(
  { tests }: GunModel,
  knobs: Pick<Knobs, 'inletKPa' | 'fluidTurnsOut'>,
): number {
  if (!tests.catch) return SURE.flow.untested;
  const away =
    apart(knobs.inletKPa, tests.catch.inletKPa) +
    apart(knobs.fluidTurnsOut, tests.catch.fluidTurnsOut);
  return afterTest(SURE.flow.untested, SURE.flow, away);
}

function capLogSd(
  gun: Gun,
  { tests }: GunModel,
  knobs: Pick<Knobs, 'inletKPa' | 'fanTurnsOut'>,
): number {
  const without = gun.capKPaAtRated === undefined ? SURE.cap.untested : SURE.cap.rated;
  if (!tests.cap) return without;
  const away =
    apart(knobs.inletKPa, tests.cap.inletKPa) +
    0.5 * apart(knobs.fanTurnsOut, tests.cap.fanTurnsOut);
  return afterTest(without, SURE.cap, away);
}

/** How far the fan's width is known, as a deviation of its logarithm; less near a paper test. */
export function fanLogSd(
  { tests }: GunModel,
  knobs: Pick<Knobs, 'distanceMm' | 'inletKPa' | 'fanTurnsOut'>,
): number {
  if (!tests.fan) return SURE.fan.untested;
  const away =
    apart(knobs.distanceMm, tests.fan.distanceMm) +
    apart(knobs.inletKPa, tests.fan.inletKPa) +
    apart(knobs.fanTurnsOut, tests.fan.fanTurnsOut);
  return afterTest(SURE.fan.untested, SURE.fan, away);
}
