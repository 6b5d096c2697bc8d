/** What follows and what to do instead where the ground is wrong for a colour. */

export const GROUND_FOLLOWS: Record<string, string> = {
  'dirty-not-deep': 'Dirty, not deep.',
  'shadow-in-sun': 'A shadow in the sun, with an edge.',
};
export const GROUND_INSTEAD: Record<string, string> = {
  'another-ground': 'Another ground.',
  'one-ground-over-both': 'One ground over both, or more coats.',
};
