/**
 * Flow cups: seconds through the hole and kinematic viscosity ν, mm²/s.
 *
 *   ν = a t − b/t           DIN 4, ISO 4                     [cup-1]
 *   ν = a (t − t0)          Ford 4, Zahn 2                   [cup-2]
 *
 * Source  flow-cups as quoted in MODEL 4 (from memory there: check
 *         against the standard)
 * Holds   inside each cup's own seconds; outside them the figure is given with a flag
 */
export const CUP_NAMES = ['din4', 'ford4', 'zahn2', 'iso4'] as const;
export type CupName = (typeof CUP_NAMES)[number];

type FlowCup = {
  slope: number;
  over: number;
  offsetSeconds: number;
  fromSeconds: number;
  toSeconds: number;
};
const cup = (
  slope: number,
  over: number,
  offsetSeconds: number,
  fromSeconds: number,
  toSeconds: number,
): FlowCup => ({
  slope,
  over,
  offsetSeconds,
  fromSeconds,
  toSeconds,
});
export const FLOW_CUPS: Record<CupName, FlowCup> = {
  din4: cup(4.57, 452, 0, 25, 150),
  ford4: cup(3.85, 0, 4.49, 20, 105),
  zahn2: cup(3.5, 0, 14, 20, 80),
  iso4: cup(1.37, 200, 0, 30, 100),
};

/** As they are engraved. */
export const CUP_LABEL: Record<CupName, string> = {
  din4: 'DIN 4',
  ford4: 'Ford 4',
  zahn2: 'Zahn 2',
  iso4: 'ISO 4',
};

/** How far outside its own seconds a cup can still be timed at all. */
const TIMED_FROM = 0.5;
const TIMED_TO = 3;

/** Kinematic viscosity of what runs this long, mm²/s. [cup-1, cup-2] */
export function kinematicOfSeconds(name: CupName, seconds: number): number {
  const { slope, over, offsetSeconds } = FLOW_CUPS[name];
  return slope * (seconds - offsetSeconds) - over / seconds;
}

/** Seconds that this viscosity runs; undefined where the cup cannot time it. */
export function secondsOfKinematic(name: CupName, kinematicMm2PerS: number): number | undefined {
  const { slope, over, offsetSeconds, fromSeconds, toSeconds } = FLOW_CUPS[name];
  const seconds =
    over > 0
      ? (kinematicMm2PerS + Math.sqrt(kinematicMm2PerS ** 2 + 4 * slope * over)) / (2 * slope)
      : kinematicMm2PerS / slope + offsetSeconds;
  return seconds < TIMED_FROM * fromSeconds || seconds > TIMED_TO * toSeconds ? undefined : seconds;
}

/** Within the seconds that the cup's own formula holds for. */
export const isInCupRange = (name: CupName, seconds: number): boolean =>
  seconds >= FLOW_CUPS[name].fromSeconds && seconds <= FLOW_CUPS[name].toSeconds;
