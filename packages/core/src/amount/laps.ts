/**
 * Cups that end where a panel ends: the fewest that hold what is sprayed from each, then as even as
 * that number lets them be.
 *
 *   minutes = ml ÷ (0.8 · flow) + flash where a coat ends inside + 2                      [batch-1]
 *
 * Source  greedy is least for a run of portions, for a part of what fits fits; even cups by
 *         bisection on the cap: ours. Trigger share and the two minutes: rule of thumb
 */
import { USABLE_POT_LIFE_SHARE } from '../mix/potLife.ts';

/** One panel in one coat, or a part of it. */
export type Portion = { panel: string; coat: number; ml: number };
export type LapLimits = {
  /** Of the cup, to its top mark. */
  cupMl: number;
  /** Stays in each cup. */
  residueMl: number;
  /** Stays in the line, out of the first cup. */
  lineLossMl: number;
  /** What the hardened mix may wait, and how fast it goes. */
  potLifeMinutes?: number | undefined;
  fluidMlPerMin?: number | undefined;
  flashMinutes?: number | undefined;
};
export type Lap = {
  portions: Portion[];
  /** To be mixed, with what stays in cup and line. */
  readyMl: number;
  minutes?: number;
  /** Longer than the mix is good for, though one portion alone fills it. */
  isTooLong: boolean;
};

const TRIGGER_SHARE = 0.8;
const HANDLING_MINUTES = 2;
const HALVINGS = 40;

/** [batch-1]; nothing where no flow is known. */
function minutesOf(
  portions: readonly Portion[],
  { fluidMlPerMin, flashMinutes = 0 }: LapLimits,
): number | undefined {
  if (fluidMlPerMin === undefined) return undefined;
  const ml = portions.reduce((sum, portion) => sum + portion.ml, 0);
  const ends = portions.slice(1).filter(({ coat }, i) => coat !== portions[i]!.coat).length;
  return ml / (fluidMlPerMin * TRIGGER_SHARE) + ends * flashMinutes + HANDLING_MINUTES;
}

const staysMl = ({ residueMl, lineLossMl }: LapLimits, at: number): number =>
  residueMl + (at === 0 ? lineLossMl : 0);

const usableMinutes = ({ potLifeMinutes = Infinity }: LapLimits): number =>
  USABLE_POT_LIFE_SHARE * potLifeMinutes;

/** Fills cup after cup, each with as much as goes into it. */
function greedy(portions: readonly Portion[], limits: LapLimits, capMl: number): Portion[][] {
  const cups: Portion[][] = [];
  for (const portion of portions) {
    const cup = cups.at(-1);
    const grown = cup && [...cup, portion];
    const fits =
      grown &&
      grown.reduce((sum, { ml }) => sum + ml, 0) + staysMl(limits, cups.length - 1) <=
        capMl + 1e-9 &&
      (minutesOf(grown, limits) ?? 0) <= usableMinutes(limits);
    if (fits) cup.push(portion);
    else cups.push([portion]);
  }
  return cups;
}

/** A portion over what a cup holds, in equal parts. */
const cut = (portion: Portion, mostMl: number): Portion[] => {
  const parts = Math.max(1, Math.ceil(portion.ml / mostMl - 1e-9));
  return Array.from({ length: parts }, () => ({ ...portion, ml: portion.ml / parts }));
};

/** The cups of a job, and the panels that no cup holds. */
export function lapsOf(
  portions: readonly Portion[],
  limits: LapLimits,
): { laps: Lap[]; cutPanels: string[] } {
  // The first cup fills the line too: what is cut for it fits any.
  const mostMl = Math.max(limits.cupMl - staysMl(limits, 0), limits.cupMl / 10);
  const all = portions.filter(({ ml }) => ml > 0).flatMap((portion) => cut(portion, mostMl));
  const count = greedy(all, limits, limits.cupMl).length;
  let [from, to] = [0, limits.cupMl];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (from + to) / 2;
    const tooSmall = all.some(({ ml }) => ml + limits.residueMl > middle);
    if (!tooSmall && greedy(all, limits, middle).length <= count) to = middle;
    else from = middle;
  }
  const laps = greedy(all, limits, to).map((cup, at): Lap => {
    const minutes = minutesOf(cup, limits);
    return {
      portions: cup,
      readyMl: cup.reduce((sum, { ml }) => sum + ml, 0) + staysMl(limits, at),
      ...(minutes === undefined ? {} : { minutes }),
      isTooLong: minutes !== undefined && minutes > usableMinutes(limits),
    };
  });
  const cutPanels = portions.filter(({ ml }) => ml > mostMl + 1e-9).map(({ panel }) => panel);
  return { laps, cutPanels: [...new Set(cutPanels)] };
}
