/**
 * From answers to faults: naive Bayes, where questions that look at the same fact do not count
 * twice.
 */
import { NONE_OF_THESE, type Knowledge, type Question } from './knowledge.ts';

export type Observation = { question: string; answer: string };
/** ln P(answer | fault) in the order of the faults, and how much of it counts. */
export type AnswerEvidence = Observation & { logLikelihood: readonly number[]; power: number };

/** Of questions that look at the same fact the loudest counts in full, the others so much. */
const SAME_FACT_POWER = 0.5;

/**
 * An answer is explained by a fault that gives it at least so often as the fault that gives it
 * most.
 */
export const EXPLAINED_SHARE = 0.25;

/**
 * ln P(option | fault) for every option: rows are brought to a sum of 1 over the options that say
 * something. A part of all answers is misread, whatever the fault: no single look may decide alone.
 */
export function logLikelihoodsOf(knowledge: Knowledge, question: Question): Map<string, number[]> {
  const speaking = question.options.flatMap((option, i) =>
    question.skips.includes(option) ? [] : [i],
  );
  const rows = knowledge.faults.map(({ id }) => {
    const row =
      question.rows[id] ?? (id === NONE_OF_THESE ? question.options.map(() => 1) : question.base);
    const sum = speaking.reduce((total, i) => total + row[i]!, 0);
    const { misread } = knowledge;
    return row.map((weight) =>
      Math.log(((1 - misread) * weight) / sum + misread / speaking.length),
    );
  });
  return new Map(speaking.map((i) => [question.options[i]!, rows.map((row) => row[i]!)]));
}

/**
 * Likelihood tables of all questions, worked out once for one knowledge. `spread`: how far an
 * answer parts the faults, between the likeliest and the least likely.
 */
export type Tables = ReadonlyMap<
  string,
  {
    question: Question;
    options: ReadonlyMap<string, readonly number[]>;
    spread: ReadonlyMap<string, number>;
  }
>;

const worked = new WeakMap<Knowledge, Tables>();
/** The likelihood tables of a knowledge; worked out at the first question and kept with it. */
export function tablesOf(knowledge: Knowledge): Tables {
  const known = worked.get(knowledge);
  if (known) return known;
  const tables = new Map(
    knowledge.questions.map((question) => {
      const options = logLikelihoodsOf(knowledge, question);
      const spread = new Map([...options].map(([answer, row]) => [answer, spreadOf(row)]));
      return [question.id, { question, options, spread }];
    }),
  );
  worked.set(knowledge, tables);
  return tables;
}

const spreadOf = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/**
 * The answers that say something about faults, each with its power. The order they came in does not
 * matter.
 */
export function answerEvidence(
  tables: Tables,
  observations: readonly Observation[],
): AnswerEvidence[] {
  const told = observations.flatMap(({ question, answer }) => {
    const logLikelihood = tables.get(question)?.options.get(answer);
    return logLikelihood ? [{ question, answer, logLikelihood }] : [];
  });
  const loudness = ({ question, answer }: Observation) => tables.get(question)!.spread.get(answer)!;
  const louder = [...told].sort(
    (a, b) => loudness(b) - loudness(a) || (a.question < b.question ? -1 : 1),
  );
  const facts = new Set<string>();
  return louder.map((observation) => {
    const fact = tables.get(observation.question)!.question.group ?? observation.question;
    const isFirst = !facts.has(fact);
    facts.add(fact);
    return { ...observation, power: isFirst ? 1 : SAME_FACT_POWER };
  });
}

/**
 * Posterior of each fault, summing to 1; `scale` by log-sum-exp, so that no long list of answers
 * underflows.
 */
export function posteriorOf(
  logPriors: readonly number[],
  evidence: readonly AnswerEvidence[],
): number[] {
  const logs = logPriors.map((prior, f) =>
    evidence.reduce((sum, { logLikelihood, power }) => sum + power * logLikelihood[f]!, prior),
  );
  const scale = Math.max(...logs);
  const weights = logs.map((value) => Math.exp(value - scale));
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}
