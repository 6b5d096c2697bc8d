/**
 * Judges candidate settings, and remembers what they share: air at a pressure, a spray, a ripple.
 */
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
  const sprays = new Map<string, Spray>();
  const ripples = new Map<string, Ripple>();
  const airs = new Map<string, CapFlow>();
  const airAt = ({ psi, fanShare }: Candidate): CapFlow => {
    const key = `${psi} ${fanShare}`;
    const { model, roomAir: air } = bounds;
    const hornShare = hornShareOf(model, fanShare * model.fullFanTurns);
    const known =
      airs.get(key) ?? capFlow(model.areas, psi * PSI_KPA, hornShare, kelvin(air.airTemperatureC));
    airs.set(key, known);
    return known;
  };
  const sprayAt = (candidate: Candidate): Spray => {
    const { psi, turns, fanShare, distanceMm } = candidate;
    const key = `${psi} ${turns} ${fanShare} ${distanceMm}`;
    const known =
      sprays.get(key) ??
      sprayOf({
        model: bounds.model,
        materialClass: bounds.materialClass,
        paint: bounds.paint,
        roomAir: bounds.roomAir,
        inletKPa: psi * PSI_KPA,
        fluidTurnsOut: turns,
        fanTurnsOut: fanShare * bounds.model.fullFanTurns,
        distanceMm,
        air: airAt(candidate),
      });
    sprays.set(key, known);
    return known;
  };
  const rippleAt = (spray: Spray, overlap: number, isFull: boolean): Ripple => {
    const { beta, split, fanWidthMm } = spray;
    const key = `${beta} ${split} ${fanWidthMm} ${overlap} ${isFull}`;
    const [fanWidthM, stepM] = [fanWidthMm / 1000, (fanWidthMm / 1000) * (1 - overlap)];
    const known =
      ripples.get(key) ??
      rippleOf(fanProfile(spray), { fanWidthM, stepM, ...(isFull ? {} : SEARCH_POINTS) });
    ripples.set(key, known);
    return known;
  };
  const judged = new Map<string, Costed>();
  return (candidate, isFull = false) => {
    const key = `${candidateKey(candidate)} ${isFull}`;
    const known = judged.get(key);
    if (known) return known;
    const spray = sprayAt(candidate);
    const ripple = rippleAt(spray, candidate.overlap, isFull);
    const costed = costOf(bounds, candidate, spray, ripple);
    judged.set(key, costed);
    return costed;
  };
}
