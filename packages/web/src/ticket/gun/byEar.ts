/**
 * Finding the air by ear: from little air upwards until the spots are gone, and no further than
 * before the mist bounces back. Pure.
 */
export type Sight = 'spots' | 'fine' | 'bounces';
export type ByEar = { ups: number; state: 'looking' | 'found' | 'noRoom' };

export const START: ByEar = { ups: 0, state: 'looking' };

/** One shot's answer moves the regulator a little, or ends it. */
export function afterShot({ ups }: ByEar, sight: Sight): ByEar {
  if (sight === 'spots') return { ups: ups + 1, state: 'looking' };
  if (sight === 'fine') return { ups, state: 'found' };
  // It bounces before it is fine: the paint is too thick or too much for the air there is.
  return { ups: Math.max(0, ups - 1), state: 'noRoom' };
}
