/**
 * What every calculation tells beside its figures: codes and numbers, never sentences.
 * The contract turns them into words, once for the command line, the API and the screen.
 */
import type { CodeOfLevel, Level, VerdictCode } from './codes.ts';
import type { ReasonCode } from './reasonCodes.ts';
import type { AdviceCode, AskCode } from './askCodes.ts';
import type { TermCode } from './terms.ts';

export type Path = (string | number)[];
/** A thing by its code: the contract has the words. */
export type Term = { term: TermCode };
/** A time told in words, whatever its parameter is called. */
export type Duration = { minutes: number };
/** From and to, of a thing that has a name of its own. */
export type TimeRange = { of: string; fromSeconds: number; toSeconds: number };
/** A thing named by its code. */
export const term = (code: TermCode): Term => ({ term: code });
/** Figures with their unit in the name, names as they were given, and terms, alone or in a row. */
export type Params = Record<string, number | string | Term | Term[] | Duration | TimeRange[]>;

export type Verdict = { level: Level; code: VerdictCode; path?: Path; params?: Params };
export const REASON_SOURCES = ['dataSheet', 'model', 'rule', 'record'] as const;
export type ReasonSource = (typeof REASON_SOURCES)[number];
export type Reason = { code: ReasonCode; source: ReasonSource; params?: Params };
export type Ask = { field: string; code: AskCode; options?: string[] };
export type Advice = { code: AdviceCode; params?: Params };

export type WithVerdicts = { verdicts: Verdict[] };
export type Explained = WithVerdicts & { reasons: Reason[] };

const verdict =
  <L extends Level>(level: L) =>
  (code: CodeOfLevel<L>, params?: Params, path?: Path): Verdict => ({
    level,
    code,
    ...(params ? { params } : {}),
    ...(path ? { path } : {}),
  });

export const go = verdict('go');
export const caution = verdict('caution');
export const stop = verdict('stop');

/** A reason: its code, whose word it is, and its figures. */
export const because = (code: ReasonCode, source: ReasonSource, params?: Params): Reason => ({
  code,
  source,
  ...(params ? { params } : {}),
});

/** True when the work must not go ahead. */
export const isStopped = (verdicts: readonly Verdict[]): boolean =>
  verdicts.some((v) => v.level === 'stop');

/** The worst level among the verdicts; an answer without any is a go. */
export function worstLevel(verdicts: readonly { level: Level }[]): Level {
  if (verdicts.some((v) => v.level === 'stop')) return 'stop';
  return verdicts.some((v) => v.level === 'caution') ? 'caution' : 'go';
}
