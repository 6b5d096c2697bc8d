/**
 * The wet film a coat is aimed at, and the most it may be: the sheet's word, else the one table of
 * practice (MODEL 5.1).
 */
import type { Band } from '../outcome/spread.ts';
import { because } from '../outcome/verdicts.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { InForce } from './inForce.ts';

export type FilmAsked = {
  class: MaterialClass;
  sheet?: { wetFilmUm?: number | undefined; wetFilmBandUm?: Band | undefined } | undefined;
  /** A mist coat's share of a full one. */
  share?: number;
};
/** µm per coat as landed. */
export type Film = { aimUm: number; mostUm: number };

/** Where a sheet prints one figure and no band, a fifth more is over it. */
const OVER_SHEET = 1.2;

/** Wet film to aim at and most to lay, µm: the sheet's, else the class's. */
export function filmOf({ class: materialClass, sheet, share = 1 }: FilmAsked): InForce<Film> {
  const { wetFilmUm: usualUm, wetFilmBandUm } = MATERIALS[materialClass].film;
  const own =
    sheet?.wetFilmUm ??
    (sheet?.wetFilmBandUm && (sheet.wetFilmBandUm[0] + sheet.wetFilmBandUm[1]) / 2);
  const aimUm = own ?? usualUm;
  const mostUm =
    sheet?.wetFilmBandUm?.[1] ?? (own === undefined ? wetFilmBandUm[1] : own * OVER_SHEET);
  const value = { aimUm: aimUm * share, mostUm };
  return own === undefined
    ? {
        value,
        source: 'practice',
        reason: because('film-from-practice', 'rule', { wetUm: value.aimUm }),
      }
    : {
        value,
        source: 'sheet',
        reason: because('film-from-sheet', 'dataSheet', { wetUm: value.aimUm }),
      };
}
