/**
 * A burst on paper: where the drops of one touch of the trigger lie, how wet, in each pattern, by
 * how bad it is.
 *
 *   s ~ f(s; β, split)(1 + σ s),  x = N(0, 0.38) √(1 − 0.55 s²) + 0.84 κ_c (s² − 0.35)     [look-7]
 *     heavyCentre β = 2 + 3 κ; split 0.85 κ; oneEndHeavy σ = 0.9 κ; crescent κ_c = κ;
 *     tilted 25° κ; narrow 1 − 0.6 κ long; flutter three gaps, a drop in one lost with κ;
 *     one drop in twenty is overspray, 2.2 times as far out
 *
 * Source  profile: fan.ts; the shares of each pattern ours, judgement
 */
import { fanProfile } from '../gun/fan.ts';
import type { Pattern } from '../gun/patternSymptoms.ts';
import { drawnFrom } from '../numerics/drawn.ts';
import { addAround, flatSurface, type Surface } from './surface.ts';

/** The paper, mm. */
export const PAPER = { wideMm: 200, highMm: 320 } as const;
/** Half the length of an even burst, and its breadth to one spread of the drops, mm. */
const HALF_LONG_MM = 132;
const HALF_WIDE_MM = HALF_LONG_MM / 2.1;
const ACROSS = 0.38;
const DROPS = 2600;
const OVERSPRAY = 0.05;
/** Film at which paper is half hidden, in µm of drawn height. */
const HIDES_UM = 6;
/** Paper is brighter than the lightest paint: it returns most of what falls on it. */
const PAPER_TONE = 1.42;

type Shape = {
  beta: number;
  split: number;
  skew: number;
  bend: number;
  turnDeg: number;
  length: number;
  lost: number;
};
const EVEN: Shape = { beta: 1.3, split: 0, skew: 0, bend: 0, turnDeg: 0, length: 1, lost: 0 };
const SHAPES: Record<Pattern, (k: number) => Partial<Shape>> = {
  even: () => ({}),
  heavyCentre: (k) => ({ beta: 2 + 3 * k }),
  split: (k) => ({ split: 0.85 * k }),
  oneEndHeavy: (k) => ({ skew: 0.9 * k }),
  crescent: (k) => ({ bend: k }),
  tilted: (k) => ({ turnDeg: 25 * k }),
  flutter: (k) => ({ lost: k }),
  narrow: (k) => ({ length: 1 - 0.6 * k }),
};

export type BurstInput = {
  pattern: Pattern;
  /** How plain it is, 0 to 1. */
  severity: number;
  columns: number;
  seed: number;
};

/** Where the drops lie: s along the fan −1 to 1, v across in spreads of an even burst. [look-7] */
function* dropsOf(shape: Shape, drawn: () => number): Generator<{ s: number; v: number }> {
  const profile = fanProfile(shape);
  const share = (s: number) => profile(s) * (1 + shape.skew * s);
  const most = Math.max(...Array.from({ length: 81 }, (_, i) => share(i / 40 - 1)));
  const normal = () => Math.sqrt(-2 * Math.log(1 - drawn())) * Math.cos(2 * Math.PI * drawn());
  const gaps = [-0.5, 0.05, 0.55].map((at) => at + 0.1 * (drawn() - 0.5));
  for (let left = DROPS; left > 0;) {
    const s = 2 * drawn() - 1;
    if (drawn() * most > share(s)) continue;
    left--;
    const inGap = gaps.some((gap) => Math.abs(s - gap) < 0.05 + 0.07 * shape.lost);
    if (inGap && drawn() < shape.lost) continue;
    const wild = drawn() < OVERSPRAY ? 2.2 : 1;
    const v = ACROSS * wild * normal() * Math.sqrt(1 - 0.55 * s * s);
    yield { s: s * shape.length, v: v + 0.84 * shape.bend * (s * s - 0.35) };
  }
}

/**
 * The paper with the burst on it: white where nothing lies, gloss where drops flowed together.
 * [look-7]
 * @throws RangeError where it is not from 0 to 1 how plain it is
 */
export function burstOf({ pattern, severity, columns, seed }: BurstInput): Surface {
  if (!(severity >= 0 && severity <= 1))
    throw new RangeError(`How plain a burst is goes from 0 to 1; ${severity} was given.`);
  const cellMm = PAPER.wideMm / columns;
  const paper = flatSurface(columns, Math.round(PAPER.highMm / cellMm), cellMm);
  const drawn = drawnFrom(seed);
  const shape = { ...EVEN, ...SHAPES[pattern](severity) };
  const turn = (shape.turnDeg * Math.PI) / 180;
  for (const { s, v } of dropsOf(shape, drawn)) {
    const [x, y] = [v * HALF_WIDE_MM, s * HALF_LONG_MM];
    const radiusMm = Math.max(cellMm * 0.8, 1.1 + 1.9 * drawn() ** 3);
    const place = {
      xMm: PAPER.wideMm / 2 + x * Math.cos(turn) - y * Math.sin(turn),
      yMm: PAPER.highMm / 2 + x * Math.sin(turn) + y * Math.cos(turn),
      reachMm: radiusMm * 1.5,
    };
    addAround(
      paper,
      'heightUm',
      place,
      (dx, dy) => 7 * Math.exp(-((Math.hypot(dx, dy) / radiusMm) ** 4)),
    );
  }
  paper.heightUm.forEach((um, at) => {
    paper.tone[at] = PAPER_TONE * Math.exp(-um / HIDES_UM);
    paper.wetness[at] = Math.min(1.1, um / 26);
  });
  return paper;
}
