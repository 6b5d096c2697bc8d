/**
 * What is known of a kind of gun where nobody measured it: one design point for the air, suction
 * for the paint, shape of the fan, what able painters set it to. Fitted to practice (MODEL 7,
 * 17.1); the gun's own rating, leaflet and tests replace it. One class a file in `guns/`.
 */
import type { Band } from '../outcome/spread.ts';
import type { PracticeOfRow, PracticeRow } from './practice.ts';

export type GunFacts = {
  /** Nobody fitted it yet: a guess until a gun's own tests replace it. */
  isGuess: boolean;
  /** Meant to have 10 psi at most at its cap; a place may have that as a law. */
  isBoundAtCap: boolean;
  /** The design point, all horns open. */
  inletKPa: number;
  capKPa: number;
  airFlowLPerMin: number;
  /**
   * Where such guns come in two kinds: the inlet at which each has what it is meant for at the cap,
   * and the air it draws there.
   */
  kinds?: {
    low: { inletKPa: number; airFlowLPerMin: number };
    high: { inletKPa: number; airFlowLPerMin: number };
  };
  /** Share of the open outlet that is the ring around the tip. */
  ringShare: number;
  suctionPa: number;
  /** Height of paint over the tip; negative where it is lifted from below. */
  headM: number;
  /** Half angle of the open fan as its tangent. */
  fanTangent: number;
  fanAtCapM: { open: number; round: number };
  /** Drop size over the correlation's. */
  dropFactor: number;
  /** What lands over the law of impact: small air and small fans lose more than it says. */
  landingFactor: number;
  /** Paint at which the open fan is even at the design point, kg/s. */
  evenKgPerS: number;
  /** Without a fan knob the fan is always as it is. */
  hasFanKnob: boolean;
  /** Share of the paint that lands on a large flat panel: practice (MODEL 16.1), for amounts. */
  transferFraction: number;
  /** Drops that suit a paint from this gun, over those from a large one. */
  dropWindowShare: number;
  /** Draws lines rather than lays passes: a narrow fan and a lost wet edge are its nature. */
  isSmall: boolean;
  /** What its cup takes, as they are sold with it. */
  cupMl: number;
  /** Needle travel, turns from closed, where nobody counted it. */
  fullFluidTurns: number;
  /** Tips seen on such guns; another is asked about, not refused. */
  usualNozzlesMm: Band;
  /** Gun to panel. */
  distanceMm: number;
  /** Nearer than this nobody holds it. */
  nearestMm: number;
  practice: Record<PracticeRow, PracticeOfRow>;
};
