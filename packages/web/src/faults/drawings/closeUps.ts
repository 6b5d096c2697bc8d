/** Which close-up stands for a drawing, in which paint, how near, and what is to be seen in it. */
import type { CloseUp } from '@orthochrom/core/look/closeUp.ts';
import type { Rgb } from '@orthochrom/core/look/shading.ts';

const RED: Rgb = [128, 44, 34];
const SILVER: Rgb = [150, 158, 163];
const DARK: Rgb = [30, 36, 44];

/** Side of a cell: a hand's width, or through a loupe. */
const HAND_MM = 0.5;
const LOUPE_MM = 0.22;

type Shown = {
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
};
