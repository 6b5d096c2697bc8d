/**
 * What a painter uses against what was planned, learned from jobs: x = ln(used ÷ planned).
 *
 *   prior N(0, 0.115²);  v_i = σ² + (20 ml ÷ planned_i)²                              [factor-1]
 *   1/s² = 1/0.115² + Σ 1/v_i,  m = s² Σ x_i/v_i;  band: m ± z √(s² + σ²)
 *   σ² = (10·0.07² + Σ max(0, (x_i − x̄)² − (20/planned_i)²)) ÷ (10 + n − 1)           [factor-2]
 *
 * Source  normal with known variance: gelman-2013; the priors are the contract's 0.85 to 1.2
 */
import { Z_80, type Spread } from '../outcome/spread.ts';

export type UsedJob = {
  plannedMl: number;
  /** Poured less what was left in the cup. */
  usedMl: number;
  /** It counts however far it lies from the others; false: it was set aside. */
  counts?: boolean | undefined;
};
export type PainterFactor = Spread & { n: number };
/** A job that lies too far from the others to be learned from, by its place in the list. */
export type OddJob = { at: number; times: number };

/** Of somebody of whom nothing is known. */
export const UNKNOWN_HAND: PainterFactor = { value: 1, low: 0.85, high: 1.2, n: 0 };
const BETWEEN_PAINTERS = 0.115;
const BETWEEN_JOBS = 0.07;
const JOBS_ASSUMED = 10;
const READING_ML = 20;
const ODD_BEYOND = 3;

type Learned = { mean: number; spread: number };
const logOf = ({ plannedMl, usedMl }: UsedJob): number => Math.log(usedMl / plannedMl);
const readingVariance = ({ plannedMl }: UsedJob): number => (READING_ML / plannedMl) ** 2;

/** [factor-1] [factor-2] */
function learnedFrom(jobs: readonly UsedJob[]): Learned {
  const n = jobs.length;
  const average = n === 0 ? 0 : jobs.reduce((sum, job) => sum + logOf(job), 0) / n;
  const scatter = jobs.reduce(
    (sum, job) => sum + Math.max(0, (logOf(job) - average) ** 2 - readingVariance(job)),
    0,
  );
  const jobVariance =
    (JOBS_ASSUMED * BETWEEN_JOBS ** 2 + scatter) / (JOBS_ASSUMED + Math.max(0, n - 1));
  let precision = 1 / BETWEEN_PAINTERS ** 2;
  let weighted = 0;
  for (const job of jobs) {
    const variance = jobVariance + readingVariance(job);
    precision += 1 / variance;
    weighted += logOf(job) / variance;
  }
  return { mean: weighted / precision, spread: Math.sqrt(1 / precision + jobVariance) };
}

/** How far a job lies from what the others lead to expect, in standard deviations. */
function oddness(job: UsedJob, others: readonly UsedJob[]): number {
  const { mean, spread } = learnedFrom(others);
  return Math.abs(logOf(job) - mean) / Math.hypot(spread, READING_ML / job.plannedMl);
}

/** What this hand takes, and the jobs that would spoil it: those are left out and asked about. */
export function painterFactorOf(history: readonly UsedJob[]): {
  factor: PainterFactor;
  odd: OddJob[];
} {
  const learned = history.filter(({ counts }) => counts !== false);
  let kept = learned;
  for (;;) {
    const judged = kept
      .filter(({ counts }) => counts !== true)
      .map((job) => ({
        job,
        far: oddness(
          job,
          kept.filter((other) => other !== job),
        ),
      }));
    const worst = judged.reduce<{ job?: UsedJob; far: number }>(
      (most, one) => (one.far > most.far ? one : most),
      { far: ODD_BEYOND },
    );
    if (!worst.job) break;
    kept = kept.filter((job) => job !== worst.job);
  }
  const odd = history.flatMap((job, at) =>
    learned.includes(job) && !kept.includes(job) ? [{ at, times: job.usedMl / job.plannedMl }] : [],
  );
  if (kept.length === 0) return { factor: UNKNOWN_HAND, odd };
  const { mean, spread } = learnedFrom(kept);
  return {
    factor: {
      value: Math.exp(mean),
      low: Math.exp(mean - Z_80 * spread),
      high: Math.exp(mean + Z_80 * spread),
      n: kept.length,
    },
    odd,
  };
}
