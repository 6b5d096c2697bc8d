/**
 * What a gun does at given knobs: pressure at the cap, paint a minute, width of the fan, air drawn; each with how sure it is.
 * A test narrows its own figure near where it was made, and less the further away (MODEL 15).
 */
import { litresPerMinute } from '../compressedAir/freeAir.ts';
import { logNormalSpread, type Spread } from '../outcome/spread.ts';
import { capFlow } from './airCap.ts';
import type { Gun } from './gun.ts';
import { flowOf, hornShareOf, widthOf, type GunModel, type PaintAtTip } from './gunModel.ts';

export type Knobs = { inletKPa: number; fluidTurnsOut: number; fanTurnsOut: number; distanceMm: number };
export type AtWork = {
  capKPa: number;
  fluidMlPerMin: number;
  fanWidthMm: number;
  airFlowLPerMin: number;
  ranges: { capKPa: Spread; fluidMlPerMin: Spread; fanWidthMm: Spread };
};
/** Logarithmic deviations: before any test, by the maker's rating, after the test; and per unit of ln away from it. */
const SURE = {
  flow: { untested: 0.18, tested: 0.04, away: 0.3 },
  cap: { untested: 0.12, rated: 0.06, tested: 0.025, away: 0.15 },
  fan: { untested: 0.15, tested: 0.035, away: 0.35 },
} as const;

/** Of the size of drops on a gun nobody measured. */
export const DROPS_LOG_SD = 0.14;

export function atWork(gun: Gun, model: GunModel, paint: PaintAtTip, knobs: Knobs): AtWork {
  const hornShare = hornShareOf(model, knobs.fanTurnsOut);
  const air = capFlow(model.areas, knobs.inletKPa, hornShare);
  const flow = flowOf(model, paint, { fluidTurnsOut: knobs.fluidTurnsOut, capKPa: air.capKPa });
  const fanWidthMm = widthOf(model, { distanceMm: knobs.distanceMm, capKPa: air.capKPa, hornShare });
  return {
    capKPa: air.capKPa,
    fluidMlPerMin: flow * 6e7,
    fanWidthMm,
    airFlowLPerMin: litresPerMinute(air.airFlowM3PerS),
    ranges: {
      capKPa: logNormalSpread(air.capKPa, capLogSd(gun, model, knobs)),
      fluidMlPerMin: logNormalSpread(flow * 6e7, flowLogSd(model, knobs)),
      fanWidthMm: logNormalSpread(fanWidthMm, fanLogSd(model, knobs)),
    },
  };
}

const apart = (a: number, b: number): number => Math.abs(Math.log(Math.max(a, 0.05) / Math.max(b, 0.05)));

export function flowLogSd({ tests }: GunModel, knobs: Pick<Knobs, 'inletKPa' | 'fluidTurnsOut'>): number {
  if (!tests.catch) return SURE.flow.untested;
  const away = apart(knobs.inletKPa, tests.catch.inletKPa) + apart(knobs.fluidTurnsOut, tests.catch.fluidTurnsOut);
  return Math.min(SURE.flow.untested, SURE.flow.tested + SURE.flow.away * away);
}

function capLogSd(gun: Gun, { tests }: GunModel, knobs: Knobs): number {
  const without = gun.capKPaAtRated === undefined ? SURE.cap.untested : SURE.cap.rated;
  if (!tests.cap) return without;
  const away = apart(knobs.inletKPa, tests.cap.inletKPa) + 0.5 * apart(knobs.fanTurnsOut, tests.cap.fanTurnsOut);
  return Math.min(without, SURE.cap.tested + SURE.cap.away * away);
}

function fanLogSd({ tests }: GunModel, knobs: Knobs): number {
  if (!tests.fan) return SURE.fan.untested;
  const away =
    apart(knobs.distanceMm, tests.fan.distanceMm) +
    apart(knobs.inletKPa, tests.fan.inletKPa) +
    apart(knobs.fanTurnsOut, tests.fan.fanTurnsOut);
  return Math.min(SURE.fan.untested, SURE.fan.tested + SURE.fan.away * away);
}
