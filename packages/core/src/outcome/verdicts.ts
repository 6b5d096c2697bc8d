/**
 * What every calculation tells beside its figures: codes and numbers, never sentences.
 * The contract turns them into words, once for the command line, the API and the screen.
 */
export const LEVELS = ['go', 'caution', 'stop'] as const;
export type Level = (typeof LEVELS)[number];
export type Path = (string | number)[];
export type Params = Record<string, number | string>;

export type Verdict = { level: Level; code: string; path?: Path; params?: Params };
export const REASON_SOURCES = ['dataSheet', 'model', 'rule', 'record'] as const;
export type ReasonSource = (typeof REASON_SOURCES)[number];
export type Reason = { code: string; source: ReasonSource; params?: Params };
export type Ask = { field: string; code: string; options?: string[] };
export type Advice = { code: string; params?: Params };

export type WithVerdicts = { verdicts: Verdict[] };
export type Explained = WithVerdicts & { reasons: Reason[] };

const verdict =
  (level: Level) =>
  (code: string, params?: Params, path?: Path): Verdict => ({
    level,
    code,
    ...(params ? { params } : {}),
    ...(path ? { path } : {}),
  });

export const go = verdict('go');
export const caution = verdict('caution');
export const stop = verdict('stop');

export const because = (code: string, source: ReasonSource, params?: Params): Reason => ({
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
