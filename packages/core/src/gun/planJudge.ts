/**
 * Judges candidate settings, and remembers what they share: air at a pressure, a spray, a ripple.
 */
import { remembered } from '../numerics/remembered.ts';
import { kelvin, PSI_KPA } from '../units/physical.ts';
import { capFlow, type CapFlow } from './airCap.ts';
import { fanProfile } from './fan.ts';
import { hornShareOf } from './gunModel.ts';
import { costOf, type Candidate, type Costed, type PlanBounds } from './planCost.ts';
import { rippleOf, type Ripple } from './ripple.ts';
import { sprayOf, type Spray } from './spray.ts';

/** Two candidates with the same key are the same setting. */
export const candidateKey = ({ psi, turns, fanShare, distanceMm, overlap }: Candidate): string =>
  `${psi} ${turns} ${fanShare} ${distanceMm} ${overlap}`;

/** Ripple is looked at more coarsely while searching. */
const SEARCH_POINTS = { points: 24, differences: 48 };

/** Judges settings, and remembers the sprays and ripples it has worked out. */
export function judgeOf(bounds: PlanBounds): (candidate: Candidate, isFull?: boolean) => Costed {
  const sprayAt = spraysOf(bounds);
  const rippleAt = remembered(
    ({ spray, overlap, isFull }: Passes): Ripple => {
      const [fanWidthM, stepM] = [
        spray.fanWidthMm / 1000,
        (spray.fanWidthMm / 1000) * (1 - overlap),
      ];
      return rippleOf(fanProfile(spray), { fanWidthM, stepM, ...(isFull ? {} : SEARCH_POINTS) });
    },
    ({ spray: { beta, split, fanWidthMm }, overlap, isFull }) =>
      `${beta} ${split} ${fanWidthMm} ${overlap} ${isFull}`,
  );
  const judged = remembered(
    ({ candidate, isFull }: { candidate: Candidate; isFull: boolean }): Costed => {
      const spray = sprayAt(candidate);
      const ripple = rippleAt({ spray, overlap: candidate.overlap, isFull });
      return costOf(bounds, candidate, spray, ripple);
    },
    ({ candidate, isFull }) => `${candidateKey(candidate)} ${isFull}`,
  );
  return (candidate, isFull = false) => judged({ candidate, isFull });
}

type Passes = { spray: Spray; overlap: number; isFull: boolean };

function spraysOf({ model, materialClass, paint, roomAir }: PlanBounds) {
  const airAt = remembered(
    ({ psi, fanShare }: Candidate): CapFlow =>
      capFlow(
        model.areas,
        psi * PSI_KPA,
        hornShareOf(model, fanShare * model.fullFanTurns),
        kelvin(roomAir.airTemperatureC),
      ),
    ({ psi, fanShare }) => `${psi} ${fanShare}`,
  );
  return remembered(
    (candidate: Candidate): Spray =>
      sprayOf({
        model,
        materialClass,
        paint,
        roomAir,
        inletKPa: candidate.psi * PSI_KPA,
        fluidTurnsOut: candidate.turns,
        fanTurnsOut: candidate.fanShare * model.fullFanTurns,
        distanceMm: candidate.distanceMm,
        air: airAt(candidate),
      }),
    ({ psi, turns, fanShare, distanceMm }) => `${psi} ${turns} ${fanShare} ${distanceMm}`,
  );
}
