/**
 * A surface under lamps: gloss shows two upright tubes that bend where it is uneven, dust shows
 * grain, side light shows relief. One shader for the wet panel and for every close-up.
 *
 *   gloss g = S(0.7, 1.1, w);  grain = 0.22 (1 − g) min(1, w/0.15)                       [look-2]
 *   n = (−clamp(k ∂h/∂x, ±0.6) − grain η, −clamp(k ∂h/∂y, ±0.6) − grain η, 1)             [look-3]
 *   diffuse = 0.42 + 0.58 max(0, n·(−0.86, −0.25, 0.45))                                  [look-4]
 *   lamp = Σ exp(−[((x − x_l)/(0.6 L) − 2 n_x + 0.35 n_y)/(0.05 + 0.4 (1 − g))]²)         [look-5]
 *   rgb = colour · diffuse (1 − 0.22 g) + 255 [(0.12 + 0.78 g) lamp + 0.05 g]             [look-6]
 *
 * Source  ours: a look to tell surfaces apart by, no measurement
 */
import { drawnFrom } from '../numerics/drawn.ts';
import type { Surface } from './surface.ts';

export type Rgb = readonly [red: number, green: number, blue: number];
export type Light = {
  /** Where the first lamp stands over the width, 0 to 1; the second stands a share further. */
  lampAt: number;
  colour: Rgb;
  /** Slopes are drawn so many times too steep, so that the eye sees what a lamp shows. */
  steepness: number;
  seed: number;
};

const SECOND_LAMP = 0.55;
const STEEPEST = 0.6;
const SIDE_LIGHT = [-0.86, -0.25, 0.45] as const;

/** S(a, b, x): 0 below a, 1 above b, smooth between. */
const smoothStep = (from: number, to: number, x: number): number => {
  const t = Math.min(1, Math.max(0, (x - from) / (to - from)));
  return t * t * (3 - 2 * t);
};
const clamped = (slope: number): number => Math.min(STEEPEST, Math.max(-STEEPEST, slope));

/**
 * The picture: red, green, blue and opaque for each cell, row by row from the upper left, 0 to 255.
 * [look-2, look-3, look-4, look-5, look-6]
 */
export function shaded(surface: Surface, light: Light): Uint8ClampedArray<ArrayBuffer> {
  const { columns, rows, cellMm, heightUm, tone, wetness } = surface;
  const picture = new Uint8ClampedArray(columns * rows * 4);
  const drawn = drawnFrom(light.seed);
  // µm over a cell on either side, as a slope, drawn steeper.
  const slopePerUm = light.steepness / (2 * cellMm * 1000);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column;
      const [left, right] = [column > 0 ? at - 1 : at, column < columns - 1 ? at + 1 : at];
      const [over, under] = [row > 0 ? at - columns : at, row < rows - 1 ? at + columns : at];
      const w = wetness[at]!;
      const gloss = smoothStep(0.7, 1.1, w);
      const grain = 0.22 * (1 - gloss) * Math.min(1, w / 0.15);
      const nx =
        -clamped((heightUm[right]! - heightUm[left]!) * slopePerUm) - grain * (2 * drawn() - 1);
      const ny =
        -clamped((heightUm[under]! - heightUm[over]!) * slopePerUm) - grain * (2 * drawn() - 1);
      const facing = nx * SIDE_LIGHT[0] + ny * SIDE_LIGHT[1] + SIDE_LIGHT[2];
      const diffuse = (0.42 + 0.58 * Math.max(0, facing)) * (1 - 0.22 * gloss);
      const lamp = lampIn((column + 0.5) / columns, [nx, ny], gloss, light.lampAt);
      const shine = 255 * ((0.12 + 0.78 * gloss) * lamp + 0.05 * gloss);
      const depth = tone[at]!;
      for (let band = 0; band < 3; band++) {
        const own = light.colour[band]!;
        const toned = depth < 0 ? own * (1 + depth) : own + (255 - own) * depth;
        picture[at * 4 + band] = toned * diffuse + shine;
      }
      picture[at * 4 + 3] = 255;
    }
  return picture;
}

function lampIn(
  x: number,
  [nx, ny]: readonly [number, number],
  gloss: number,
  lampAt: number,
): number {
  const width = 0.05 + 0.4 * (1 - gloss);
  const seen = (at: number) => Math.exp(-((((x - at) / 0.6 - 2 * nx + 0.35 * ny) / width) ** 2));
  return seen(lampAt) + seen(lampAt + SECOND_LAMP);
}
