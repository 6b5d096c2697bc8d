/** Every verdict with its level and words: one catalogue for the command line, the API and the screen. */
import type { Level, Params } from '@orthochrom/core/outcome/told.ts';
import catalogue from '../verdicts.json' with { type: 'json' };
import { say, type FigureWriter } from './say.ts';

export type CatalogueVerdict = {
  code: string;
  level: Level;
  calculations: string[];
  words: string;
  rows: string[];
  when?: string;
};

export const VERDICTS = new Map<string, CatalogueVerdict>(
  (catalogue.verdicts as CatalogueVerdict[]).map((verdict) => [verdict.code, verdict]),
);

export function verdictMessage(code: string, params?: Params, figure?: FigureWriter): string {
  const entry = VERDICTS.get(code);
  if (!entry) throw new Error(`verdict ${code} has no words`);
  return say(entry.words, params, figure);
}
