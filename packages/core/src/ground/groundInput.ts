/** Which undercoat shade: what is asked, and what is told. */
import type { Colour, Lab } from '../colour/cielab.ts';
import type { RecipePart } from '../mix/recipe.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Explained, Reason } from '../outcome/verdicts.ts';
import type { Finish } from '../trade/vocabulary.ts';

export const GROUND_TEXTURES = ['smooth', 'coarse'] as const;
export type Ground = {
  name: string;
  colour: Colour;
  texture?: (typeof GROUND_TEXTURES)[number] | undefined;
  /** Dry film over a black-and-white card at which its halves are one. */
  hidingUm?: number | undefined;
  /** It lies on the panel already, beside another. */
  onPanel?: boolean | undefined;
};
export type GroundInput = {
  topcoat: {
    colour: Colour;
    effect: Finish;
    name?: string | undefined;
    hidingUm?: number | undefined;
  };
  grounds: Ground[];
  dryUmPerCoat: number;
  plannedCoats?: number | undefined;
  maxCoats?: number | undefined;
  /** Colour may go into the ground. */
  tintWithTopcoat?: boolean | undefined;
  /** It will stand in strong sun. */
  strongSun?: boolean | undefined;
};

export type Ranked = {
  name: string;
  /** Absent where a candy never gets there. */
  coatsToHide?: Spread;
  note: Reason;
  suited: boolean;
  filmUm?: number;
  asLaid?: Lab;
};
export type CandyStop = {
  name: string;
  /** ΔE2000 from the colour wanted, at the coat that comes nearest. */
  missesBy: number;
  perTenPercentFilm: number;
  oneCoatMore: number;
};
export type GroundAnswer = Explained & {
  /** Best first. */
  ranked: Ranked[];
  /** Of those within half a coat of the best the nearest in lightness that is not darker. */
  advised?: string;
  tintedGround?: { parts: RecipePart[]; coatsToHide: number; colour: string };
  candy?: CandyStop[];
};
