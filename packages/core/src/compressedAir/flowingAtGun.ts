/**
 * What the gun gets, trigger pulled, from a regulator as it stands at rest; the tank behind it may
 * be too low to hold it.
 *
 * Source  MODEL 6, `inletFrom(static)`: bisection of the line on the inlet pressure
 */
import { bisect } from '../numerics/bisect.ts';
import { airlineOf, type Line } from './airline.ts';
import { REGULATOR_MARGIN_KPA } from './compressor.ts';

/**
 * @param restKPa the regulator with the trigger shut
 * @param airFlowAt free air that the gun draws at an inlet, L/min
 * @returns inlet, gauge kPa
 */
export const inletFromRest = (
  line: Line,
  restKPa: number,
  airFlowAt: (inletKPa: number) => number,
): number =>
  bisect(
    (inletKPa) =>
      airlineOf({ ...line, wantedInletKPa: inletKPa, airFlowLPerMin: airFlowAt(inletKPa) })
        .regulatorStaticKPa - restKPa,
    0,
    restKPa,
  );

/** A regulator gives what it is set to only while the tank holds its margin above that. */
export const restHeldByTank = (setRestKPa: number, tankKPa: number): number =>
  Math.max(0, Math.min(setRestKPa, tankKPa - REGULATOR_MARGIN_KPA));
