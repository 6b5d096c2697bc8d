/** What the film map wants to know, without functions: it crosses to a worker. */
import { fanProfile } from '@orthochrom/core/gun/fan.ts';
import type { FilmMapInput } from '@orthochrom/core/gun/filmMap.ts';
import { tilted } from '@orthochrom/core/coat/unsteadyHand.ts';

export type MapAsk = Omit<FilmMapInput, 'profile'> & {
  fan: { beta: number; split: number };
  tiltDeg: number;
  distanceM: number;
};

export const mapInputOf = ({ fan, tiltDeg, distanceM, ...rest }: MapAsk): FilmMapInput => ({
  ...rest,
  profile: tilted(fanProfile(fan), { tiltDeg, distanceM, fanWidthM: rest.fanWidthM }),
});
