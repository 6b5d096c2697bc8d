/**
 * Every verdict with its level and words: one catalogue for the command line, the API and the
 * screen.
 */
import { VERDICT_CODES, VERDICT_LEVEL, type VerdictCode } from '@orthochrom/core/outcome/codes.ts';
import type { Params } from '@orthochrom/core/outcome/verdicts.ts';
import type { Level } from '@orthochrom/core/outcome/codes.ts';
import catalogue from '../verdicts.json' with { type: 'json' };
import { FOLLOWS, INSTEAD } from './leadWords.ts';
import { paramsInWords } from './termWords.ts';
import { say, type FigureWriter } from './say.ts';

export type CatalogueVerdict = {
  code: VerdictCode;
  level: Level;
  calculations: string[];
  words: string;
  /**
   * Codes of leadWords.ts; a {word} in one is the verdict's own param, where two sides lead to two
   * faults.
   */
  follows?: string;
  instead?: string;
  when?: string;
};
type Entry = Omit<CatalogueVerdict, 'code' | 'level'>;

/** Every code of core has its entry, or this does not compile. */
const ENTRIES: Record<VerdictCode, Entry> = catalogue.verdicts;

export const VERDICTS = new Map<string, CatalogueVerdict>(
  VERDICT_CODES.map((code) => [code, { code, level: VERDICT_LEVEL[code], ...ENTRIES[code] }]),
);

const entryOf = (code: string): CatalogueVerdict => {
  const entry = VERDICTS.get(code);
  if (!entry) throw new Error(`verdict ${code} has no words`);
  return entry;
};

export const verdictMessage = (code: string, params: Params = {}, figure?: FigureWriter): string =>
  say(entryOf(code).words, paramsInWords(params, figure), figure);

/** Which fault or harm would follow, and what to do instead, as codes with words. */
export function leadOf(code: string, params: Params = {}, figure?: FigureWriter) {
  const { follows, instead } = entryOf(code);
  const inWords = paramsInWords(params, figure);
  const worded = (template: string, words: Record<string, string>) => {
    const lead = say(template, inWords);
    const text = words[lead];
    if (text === undefined) throw new Error(`${lead}, of verdict ${code}, has no words`);
    return { code: lead, text: say(text, inWords, figure) };
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
export function verdictSaid(code: string, params: Params = {}, figure?: FigureWriter): string {
  const { follows, instead } = leadOf(code, params, figure);
  return [verdictMessage(code, params, figure), follows?.text, instead?.text]
    .filter(Boolean)
    .join(' ');
}
