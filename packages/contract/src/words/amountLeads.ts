/** What follows and what to do instead where ground, amount or cup is wrong. */

export const AMOUNT_FOLLOWS: Record<string, string> = {
  'pale-and-starved': 'Pale, and the gun starves.',
  'no-film-dulls': 'As a coat it has no film and dulls.',
  'dry-edge-mid-panel': 'A dry edge in mid-panel.',
  'stretched-stripes': 'Thinner, or with less air, to stretch it: stripes and peel.',
  'factor-learns-a-spill': 'Spilt, done twice, another area? It is left out until you say.',
  'dirty-not-deep': 'Dirty, not deep.',
  'shadow-in-sun': 'A shadow in the sun, with an edge.',
};
export const AMOUNT_INSTEAD: Record<string, string> = {
  'coarser-mesh': 'Strain it through {wantedUm} before it goes in, and take the mesh out.',
  'blend-coat-alone': 'Lay it where colour and clear end, and nowhere else.',
  'second-cup-before': 'A second cup mixed before you start; change at the end of a pass.',
  'get-more-or-less': 'Get more, or fewer panels.',
  'say-if-it-counts': 'Say whether it counts.',
  'another-ground': 'Another ground.',
  'one-ground-over-both': 'One ground over both, or more coats.',
};
