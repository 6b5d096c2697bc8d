/** What the gate is asked about, and what it is told. */
import type { Carrier, Chemistry, Extraction, Place } from '../trade/vocabulary.ts';

export const GATE_STEPS = ['mix', 'spray', 'after', 'bake', 'clean'] as const;
export type GateStep = (typeof GATE_STEPS)[number];
export const BREATHINGS = ['airFed', 'cartridge', 'dust', 'none'] as const;
export type Breathing = (typeof BREATHINGS)[number];
/** What the painter found out about two-pack in a place like this. */
export const HOME_RULES = ['prohibited', 'permitted', 'unknown'] as const;
/** What is underfoot: hoses and parts trip, and water near sockets is a shock. */
export const FLOORS = ['clear', 'cluttered', 'wetted'] as const;
export type Floor = (typeof FLOORS)[number];
export type GateInput = {
  product: { hardener: Chemistry; carrier: Carrier; vocGPerL?: number };
  place: Place;
  region?: string;
  regionRules?: { twoPackAtHome?: (typeof HOME_RULES)[number]; vocLimitGPerL?: number };
  protection?: { breathing: Breathing; skin?: boolean; eyes?: boolean };
  /**
   * The supply of breathing air looked at today: its filter, monitor, hose, and an intake away from
   * exhaust.
   */
  breathingAirChecked?: boolean;
  extraction?: Extraction;
  /** What the room has by itself: an answer cannot be more than that. */
  roomExtraction?: Extraction;
  ignition?: string[];
  bystanders?: boolean;
  floor?: Floor;
  step: GateStep;
  minutesSinceSpray?: number;
  /** Before heat: fog and smell are out of the room, with the extraction running. */
  vapourCleared?: boolean;
};
