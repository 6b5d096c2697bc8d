/**
 * The best few ways to set a gun for a film: a coarse look over the whole room, then downhill from
 * the best starts (MODEL 17.2).
 */
import { clamp } from '../numerics/rounding.ts';
import type { Costed, Candidate, PlanBounds } from './planCost.ts';
import { judgeOf, candidateKey } from './planJudge.ts';
import { KNOB_STEP_TURNS } from './limits.ts';

export type PlanSearch = {
  distancesMm: readonly number[];
  overlaps: readonly number[];
  fanShares: readonly number[];
  isNeedleOpen: boolean;
};
const STARTS = 6;
const ROUNDS = 8;
const PLANS = 5;
const TURN_STARTS_OF_FOUR = [1.5, 2.25, 3];
const FAN_STEP = 0.05;
const DISTANCE_STEP_MM = 10;

/** The best five settings that differ enough to be worth showing, cheapest first. */
export function plansFor(bounds: PlanBounds, search: PlanSearch): Costed[] {
  const judge = judgeOf(bounds);
  const full = bounds.model.fullFluidTurns;
  const turns = search.isNeedleOpen ? [full] : TURN_STARTS_OF_FOUR.map((t) => (t * full) / 4);
  const starts: Costed[] = [];
  for (const fanShare of search.fanShares) {
    const [foot, top] = bounds.bandPsi(fanShare);
    for (const psi of new Set([foot, Math.round((foot + top) / 2), top]))
      for (const turn of turns)
        for (const distanceMm of search.distancesMm)
          for (const overlap of search.overlaps)
            starts.push(judge({ psi, turns: turn, fanShare, distanceMm, overlap }));
  }
  starts.sort(byCost);
  const seeds = apart(
    starts,
    STARTS,
    (a, b) =>
      Math.abs(a.psi - b.psi) >= 3 || Math.abs(a.turns - b.turns) >= 0.5 || a.overlap !== b.overlap,
  );
  const met = new Map<string, Costed>();
  for (const seed of seeds) walk(seed, judge, bounds, search, met);
  const found = [...met.values()].sort(byCost);
  return apart(found, PLANS, differ).map(({ candidate }) => judge(candidate, true));
}

const byCost = (a: Costed, b: Costed): number => a.cost - b.cost;

/** Two plans that a painter would call different. */
const differ = (a: Candidate, b: Candidate): boolean =>
  Math.abs(a.psi - b.psi) >= 2 ||
  Math.abs(a.turns - b.turns) >= 0.5 ||
  Math.abs(a.distanceMm - b.distanceMm) >= 25 ||
  Math.abs(a.fanShare - b.fanShare) >= 0.15 - 1e-9 ||
  a.overlap !== b.overlap;

function apart(
  sorted: readonly Costed[],
  most: number,
  isOther: (a: Candidate, b: Candidate) => boolean,
): Costed[] {
  const chosen: Costed[] = [];
  for (const costed of sorted) {
    if (chosen.length >= most) break;
    if (
      Number.isFinite(costed.cost) &&
      chosen.every(({ candidate }) => isOther(candidate, costed.candidate))
    )
      chosen.push(costed);
  }
  return chosen;
}

function walk(
  seed: Costed,
  judge: (candidate: Candidate) => Costed,
  bounds: PlanBounds,
  search: PlanSearch,
  met: Map<string, Costed>,
): void {
  let here = seed;
  met.set(candidateKey(here.candidate), here);
  for (let round = 0; round < ROUNDS; round++) {
    let best = here;
    for (const candidate of neighboursOf(here.candidate, bounds, search)) {
      const tried = judge(candidate);
      met.set(candidateKey(candidate), tried);
      if (tried.cost < best.cost - 1e-9) best = tried;
    }
    if (best === here) return;
    here = best;
  }
}

function neighboursOf(
  candidate: Candidate,
  bounds: PlanBounds,
  { isNeedleOpen, fanShares, distancesMm }: PlanSearch,
): Candidate[] {
  const full = bounds.model.fullFluidTurns;
  const round = (value: number) => Number(value.toFixed(4));
  const moves: Partial<Candidate>[] = [-1, 1].flatMap((sign) => [
    { psi: candidate.psi + sign },
    { fanShare: round(candidate.fanShare + sign * FAN_STEP) },
    { distanceMm: candidate.distanceMm + sign * DISTANCE_STEP_MM },
    ...(isNeedleOpen
      ? []
      : [
          { turns: candidate.turns + sign * KNOB_STEP_TURNS },
          { psi: candidate.psi + sign, turns: candidate.turns + sign * KNOB_STEP_TURNS },
          { psi: candidate.psi + sign, turns: candidate.turns - sign * KNOB_STEP_TURNS },
        ]),
  ]);
  return moves.flatMap((move) => {
    const next = { ...candidate, ...move };
    const [foot, top] = bounds.bandPsi(next.fanShare);
    const isInside =
      next.turns >= 2 * KNOB_STEP_TURNS &&
      next.turns <= full &&
      next.fanShare >= Math.min(...fanShares) - 1e-9 &&
      next.fanShare <= Math.max(...fanShares) + 1e-9 &&
      next.distanceMm >= Math.min(...distancesMm) &&
      next.distanceMm <= Math.max(...distancesMm);
    return isInside ? [{ ...next, psi: clamp(next.psi, foot, top) }] : [];
  });
}
