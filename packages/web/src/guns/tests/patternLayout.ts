/**
 * Patterns on paper as a cloud of dots: where paint lands along the fan (s, −1 to 1) and across it
 * (t). Pure and repeatable.
 */
import type { Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';

export type Dot = { x: number; y: number; r: number };
type Shape = {
  /** Paint at s along the fan, 0 to 1. */
  density: (s: number) => number;
  /** Half width at s. */
  width: (s: number) => number;
  /** The middle line's offset to the side at s. */
  bend?: (s: number) => number;
  turnDeg?: number;
};

const oval = (s: number): number => Math.sqrt(Math.max(0, 1 - s * s));
const SHAPES: Record<Pattern, Shape> = {
  even: { density: (s) => (Math.abs(s) < 0.97 ? 0.8 : 0.3), width: (s) => 0.36 * oval(s) },
  heavyCentre: {
    density: (s) => 0.06 + 0.94 * Math.exp(-((s / 0.3) ** 2)),
    width: (s) => 0.34 * oval(s),
  },
  split: {
    density: (s) => 0.1 + 0.9 * Math.exp(-(((Math.abs(s) - 0.68) / 0.24) ** 2)),
    width: (s) => 0.12 * oval(s) + 0.28 * Math.exp(-(((Math.abs(s) - 0.66) / 0.28) ** 2)),
  },
  oneEndHeavy: {
    density: (s) => 0.12 + 0.88 * ((s + 1) / 2) ** 2.2,
    width: (s) => (0.16 + 0.16 * (s + 1)) * oval(s),
  },
  crescent: {
    density: () => 0.8,
    width: (s) => 0.24 * oval(s),
    bend: (s) => 0.34 * (1 - s * s) - 0.2,
  },
  tilted: { density: () => 0.8, width: (s) => 0.3 * oval(s), turnDeg: 24 },
  flutter: {
    density: (s) => (Math.sin(s * 9.5 + 0.6) > -0.15 ? 0.85 : 0.04),
    width: (s) => (0.3 + 0.07 * Math.sin(s * 19)) * oval(s),
  },
  narrow: {
    density: (s) => (Math.abs(s) < 0.5 ? 1 : 0),
    width: (s) => 0.3 * Math.sqrt(Math.max(0, 1 - (s / 0.5) ** 2)),
  },
};

/** Dots in a box 100 wide and 160 high. */
export function patternDots(pattern: Pattern, count = 620): Dot[] {
  const { density, width, bend = () => 0, turnDeg = 0 } = SHAPES[pattern];
  let state = 20_260_301;
  const random = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
  const turn = (turnDeg * Math.PI) / 180;
  const dots: Dot[] = [];
  for (let tries = 0; dots.length < count && tries < count * 40; tries++) {
    const s = random() * 2 - 1;
    if (random() > density(s)) continue;
    const half = width(s) * (1 + 0.16 * random() ** 3);
    const t = (random() * 2 - 1) * half + bend(s);
    const [x, y] = [t * 100, s * 70];
    dots.push({
      x: 50 + x * Math.cos(turn) - y * Math.sin(turn),
      y: 80 + x * Math.sin(turn) + y * Math.cos(turn),
      r: 0.7 + random() * 1.1,
    });
  }
  return dots;
}

/** All dots as one path: a page with eight papers stays light. */
export const dotsPath = (dots: readonly Dot[]): string =>
  dots
    .map(
      ({ x, y, r }) =>
        `M${(x - r).toFixed(1)},${y.toFixed(1)}a${r.toFixed(1)},${r.toFixed(1)} 0 1,0 ${(2 * r).toFixed(1)},0a${r.toFixed(1)},${r.toFixed(1)} 0 1,0 ${(-2 * r).toFixed(1)},0`,
    )
    .join('');
