/** Which close-up stands for a drawing, in which paint, how near, and what is to be seen in it. */
import type { CloseUp } from '@orthochrom/core/look/closeUp.ts';
import type { Rgb } from '@orthochrom/core/look/shading.ts';

const RED: Rgb = [128, 44, 34];
const SILVER: Rgb = [150, 158, 163];
const DARK: Rgb = [30, 36, 44];
const YELLOW: Rgb = [214, 162, 40];

/** Side of a cell: a hand's width, or through a loupe. */
const HAND_MM = 0.5;
const LOUPE_MM = 0.22;

export type Shown = {
  closeUp: CloseUp;
  colour: Rgb;
  cellMm: number;
  /** Slopes as a side light on the real panel would show them: small ones are drawn steeper. */
  steepness: number;
  described: string;
};

export const SHOWN_AS: Record<string, Shown> = {
  bumps: {
    closeUp: 'peel',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 5,
    described: 'Soft hills a few millimetres apart, everywhere; they break the edge of the lamp.',
  },
  drips: {
    closeUp: 'run',
    colour: RED,
    cellMm: 0.7,
    steepness: 34,
    described: 'Single tongues that slid down, each with a bead at its foot.',
  },
  drape: {
    closeUp: 'curtain',
    colour: RED,
    cellMm: 1,
    steepness: 40,
    described: 'A whole width of film that slid, with a wavy lower edge like a curtain.',
  },
  holes: {
    closeUp: 'pop',
    colour: RED,
    cellMm: LOUPE_MM,
    steepness: 9,
    described: 'Through a loupe: small dark holes and blisters with a raised rim.',
  },
  craters: {
    closeUp: 'fisheye',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 16,
    described: 'Round saucers, some millimetres wide, pale in the middle, with a smooth rim.',
  },
  dusty: {
    closeUp: 'drySpray',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 12,
    described: 'Dull and grainy: no lamp is seen in it.',
  },
  bands: {
    closeUp: 'stripe',
    colour: SILVER,
    cellMm: 1,
    steepness: 12,
    described: 'Light and dark bands along the way the gun went.',
  },
  clouds: {
    closeUp: 'mottle',
    colour: SILVER,
    cellMm: 1,
    steepness: 12,
    described: 'Light and dark clouds with no direction.',
  },
  milky: {
    closeUp: 'blush',
    colour: DARK,
    cellMm: 1,
    steepness: 12,
    described: 'A grey or milky veil over the colour; the lamp is blurred.',
  },
  plain: {
    closeUp: 'sound',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 12,
    described: 'Nothing: the lamp stands straight and sharp.',
  },
  wrinkles: {
    closeUp: 'wrinkle',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 12,
    described: 'Narrow folds that wander, close together, like a skin that shrank.',
  },
  cracks: {
    closeUp: 'crack',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 9,
    described: 'Fine dark lines that branch and meet, like dried mud.',
  },
  flakes: {
    closeUp: 'flake',
    colour: DARK,
    cellMm: HAND_MM,
    steepness: 9,
    described: 'Plates have come off; the paler ground is seen, with a sharp edge round it.',
  },
  scratches: {
    closeUp: 'scratch',
    colour: RED,
    cellMm: HAND_MM,
    steepness: 16,
    described: 'Fine straight scratches, nearly all one way.',
  },
  contour: {
    closeUp: 'contour',
    colour: RED,
    cellMm: 0.7,
    steepness: 26,
    described: 'One closed raised line, the edge of something below.',
  },
  print: {
    closeUp: 'print',
    colour: DARK,
    cellMm: LOUPE_MM,
    steepness: 22,
    described: 'A finger pressed in: close curved lines in an oval.',
  },
  drops: {
    closeUp: 'drops',
    colour: DARK,
    cellMm: HAND_MM,
    steepness: 16,
    described: 'Rings where drops dried, dull inside.',
  },
  specks: {
    closeUp: 'dust',
    colour: RED,
    cellMm: 0.8,
    steepness: 9,
    described: 'Single grains that stand up out of the film.',
  },
  shade: {
    closeUp: 'twoPanels',
    colour: YELLOW,
    cellMm: 1,
    steepness: 12,
    described: 'Two panels side by side: one is another shade.',
  },
  whole: {
    closeUp: 'twoPanels',
    colour: SILVER,
    cellMm: 1,
    steepness: 12,
    described: 'A whole panel is another shade than the one beside it.',
  },
  repair: {
    closeUp: 'repaired',
    colour: SILVER,
    cellMm: 1,
    steepness: 12,
    described: 'A spot of another shade where it was repaired, soft at its edge.',
  },
  edges: {
    closeUp: 'edges',
    colour: SILVER,
    cellMm: 1,
    steepness: 12,
    described: 'Darker spots along the edges of the panel.',
  },
};
