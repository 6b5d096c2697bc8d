/**
 * What the air wants: nothing is sprayed over what is already wet. Where it moves along the car,
 * the upstream place goes first on each side; downwards or still, it rules nothing.
 *
 * Source  rule of thumb
 */
import type { Band } from '../outcome/spread.ts';
import { middle, type Place } from './places.ts';
import type { RouteInput } from './routeInput.ts';

export type Air = { isCross: boolean; isTurned: boolean; isEndAssumed: boolean };

/** How the air moves over the car, as if from its nose: turned round, the body is turned. */
export function airOf({ airflow, doorAt }: Pick<RouteInput, 'airflow' | 'doorAt'>): Air {
  const isFan = airflow === 'fanAtDoor';
  return {
    isCross: isFan || airflow === 'frontToRear' || airflow === 'rearToFront',
    isTurned: airflow === 'rearToFront' || (isFan && doorAt === 'front'),
    isEndAssumed: isFan && doorAt === undefined,
  };
}

/** Beside each other, where the spans share half of the shorter one, neither lies upstream. */
export function isUpstream(one: Band, other: Band): boolean {
  const shared = Math.min(one[1], other[1]) - Math.max(one[0], other[0]);
  const shorter = Math.min(one[1] - one[0], other[1] - other[0]);
  return middle(one) < middle(other) && shared < shorter / 2;
}

const isOneLane = (a: Place, b: Place): boolean =>
  a.lane === b.lane || a.lane === 'both' || b.lane === 'both';

/** Of every place, a bit for each that must be on before it. */
export const mustComeBefore = (places: readonly Place[], { isCross }: Air): number[] =>
  places.map((place) =>
    places.reduce(
      (bits, other, i) =>
        isCross && isOneLane(other, place) && isUpstream(other.along, place.along)
          ? bits | (1 << i)
          : bits,
      0,
    ),
  );
