/**
 * What is known of a kind of paint where nobody measured it. One judgement, all of it (MODEL 5,
 * 5.1, 12.1, 13); the sheet, the cup and the shop's own times replace it. One class a file in
 * `materials/`.
 */
import type { Band } from '../outcome/spread.ts';
import type { Carrier, Stage } from './vocabulary.ts';

export type MaterialFacts = {
  /** Where it is used most, and what carries it. */
  stage: Stage;
  carrier: Carrier;
  /** Stages of the same carrier that have no class of their own yet and are nearest to this one. */
  standsInFor?: Stage[];
  /**
   * What shows on it: flatness on what is glossy, flake and stripes on a base, little on what is
   * covered.
   */
  shows: 'gloss' | 'colour' | 'covered';
  /** Colour that dries as it landed: a pass too few is seen as a line. */
  linesShow: boolean;
  /** Fills: thick films, large tips. */
  isBuild: boolean;
  isHighSolids: boolean;
  solids: { paint: number; hardener: number };
  /** Parts by volume: paint, hardener, reducer. */
  mix: [paint: number, hardener: number, reducer: number];
  /** Slow share of the paint's own solvent; for waterborne its water share stands beside it. */
  slowFraction: number;
  waterFraction?: number;
  solidsDensityKgPerM3: number;
  /** Solids of the standard mix and what it shows at 20 °C, and as dry film. */
  standardSolids: number;
  standardPaS: number;
  dryPaS: number;
  flowEnergyJPerMol: { solvent: number; solids: number };
  /** Viscosity left at the shear of a nozzle (1e4 1/s). */
  shearAtGun: number;
  spray: SprayFacts;
  film: FilmFacts;
  /** Exponents of the flash clock: evaporation, film, air (MODEL 12.1). */
  flashFit: { evaporation: number; film: number; air: number };
  /** Usual minutes without a sheet: between coats, and before another product or heat. */
  usualMinutes: { flash: number; last: number };
  /** A base's skin and landing viscosity as its flake wants them, s and Pa s (MODEL 13). */
  flake?: { skinSeconds: number; landedPaS: number };
};

/** How it breaks up, joins and shows unevenness. */
export type SprayFacts = {
  /** Against a fresh surface, N/m. */
  surfaceTensionNPerM: number;
  /** Wet film at which drops of 35 µm just join, m. */
  joinFilmM: number;
  /** Spread of the film that an eye starts to see. */
  rippleLimit: number;
  /** Drops that suit it, µm. */
  dropWindowUm: Band;
};

/** What becomes of it on the panel. */
export type FilmFacts = {
  /** Wet film per coat as landed, µm, and the band that practice keeps to. */
  wetFilmUm: number;
  wetFilmBandUm: Band;
  /**
   * Diffusivity of the quick solvent at 20 °C in the dry and in the wet film, m²/s, and the bend
   * between.
   */
  dryDiffusivityM2PerS: number;
  wetDiffusivityM2PerS: number;
  diffusionBend: number;
  surfaceTensionNPerM: number;
  /**
   * How quickly all of it dries over what its solvents alone would do, and how hard its grade bites
   * (the exponent ω).
   */
  pace: number;
  gradeBite: number;
  /**
   * Wet film at which one coat upright runs at 21 °C in the sheet's air, µm; how far it then
   * travels, mm; and ln travel per ln film.
   */
  runs: { fromUm: number; travelMm: number; perFilm: number };
  /**
   * Structure built up at rest: share of viscosity, s to recover, and the stress under which
   * nothing moves, Pa.
   */
  structure: number;
  recoverySeconds: number;
  yieldPa: number;
  /** Two-pack cure of the dry film at 20 °C, 1/h, and its factor per 10 K; nought: dries only. */
  curePerHour: number;
  cureQ10: number;
  /** Ready to be coated: the surface this thick, Pa s, and so little volatile near it. */
  readyPaS: number;
  readyVolatile: number;
  /** Share of volatile gone in flight in the standard coat, where no gun is given. */
  usualLoss: number;
};
