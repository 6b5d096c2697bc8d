/** Passes beside each other and the film they sum to, across five steps. Pure. */
import { fanProfile, fanShape } from '@orthochrom/core/gun/fan.ts';
import { rippleOf } from '@orthochrom/core/gun/ripple.ts';
import { area, line, scaleLinear } from 'd3';

const SAMPLES = 120;
const PASSES = 5;
/** An even fan: what a good pattern on paper is. */
const EVEN = fanProfile(fanShape(0));

export function layOutOverlap(overlapPercent: number, widthPx: number, heightPx: number) {
  const step = 1 - overlapPercent / 100;
  const passes = Array.from({ length: PASSES }, (_, k) => k * step);
  const [from, to] = [-0.5, (PASSES - 1) * step + 0.5];
  const x = scaleLinear([from, to], [0, widthPx]);
  const at = (y: number, centre: number) => EVEN(2 * (y - centre));
  const samples = Array.from({ length: SAMPLES + 1 }, (_, i) => from + ((to - from) * i) / SAMPLES);
  const total = samples.map((y) => ({
    y,
    film: passes.reduce((sum, centre) => sum + at(y, centre), 0),
  }));
  const h = scaleLinear([0, Math.max(...total.map(({ film }) => film)) * 1.08], [heightPx, 0]);
  const hump = area<number>()
    .x((y) => x(y))
    .y0(heightPx);
  return {
    humps: passes.map((centre) => hump.y1((y) => h(at(y, centre)))(samples) ?? ''),
    sum:
      line<{ y: number; film: number }>()
        .x(({ y }) => x(y))
        .y(({ film }) => h(film))(total) ?? '',
    ripplePercent: ripplePercentOf(overlapPercent),
  };
}

/** How uneven the film is across the passes of a steady hand. @returns per cent of the mean */
export const ripplePercentOf = (overlapPercent: number): number =>
  rippleOf(EVEN, { fanWidthM: 0.22, stepM: Math.max(0.02, 0.22 * (1 - overlapPercent / 100)) })
    .total * 100;
