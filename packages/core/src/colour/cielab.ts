/**
 * Colours: from a display's code to linear light, to CIELAB and back, and how far two lie apart.
 *
 *   linear: c/12.92 under 0.04045, else ((c + 0.055)/1.055)^2.4; X Y Z by the printed matrix, its
 *   row sums the white point                                                            [colour-1]
 *   L* = 116 f(Y) − 16, a* = 500 (f(X) − f(Y)), b* = 200 (f(Y) − f(Z))                  [colour-2]
 *
 * Source  iec-61966-2-1-1999; cie-15-2004
 */
/** Linear red, green and blue, each 0 to 1. */
export type Light = readonly [red: number, green: number, blue: number];
export type Lab = { l: number; a: number; b: number };
export type Colour = string | Lab;

const TO_XYZ = [
  [0.4124, 0.3576, 0.1805],
  [0.2126, 0.7152, 0.0722],
  [0.0193, 0.1192, 0.9505],
] as const;
const WHITE = TO_XYZ.map((row) => row.reduce((sum, share) => sum + share, 0));

/** [colour-1] */
const toLinear = (code: number): number =>
  code <= 0.04045 ? code / 12.92 : ((code + 0.055) / 1.055) ** 2.4;
const toCode = (linear: number): number =>
  linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;

/** Of "#rrggbb". */
export const lightOfHex = (hex: string): Light => {
  const at = (from: number) => toLinear(parseInt(hex.slice(from, from + 2), 16) / 255);
  return [at(1), at(3), at(5)];
};
/** As a display shows it; what it cannot show is cut off. */
export const hexOf = (light: Light): string =>
  `#${light
    .map((linear) => Math.round(255 * toCode(Math.min(1, Math.max(0, linear)))))
    .map((code) => code.toString(16).padStart(2, '0'))
    .join('')}`;

const EPSILON = (6 / 29) ** 3;
const f = (t: number): number => (t > EPSILON ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);
const unf = (t: number): number => (t > 6 / 29 ? t ** 3 : 3 * (6 / 29) ** 2 * (t - 4 / 29));

/** [colour-2] */
export function labOf(light: Light): Lab {
  const [x, y, z] = TO_XYZ.map((row, i) =>
    f(row.reduce((sum, share, k) => sum + share * light[k]!, 0) / WHITE[i]!),
  );
  return { l: 116 * y! - 16, a: 500 * (x! - y!), b: 200 * (y! - z!) };
}

/** The matrix's inverse by its minors. */
const FROM_XYZ = inverse(TO_XYZ);
function inverse(m: readonly (readonly number[])[]): number[][] {
  const minor = (r: number, c: number): number => {
    const [a, b, d, e] = m
      .filter((_, i) => i !== r)
      .flatMap((row) => row.filter((_, k) => k !== c));
    return ((r + c) % 2 === 0 ? 1 : -1) * (a! * e! - b! * d!);
  };
  const whole = m[0]!.reduce((sum, value, c) => sum + value * minor(0, c), 0);
  return m.map((_, r) => m.map((_row, c) => minor(c, r) / whole));
}

/** Linear light of a CIELAB colour, and whether a display could not show it. [colour-2] */
export function lightOfLab({ l, a, b }: Lab): { light: Light; isClipped: boolean } {
  const y = (l + 16) / 116;
  const xyz = [y + a / 500, y, y - b / 200].map((t, i) => unf(t) * WHITE[i]!);
  const bands = FROM_XYZ.map((row) => row.reduce((sum, share, k) => sum + share * xyz[k]!, 0));
  const light = bands.map((band) => Math.min(1, Math.max(0, band))) as unknown as Light;
  return { light, isClipped: bands.some((band) => band < -1e-3 || band > 1.001) };
}

/** How far from grey. */
export const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b);
/** 0 to 360. */
export const hueDegOf = ({ a, b }: Lab): number => {
  const deg = (Math.atan2(b, a) * 180) / Math.PI;
  return deg < 0 ? deg + 360 : deg;
};
/** Between two hues, 0 to 180. */
export const hueApartDeg = (one: Lab, other: Lab): number => {
  const apart = Math.abs(hueDegOf(one) - hueDegOf(other));
  return Math.min(apart, 360 - apart);
};
