/**
 * What an unsteady, tilted or swinging hand does to a pass.
 *
 *   tilted by t: Y = y + z sin t, n = z cos t, p = atan(Y/n) − t,
 *     flux = f(s)(2z/W) cos²(t+p)/(n cos² p), s = 2 z tan p/W
 *                                                                                          [hand-1]
 *   swung about a pivot L off the panel: film(θ)/film(0) = cos² θ · landed(z₂)/landed(z),
 *     z₂ = L/cos θ − (L − z)
 *                                                                                          [hand-2]
 *
 * Source  geometry of a fan of rays on a plane (MODEL 10)
 */
import type { Skill } from '../trade/vocabulary.ts';
import { radians } from '../units/physical.ts';

export type UnsteadyHand = {
  skill?: Skill;
  speedWobblePercent?: number;
  tiltDeg?: number;
  arc?: { reachM: number; swingDeg: number };
};

/** Past this a ray no longer meets the panel in any useful way. */
const MOST_TILT = 75;

/** The fan's profile on the panel when the gun is tilted across it; area stays near 1. [hand-1] */
export function tilted(
  profile: (s: number) => number,
  { tiltDeg, distanceM, fanWidthM }: { tiltDeg: number; distanceM: number; fanWidthM: number },
): (s: number) => number {
  const tilt = radians(Math.max(-MOST_TILT, Math.min(MOST_TILT, tiltDeg)));
  if (Math.abs(tilt) < 1e-9) return profile;
  const reach = distanceM * Math.cos(tilt);
  return (s) => {
    const across = (s * fanWidthM) / 2 + distanceM * Math.sin(tilt);
    const ray = Math.atan(across / reach) - tilt;
    if (Math.abs(ray) >= Math.PI / 2) return 0;
    const onFan = (2 * distanceM * Math.tan(ray)) / fanWidthM;
    if (Math.abs(onFan) >= 1) return 0;
    return (profile(onFan) * distanceM * Math.cos(tilt + ray) ** 2) / (reach * Math.cos(ray) ** 2);
  };
}

/**
 * Spread of the film along a pass that is swung from the elbow, and its mean, over that of a
 * straight one. [hand-2]
 */
export function arcOf(
  { reachM, swingDeg }: NonNullable<UnsteadyHand['arc']>,
  distanceM: number,
  landedAtM: (distanceM: number) => number,
): { mean: number; spread: number } {
  const straight = landedAtM(distanceM);
  if (straight <= 0) return { mean: 1, spread: 0 };
  const pivot = Math.max(reachM, distanceM);
  const half = radians(Math.min(Math.abs(swingDeg), 140) / 2);
  const film = [0, 0.25, 0.5, 0.75, 1].map((share) => {
    const angle = share * half;
    const away = pivot / Math.cos(angle) - (pivot - distanceM);
    return (Math.cos(angle) ** 2 * landedAtM(away)) / straight;
  });
  const mean = film.reduce((sum, f) => sum + f, 0) / film.length;
  const spread = Math.sqrt(film.reduce((sum, f) => sum + (f - mean) ** 2, 0) / film.length) / mean;
  return { mean, spread };
}
