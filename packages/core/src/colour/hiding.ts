/**
 * What shows through a film: two constants in three bands, one scattering for all three.
 *
 *   b = ½ (1/R∞ − R∞);  q = (Rg − R∞)/(Rg − 1/R∞) · e^(−2 b x);  R(x) = (R∞ − q/R∞)/(1 − q)
 *                                                                                       [ground-1]
 *   x_c: over black 0.004 and white 0.80 ΔE2000 is 1;  S = x_c ÷ hiding film             [ground-2]
 *   mix: K/S = Σ c S (K/S) ÷ Σ c S,  R∞ = 1 + k − √(k² + 2k)                             [ground-4]
 *
 * Source  kubelka-munk-1931, kubelka-1948 (closed form), duncan-1940 (mixtures)
 */
import { bisect } from '../numerics/bisect.ts';
import { labOf, type Light } from './cielab.ts';
import { deltaE2000 } from './deltaE.ts';

const LEAST = 0.004;
const MOST = 0.96;
const BLACK = 0.004;
const WHITE = 0.8;

/** A paint as thick as it need be. */
export const masstone = (light: Light): Light =>
  light.map((band) => Math.min(MOST, Math.max(LEAST, band))) as unknown as Light;

/** A film of optical depth x = S·d over a ground, band by band. [ground-1] */
export const overGround = (full: Light, ground: Light, x: number): Light =>
  full.map((r, i) => {
    const b = 0.5 * (1 / r - r);
    const under = ground[i]!;
    const q = ((under - r) / (under - 1 / r)) * Math.exp(-2 * b * x);
    return (r - q / r) / (1 - q);
  }) as unknown as Light;

/** Difference between two lights. */
export const apart = (one: Light, other: Light): number => deltaE2000(labOf(one), labOf(other));

const grey = (r: number): Light => [r, r, r];
/** Depth at which a black-and-white card is one colour. [ground-2] */
export function cardDepth(full: Light): number {
  const shows = (x: number) =>
    apart(overGround(full, grey(BLACK), x), overGround(full, grey(WHITE), x)) - 1;
  let to = 1;
  while (shows(to) > 0) to *= 2;
  return bisect(shows, 0, to);
}

/** Two colours are one to the eye that looks for an edge. */
export const JUST_SEEN = 1;
const SCAN = 48;
const HALVINGS = 40;

/**
 * Depth from which a ground shows no more: the last crossing, for a difference may rise again on
 * its way.
 */
export function hidingDepth(full: Light, ground: Light, cardX: number): number {
  const shows = (x: number) => apart(overGround(full, ground, x), full) - JUST_SEEN;
  let to = cardX;
  while (shows(to) > 0) to *= 2;
  let last = -1;
  for (let i = 0; i <= SCAN; i++) if (shows((i / SCAN) * to) > 0) last = i;
  if (last < 0) return 0;
  return bisect(shows, (last / SCAN) * to, ((last + 1) / SCAN) * to, HALVINGS);
}

/** A paint in a mix by volume: its masstone, how much it scatters, and its share. */
export type Mixed = { full: Light; scatter: number; share: number };
/** Masstone of a mix. [ground-4] */
export function mixtureOf(parts: readonly Mixed[]): Light {
  const whole = parts.reduce((sum, { scatter, share }) => sum + share * scatter, 0);
  return [0, 1, 2].map((band) => {
    const k =
      parts.reduce((sum, { full, scatter, share }) => {
        const r = full[band]!;
        return sum + (share * scatter * (1 - r) ** 2) / (2 * r);
      }, 0) / whole;
    return 1 + k - Math.sqrt(k * k + 2 * k);
  }) as unknown as Light;
}
