/**
 * What one turn of one knob does: fixed steps and elasticities of one gun at one setting (MODEL 17.3: hvlp, clear, 20 psi,
 * 1.3 mm, 3 turns, step kept). A direction and about a size; not this gun's own answer, which waits for the forward model.
 */
export type Knob =
  'inletKPa' | 'fluidTurnsOut' | 'fanTurnsOut' | 'distanceMm' | 'gunSpeedMPerS' | 'stepMm' | 'overlapPercent' | 'nozzleMm';

/** d ln(film)/d ln(knob) and d ln(drop size)/d ln(knob), the step in mm kept. */
const ELASTICITY: Partial<Record<Knob, { film: number; drops: number }>> = {
  inletKPa: { film: -0.3, drops: -0.51 },
  nozzleMm: { film: 2.68, drops: 1.25 },
  fluidTurnsOut: { film: 0.45, drops: 0.21 },
  fanTurnsOut: { film: 0.03, drops: 0.11 },
  distanceMm: { film: -0.38, drops: 0 },
  gunSpeedMPerS: { film: -1, drops: 0 },
  stepMm: { film: -1, drops: 0 },
};

export const STEP = {
  /** 3 psi. */
  inletKPa: 20.7,
  fluidTurns: 0.5,
  fanTurns: 0.25,
  nearerMm: 40,
  quickerShare: 1.2,
  muchQuickerShare: 1.4,
  slowerShare: 1 / 1.25,
  stepShare: 0.85,
} as const;
/** Never further at once than this. */
export const MOST = { inletShare: 0.2, fluidTurns: 0.75 } as const;

export type Effect = { filmPercent: number; dropsPercent: number };

/** About how film and drops change, in per cent; undefined where this knob does nothing to either that is known. */
export function effectOf(knob: Knob, from: number, to: number): Effect | undefined {
  const per = knob === 'overlapPercent' ? ELASTICITY.stepMm : ELASTICITY[knob];
  if (!per) return undefined;
  const share = knob === 'overlapPercent' ? (100 - to) / (100 - from) : to / from;
  return { filmPercent: (share ** per.film - 1) * 100, dropsPercent: (share ** per.drops - 1) * 100 };
}
