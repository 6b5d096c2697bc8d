/**
 * Every verdict with its level and words: one catalogue for the command line, the API and the
 * screen.
 */
import type { Level, Params } from '@orthochrom/core/outcome/verdicts.ts';
import catalogue from '../verdicts.json' with { type: 'json' };
import { FOLLOWS, INSTEAD } from './leadWords.ts';
import { say, type FigureWriter } from './say.ts';

export type CatalogueVerdict = {
  code: string;
  level: Level;
  calculations: string[];
  words: string;
  /**
   * Codes of leadWords.ts; a {word} in one is the verdict's own param, where two sides lead to two
   * faults.
   */
  follows?: string;
  instead?: string;
  rows: string[];
  when?: string;
};

export const VERDICTS = new Map<string, CatalogueVerdict>(
  (catalogue.verdicts as CatalogueVerdict[]).map((verdict) => [verdict.code, verdict]),
);

const entryOf = (code: string): CatalogueVerdict => {
  const entry = VERDICTS.get(code);
  if (!entry) throw new Error(`verdict ${code} has no words`);
  return entry;
};

export const verdictMessage = (code: string, params?: Params, figure?: FigureWriter): string =>
  say(entryOf(code).words, params, figure);

/** Which fault or harm would follow, and what to do instead, as codes with words. */
export function leadOf(code: string, params?: Params, figure?: FigureWriter) {
  const { follows, instead } = entryOf(code);
  const worded = (template: string, words: Record<string, string>) => {
    const lead = say(template, params);
    const text = words[lead];
    if (text === undefined) throw new Error(`${lead}, of verdict ${code}, has no words`);
    return { code: lead, text: say(text, params, figure) };
  };
  return {
    ...(follows ? { follows: worded(follows, FOLLOWS) } : {}),
    ...(instead ? { instead: worded(instead, INSTEAD) } : {}),
  };
}

/**
 * A verdict in one clause, what would follow and what to do instead: as it is said where there is
 * room for one line only.
 */
export function verdictSaid(code: string, params?: Params, figure?: FigureWriter): string {
  const { follows, instead } = leadOf(code, params, figure);
  return [verdictMessage(code, params, figure), follows?.text, instead?.text]
    .filter(Boolean)
    .join(' ');
}
