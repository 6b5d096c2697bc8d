/** The pages of the form, in the order in which a sheet is printed. */
import { MIXING, READY_TO_SPRAY, SECONDS_POT_LIFE } from './mixingPages.ts';
import {
  DENSITY_SOLIDS_SOLVENT,
  HARDENER_GRADE,
  OVER_WHAT,
  PACKS_SHADES_NOTES,
  WHAT_IT_IS,
} from './productPages.ts';
import type { SheetPage } from './sheetFields.ts';
import { AIR_AND_PANEL, COATS_AND_FILM, GUN, HEAT, WAITS } from './sprayingPages.ts';

export const SHEET_PAGES: SheetPage[] = [
  WHAT_IT_IS,
  OVER_WHAT,
  MIXING,
  SECONDS_POT_LIFE,
  GUN,
  COATS_AND_FILM,
  WAITS,
  HEAT,
  AIR_AND_PANEL,
  DENSITY_SOLIDS_SOLVENT,
  READY_TO_SPRAY,
  HARDENER_GRADE,
  PACKS_SHADES_NOTES,
];
