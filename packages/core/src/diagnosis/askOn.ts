/** Whether the next question is worth asking though the answer stands: whether one of its likely answers would turn the advice. */
import { tablesOf } from './answers.ts';
import { diagnose, type DiagnoseInput, type Diagnosis } from './diagnose.ts';
import type { Knowledge } from './knowledge.ts';

/** Answers rarer than this are not reckoned with. */
const LIKELY_ANSWER = 0.12;

/** What a painter would do by it: the fault, the first change, the rung of the repair. */
const adviceOf = ({ faults, changes, repair }: Diagnosis): string =>
  [faults[0]?.id, changes[0]?.cause, repair?.rung.do].join('|');

/** Answers that are likely by what is believed now; of a question about causes any answer is. */
function likelyAnswers(knowledge: Knowledge, { faults }: Diagnosis, question: string): string[] {
  const asked = tablesOf(knowledge).get(question);
  if (!asked) return [...(knowledge.causeQuestions.find(({ id }) => id === question)?.options ?? [])];
  const at = new Map(knowledge.faults.map(({ id }, f) => [id, f]));
  const total = faults.reduce((sum, { probability }) => sum + probability, 0);
  const chance = (logLikelihood: readonly number[]) =>
    faults.reduce((sum, { id, probability }) => sum + probability * Math.exp(logLikelihood[at.get(id)!]!), 0) / total;
  return [...asked.options].filter(([, row]) => chance(row) >= LIKELY_ANSWER).map(([answer]) => answer);
}

/** The diagnosis, with the question that is still to be asked because its answer would change what to do. */
export function diagnoseAskingOn(knowledge: Knowledge, input: DiagnoseInput): Diagnosis {
  const now = diagnose(knowledge, input);
  const next = now.offers[0];
  if (!now.decided || !next) return now;
  const turns = likelyAnswers(knowledge, now, next.id).some((answer) => {
    const then = diagnose(knowledge, { ...input, observations: [...input.observations, { question: next.id, answer }] });
    return adviceOf(then) !== adviceOf(now);
  });
  return turns ? { ...now, wouldChange: next.id } : now;
}
