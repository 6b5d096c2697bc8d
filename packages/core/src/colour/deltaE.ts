/**
 * How far two colours lie apart to the eye: ΔE2000.                                    [colour-3]
 *
 * Source  sharma-2005, with its printed pairs as vectors
 */
import type { Lab } from './cielab.ts';

const DEG = Math.PI / 180;
const to7 = (x: number): number => Math.sqrt(x ** 7 / (x ** 7 + 25 ** 7));
const hue = (a: number, b: number): number => {
  if (a === 0 && b === 0) return 0;
  const deg = Math.atan2(b, a) / DEG;
  return deg < 0 ? deg + 360 : deg;
};

/** ΔE2000, with all its weights at one. [colour-3] */
export function deltaE2000(one: Lab, other: Lab): number {
  const g = 0.5 * (1 - to7((Math.hypot(one.a, one.b) + Math.hypot(other.a, other.b)) / 2));
  const [a1, a2] = [one.a * (1 + g), other.a * (1 + g)];
  const [c1, c2] = [Math.hypot(a1, one.b), Math.hypot(a2, other.b)];
  const [h1, h2] = [hue(a1, one.b), hue(a2, other.b)];
  const isGrey = c1 * c2 === 0;
  const turn = h2 - h1;
  const dh = isGrey ? 0 : turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  const hueDistance = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEG);
  const lMean = (one.l + other.l) / 2;
  const cMean = (c1 + c2) / 2;
  const sum = h1 + h2;
  const far = Math.abs(h1 - h2) > 180;
  const hMean = isGrey ? sum : far ? (sum < 360 ? sum + 360 : sum - 360) / 2 : sum / 2;
  const t =
    1 -
    0.17 * Math.cos((hMean - 30) * DEG) +
    0.24 * Math.cos(2 * hMean * DEG) +
    0.32 * Math.cos((3 * hMean + 6) * DEG) -
    0.2 * Math.cos((4 * hMean - 63) * DEG);
  const sL = 1 + (0.015 * (lMean - 50) ** 2) / Math.sqrt(20 + (lMean - 50) ** 2);
  const sC = 1 + 0.045 * cMean;
  const sH = 1 + 0.015 * cMean * t;
  const rT = -2 * to7(cMean) * Math.sin(60 * Math.exp(-(((hMean - 275) / 25) ** 2)) * DEG);
  const [l, c, h] = [(other.l - one.l) / sL, (c2 - c1) / sC, hueDistance / sH];
  return Math.sqrt(l * l + c * c + h * h + rT * c * h);
}
