/** What follows and what to do instead, coat by coat. */

export const COAT_FOLLOWS: Record<string, string> = {
  'stays-soft': 'It stays soft for days: no date is promised, and polished it sinks back.',
  'soft-if-shorter': 'Held shorter it stays soft.',
  'soft-if-counted': 'Counted as one, it is polished soft.',
  'soft-where-heavy': 'Where it is heavy it stays soft.',
  'air-is-not-metal': 'The air is not the metal: the clock may start too soon.',
  'burns-and-boils': 'The film boils and the panel burns before its neighbour is warm.',
  'part-warps': 'It warps, and what is behind it suffers.',
  'flake-clouds': 'Flake over flake clouds and stripes.',
  'half-coat-untried': 'A half coat into a wet one is not what its maker tried.',
  'fade-is-an-edge': 'The fade ends as an edge that the clear does not hide.',
  'dull-fade': 'A faded edge of single stage stays dull: there is no clear over it.',
  'stain-at-fade': 'Every coat deepens it: where it fades it shows as a stain.',
  'depth-by-luck': 'The depth of the colour is luck.',
  'cut-goes-through': 'Cut flat, it is too thin, or through.',
  'paint-for-nothing': 'Paint would be mixed for nothing.',
};

export const COAT_INSTEAD: Record<string, string> = {
  'warm-it-first': 'Warm panel and room, or bake it as its sheet says.',
  'own-low-bake-first': 'Reckoned: the sheet’s own low bake goes first.',
  'count-as-air-drying': 'Count it as air drying.',
  'clock-with-the-slowest': 'The clock starts with it.',
  'measure-the-panel': 'Measure it on the panel now.',
  'back-and-measure': 'Back with it, then measure the panel, not the lamp.',
  'heat-off-doors-open': 'Heat off, doors open.',
  'coats-with-flash': 'Coats with their flash.',
  'blend-further': 'Blend into the next panel too, or paint it whole.',
  'to-an-edge': 'Paint it to an edge.',
  'whole-to-one-count': 'Whole panels, all to one count.',
  'count-on-a-card': 'Spray one, two, three coats on a card over this ground and choose.',
  'ask-for-a-coat-more': 'Ask its maker for a coat more before you spray, never after.',
  'look-at-the-scope': 'Look at what its panels get, or take the stage off.',
};
