/** When the answer may be given, and when the honest one is that it is not known yet. */
import type { AnswerEvidence, Tables } from './answers.ts';
import type { Offer } from './nextQuestion.ts';
import { NONE_OF_THESE, type FilmState, type Knowledge } from './knowledge.ts';
import { EXPLAINED_SHARE } from './answers.ts';

/** Sure enough to stop asking. */
const SURE = { top: 0.8, timesSecond: 4 };
/** Enough with a few looks behind it. */
const FAIR = { top: 0.6, timesSecond: 2.5, looks: 3 };
/** Enough when nothing is left that would be worth asking. */
const LAST = { top: 0.45, timesSecond: 1.5 };
/** One look is never enough: a log makes faults likely, it does not see them. */
const LEAST_LOOKS = 2;
/** Two faults that both keep this, with nothing left to ask, are both told. */
const BOTH_KEEP = 0.25;

export type WhyUndecided = 'tooLittle' | 'twoClose' | 'moreToAsk' | 'noneFits' | 'contradiction';
export type Decision = { decided: boolean; doubt?: WhyUndecided; alsoLikely?: number };

/** `beside`: a second fault that is there as well; it is no rival of the first. */
export function decisionOf(
  knowledge: Knowledge,
  posterior: readonly number[],
  evidence: readonly AnswerEvidence[],
  offers: readonly Offer[],
  tables: Tables,
  beside: number | undefined,
): Decision {
  const ranked = posterior
    .map((probability, fault) => ({ probability, fault }))
    .sort((a, b) => b.probability - a.probability);
  const top = ranked[0]!;
  const second = ranked.find(({ fault }) => fault !== top.fault && fault !== beside)!;
  const times = top.probability / second.probability;
  const together = top.probability + (beside === undefined ? 0 : posterior[beside]!);
  const isOver = (bar: { top: number; timesSecond: number }) =>
    together >= bar.top && times >= bar.timesSecond;
  const nothingLeft = !offers.some(({ about }) => about === 'fault');
  const bothKeep =
    nothingLeft && second.probability >= BOTH_KEEP ? { alsoLikely: second.fault } : {};

  if (evidence.length < LEAST_LOOKS) return { decided: false, doubt: 'tooLittle' };
  if (contradicting(tables, evidence)) return { decided: false, doubt: 'contradiction' };
  if (knowledge.faults[top.fault]!.id === NONE_OF_THESE)
    return { decided: false, doubt: 'noneFits' };
  if (
    isOver(SURE) ||
    (evidence.length >= FAIR.looks && isOver(FAIR)) ||
    (nothingLeft && isOver(LAST))
  )
    return { decided: true, ...bothKeep };
  if (!nothingLeft)
    return { decided: false, doubt: times < LAST.timesSecond ? 'twoClose' : 'moreToAsk' };
  return {
    decided: false,
    doubt: top.probability < LAST.top ? 'noneFits' : 'twoClose',
    ...bothKeep,
  };
}

/**
 * Two answers about the same fact that no fault explains together: one look again, never an
 * average.
 */
function contradicting(tables: Tables, evidence: readonly AnswerEvidence[]): boolean {
  const factOf = ({ question }: AnswerEvidence) => tables.get(question)!.question.group;
  const explains = ({ logLikelihood }: AnswerEvidence, f: number) =>
    Math.exp(logLikelihood[f]! - Math.max(...logLikelihood)) >= EXPLAINED_SHARE;
  return evidence.some((one, i) =>
    evidence
      .slice(i + 1)
      .some(
        (other) =>
          factOf(one) !== undefined &&
          factOf(one) === factOf(other) &&
          !one.logLikelihood.some((_, f) => explains(one, f) && explains(other, f)),
      ),
  );
}

const LATER = ['bake_or_overnight', 'days', 'months'];

/**
 * Whether the film may still be wet. Unless somebody says, a fault first seen after the bake, or a
 * check that only a dry film allows, says that it is dry; nothing else does.
 */
export function filmStateOf(
  tables: Tables,
  observations: readonly { question: string; answer: string }[],
  told: 'wet' | 'dry' | undefined,
): 'wet' | 'dry' | 'unknown' {
  if (told) return told;
  const seenLater = observations.some(
    ({ question, answer }) => question === 'q_when' && LATER.includes(answer),
  );
  const stateOf = (question: string): FilmState | undefined => tables.get(question)?.question.film;
  const touched = observations.some(
    ({ question, answer }) =>
      stateOf(question) === 'dry' && tables.get(question)!.options.has(answer),
  );
  return seenLater || touched ? 'dry' : 'unknown';
}
