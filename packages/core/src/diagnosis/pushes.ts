/** Which answer pushed a fault, and how far: its weight of evidence against the rivals that are left (Good, 1950). */
import { because, type Reason } from '../outcome/told.ts';
import type { Heard } from './answers.ts';
import type { Term } from './evidence.ts';

/** `logRatio` above 0 speaks for the fault: ln of how much likelier the answer is under it than under its rivals. */
export type Push = { question: string; answer: string; logRatio: number };

/** Rivals weigh as much as they are still believed in. Loudest first. */
export function pushesOf(posterior: readonly number[], heard: readonly Heard[], fault: number): Push[] {
  const rivals = posterior.reduce((sum, p, f) => (f === fault ? sum : sum + p), 0);
  if (rivals <= 0) return [];
  return heard
    .map(({ question, answer, logLikelihood, power }) => {
      const against = posterior.reduce((sum, p, f) => (f === fault ? sum : sum + p * Math.exp(power * logLikelihood[f]!)), 0);
      return { question, answer, logRatio: power * logLikelihood[fault]! - Math.log(against / rivals) };
    })
    .sort((a, b) => Math.abs(b.logRatio) - Math.abs(a.logRatio) || (a.question < b.question ? -1 : 1));
}

/** Only what moved the belief by at least this factor is a reason worth reading. */
const WORTH_TELLING = Math.log(1.5);
const MOST_ANSWERS = 3;
const MOST_READINGS = 3;

export type Told = { id: string; terms: readonly Term[] };

/** Strongest first; that the numbers are estimates is always the last. */
export function reasonsOf(
  version: number,
  fault: string,
  pushes: readonly Push[],
  leading: readonly Told[],
  cleared: readonly Told[],
): Reason[] {
  const answers = pushes
    .filter(({ logRatio }) => logRatio >= WORTH_TELLING)
    .slice(0, MOST_ANSWERS)
    .map(({ question, answer, logRatio }) =>
      because('answer-points-to', 'rule', { question, answer, fault, timesFactor: Math.exp(logRatio) }),
    );
  const readings = leading.flatMap(({ id, terms }) =>
    terms
      .filter(({ logRatio }) => logRatio > 0)
      .map(({ reading }) => because('reading-points-to', 'record', { reading, cause: id })),
  );
  const against = cleared.flatMap(({ id, terms }) =>
    terms
      .filter(({ logRatio }) => logRatio < 0)
      .map(({ reading }) => because('reading-speaks-against', 'record', { reading, cause: id })),
  );
  return [
    ...answers,
    ...readings.slice(0, MOST_READINGS),
    ...against.slice(0, MOST_READINGS),
    because('numbers-are-estimates', 'rule', { version }),
  ];
}
