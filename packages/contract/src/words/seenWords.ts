/** What a painter sees at the look, in words. */
import type { Seen } from '../shop/coat.ts';

export const SEEN_NAME: Record<Seen, string> = {
  nothing: 'Nothing wrong',
  peel: 'Orange peel',
  run: 'Run',
  dust: 'Dust',
  drySpray: 'Dry spray',
  stripes: 'Stripes',
  pops: 'Pops',
  fisheyes: 'Fisheyes',
  other: 'Something else',
};
