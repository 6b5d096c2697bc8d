/**
 * A paint by its colour and how much of it hides: a card's figure, else a round one by family.
 *
 * Source  families: rule of thumb, fitted to one row of practice; a card sprayed once beats them
 */
import {
  chromaOf,
  hueDegOf,
  labOf,
  lightOfHex,
  lightOfLab,
  type Colour,
  type Lab,
  type Light,
} from '../colour/cielab.ts';
import { cardDepth, masstone } from '../colour/hiding.ts';
import type { Finish } from '../trade/vocabulary.ts';

export type Paint = {
  /** As a thick film. */
  full: Light;
  lab: Lab;
  /** Optical depth that hides a card. */
  cardX: number;
  hidingUm: number;
  /** Nobody measured it. */
  isGuessed: boolean;
  /** A display could not show it. */
  isClipped: boolean;
};

const GROUND_UM = 15;
const BY_FINISH: Partial<Record<Finish, number>> = {
  silver: 10,
  metallic: 13,
  pearl: 20,
  flake: 60,
  fluorescent: 60,
};
const USUAL_UM = 15;

/** By family, in this order: yellow, white, dark, red. */
function familyUm(lab: Lab): number {
  const [chroma, hue] = [chromaOf(lab), hueDegOf(lab)];
  if (chroma > 40 && hue >= 60 && hue <= 115) return 38;
  if (lab.l > 85 && chroma <= 20) return 20;
  if (lab.l < 30) return 10;
  if (chroma > 40 && (hue >= 345 || hue <= 60)) return 22;
  return USUAL_UM;
}

/** A colour in light and in CIELAB. */
export function seenOf(colour: Colour): { light: Light; lab: Lab; isClipped: boolean } {
  if (typeof colour === 'string') {
    const light = lightOfHex(colour);
    return { light, lab: labOf(light), isClipped: false };
  }
  return { ...lightOfLab(colour), lab: colour };
}

/** A paint of a colour; without a finish it is a ground. */
export function paintOf(
  colour: Colour,
  { hidingUm, finish }: { hidingUm?: number | undefined; finish?: Finish | undefined },
): Paint {
  const { light, lab, isClipped } = seenOf(colour);
  const full = masstone(light);
  const guessedUm = finish === undefined ? GROUND_UM : (BY_FINISH[finish] ?? familyUm(lab));
  return {
    full,
    lab,
    cardX: cardDepth(full),
    hidingUm: hidingUm ?? guessedUm,
    isGuessed: hidingUm === undefined,
    isClipped,
  };
}
/** Scattering, 1/µm. */
export const scatterOf = ({ cardX, hidingUm }: Pick<Paint, 'cardX' | 'hidingUm'>): number =>
  cardX / hidingUm;
