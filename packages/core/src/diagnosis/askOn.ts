/**
 * Whether the next question is worth asking though the answer stands: whether one of its likely
 * answers would turn the advice.
 */
import { tablesOf } from './answers.ts';
import { diagnose, type Diagnosis } from './diagnose.ts';
import type { DiagnoseInput } from './judged.ts';
import type { Knowledge } from './knowledge.ts';
import type { Offer } from './nextQuestion.ts';

/** Answers rarer than this are not reckoned with. */
const LIKELY_ANSWER = 0.12;

/** What a painter would do by it: the fault, the first change, the rung of the repair. */
const adviceOf = ({ faults, changes, repair }: Diagnosis): string =>
  [faults[0]?.id, changes[0]?.cause, repair?.rung.do].join('|');

/** Answers that are likely by what is believed now; of a question about causes any answer is. */
function likelyAnswers(knowledge: Knowledge, { faults }: Diagnosis, question: string): string[] {
  const asked = tablesOf(knowledge).get(question);
  if (!asked)
    return [...(knowledge.causeQuestions.find(({ id }) => id === question)?.options ?? [])];
  const at = new Map(knowledge.faults.map(({ id }, f) => [id, f]));
  const total = faults.reduce((sum, { probability }) => sum + probability, 0);
  const chance = (logLikelihood: readonly number[]) =>
    faults.reduce(
      (sum, { id, probability }) => sum + probability * Math.exp(logLikelihood[at.get(id)!]!),
      0,
    ) / total;
  return [...asked.options]
    .filter(([, row]) => chance(row) >= LIKELY_ANSWER)
    .map(([answer]) => answer);
}

/**
 * So many questions about faults, and about causes, are tried: more would cost more than they tell.
 */
const TRIED = 2;

/**
 * The diagnosis, with the question first that is still to be asked because its answer would change
 * what to do.
 */
export function diagnoseAskingOn(knowledge: Knowledge, input: DiagnoseInput): Diagnosis {
  const now = diagnose(knowledge, input);
  if (!now.decided) return now;
  const turns = ({ id }: Offer) =>
    likelyAnswers(knowledge, now, id).some((answer) => {
      const then = diagnose(knowledge, {
        ...input,
        observations: [...input.observations, { question: id, answer }],
      });
      return adviceOf(then) !== adviceOf(now);
    });
  const about = (isCause: boolean) =>
    now.offers.filter((offer) => (offer.about === 'cause') === isCause).slice(0, TRIED);
  const next = [...about(false), ...about(true)].find(turns);
  if (!next) return now;
  return {
    ...now,
    wouldChange: next.id,
    offers: [next, ...now.offers.filter((offer) => offer !== next)],
  };
}
