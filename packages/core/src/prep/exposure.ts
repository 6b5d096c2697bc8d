/**
 * How much a colour gives away: light flake shows every stripe and every peel, a middling solid
 * forgives. What it asks for goes by it.
 *
 * Source  rule of thumb of the trade
 */
import { labOf, lightOfHex } from '../colour/cielab.ts';
import type { Finish, Stage } from '../trade/vocabulary.ts';

export type Exposure = 1 | 2 | 3;
export type Exposed = {
  stage: Stage;
  finish?: Finish | undefined;
  colour?: string | undefined;
  /** One of several shades that bear one code. */
  variant?: boolean | undefined;
};

const GIVES_ALL_AWAY: readonly (Finish | undefined)[] = ['silver', 'pearl', 'candy', 'flake'];
/** L* of a metallic that counts as light, and of a solid that counts as white. */
const LIGHT = { metallic: 55, white: 85 } as const;

/** 3 asks for a card, a pattern test and the sun; 2 for a card; 1 for neither. */
export function exposureOf({ stage, finish, colour, variant }: Exposed): Exposure {
  const l = colour === undefined ? undefined : labOf(lightOfHex(colour)).l;
  if (GIVES_ALL_AWAY.includes(finish) || variant) return 3;
  // A metallic that nobody told the colour of may be a light one.
  if (finish === 'metallic') return l === undefined || l >= LIGHT.metallic ? 3 : 2;
  if (stage === 'singleStage' || finish === 'fluorescent') return 2;
  return l !== undefined && l >= LIGHT.white ? 2 : 1;
}
