/**
 * What to ask next: expected information about the fault per effort (lindley-1956), and, once it
 * is known, about its cause.
 */
import { answerEvidence, posteriorOf, type Observation, type Tables } from './answers.ts';
import { causePosterior, causeTermsOf, withCauseAnswers } from './causes.ts';
import type { Belief } from './evidence.ts';
import type { CauseQuestion, FilmState, Knowledge, Layer, Log, Question } from './knowledge.ts';

export type Offer = {
  id: string;
  gainBits: number;
  cost: number;
  about: 'fault' | 'cause' | 'repair';
};

/** Under this a question is not worth the painter's time: bits per unit of cost. */
const WORTH_ASKING_BITS = 0.03;
/**
 * A question that needs nothing but eyes goes first if it has this part of the best gain per cost.
 */
const EYES_FIRST = 0.7;
/** Causes are only asked about when the fault is this sure. */
const FAULT_SURE = 0.6;
/** This one parts most families at a glance. */
const ALWAYS_FIRST = ['q_family'];

/** How open a question is, bits (lindley-1956). */
export const entropyBits = (probabilities: readonly number[]): number =>
  -probabilities.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);

/** A film that may still be wet is not touched; one that is dry has no wet film to measure. */
const mayBeAsked = (film: FilmState, state: 'wet' | 'dry' | 'unknown'): boolean =>
  film === 'any' || (film === 'wet' ? state !== 'dry' : state === 'dry');

const isKnown = ({ knownBy }: Question | CauseQuestion, log: Log): boolean =>
  knownBy.some((id) => log[id] !== undefined);

/** Expected fall of the entropy over the faults, in bits. */
export function gainOf(
  tables: Tables,
  logPriors: readonly number[],
  observations: readonly Observation[],
  posterior: readonly number[],
  question: string,
): number {
  const before = entropyBits(posterior);
  const { question: asked, options } = tables.get(question)!;
  // A fact that nobody has looked at yet counts in full and changes no other's weight: the
  // posterior itself is the prior.
  const isNewFact =
    asked.group === undefined ||
    !observations.some((given) => tables.get(given.question)?.question.group === asked.group);
  let after = 0;
  for (const [answer, logLikelihood] of options) {
    const joint = posterior.map((p, f) => p * Math.exp(logLikelihood[f]!));
    const chance = joint.reduce((sum, p) => sum + p, 0);
    const then = isNewFact
      ? joint.map((p) => p / chance)
      : posteriorOf(logPriors, answerEvidence(tables, [...observations, { question, answer }]));
    after += chance * entropyBits(then);
  }
  return Math.max(0, before - after);
}

export type Asking = {
  knowledge: Knowledge;
  tables: Tables;
  logPriors: readonly number[];
  observations: readonly Observation[];
  posterior: readonly number[];
  /** Before answers about causes. */
  beliefs: readonly Belief[];
  log: Log;
  film: 'wet' | 'dry' | 'unknown';
  seenIn: Layer | undefined;
};

/**
 * Everything worth asking, the next one first. A question that was answered, or that nobody could
 * tell, is not asked again.
 */
export function offersOf(asking: Asking): Offer[] {
  const { knowledge, tables, logPriors, observations, posterior, log, film } = asking;
  const asked = new Set(observations.map(({ question }) => question));
  const offers: Offer[] = knowledge.questions
    .filter(
      (question) =>
        !asked.has(question.id) && mayBeAsked(question.film, film) && !isKnown(question, log),
    )
    .map(({ id, cost }) => ({
      id,
      cost,
      gainBits: gainOf(tables, logPriors, observations, posterior, id),
      about: 'fault' as const,
    }))
    .filter((offer) => perCost(offer) >= WORTH_ASKING_BITS);
  const toolOf = (id: string) => tables.get(id)?.question.tool;
  const ranked = offers.sort((a, b) => perCost(b) - perCost(a) || (a.id < b.id ? -1 : 1));
  const best = ranked[0] ? perCost(ranked[0]) : 0;
  const withEyes = ranked.find(
    (offer) => toolOf(offer.id) === 'none' && perCost(offer) >= EYES_FIRST * best,
  );
  const first = ALWAYS_FIRST.flatMap((id) => ranked.filter((offer) => offer.id === id));
  const leading = first.length > 0 ? first : withEyes ? [withEyes] : [];
  return [
    ...leading,
    ...ranked.filter((offer) => !leading.includes(offer)),
    ...causeOffersOf(asking, asked),
  ];
}

/**
 * What lies below is asked before anything is done over it, however little it says of the fault.
 */
export function offersBelow(asking: Asking): Offer[] {
  const { knowledge, tables, logPriors, observations, posterior, log, film } = asking;
  return knowledge.neverOver.asks.questions.flatMap((id) => {
    const question = tables.get(id)!.question;
    const isOpen =
      !observations.some((given) => given.question === id) &&
      mayBeAsked(question.film, film) &&
      !isKnown(question, log);
    return isOpen
      ? [
          {
            id,
            cost: question.cost,
            about: 'repair' as const,
            gainBits: gainOf(tables, logPriors, observations, posterior, id),
          },
        ]
      : [];
  });
}

const perCost = ({ gainBits, cost }: Offer): number => gainBits / cost;

/** Questions that part causes: asked once the fault is known, wherever they settle something. */
function causeOffersOf(asking: Asking, asked: ReadonlySet<string>): Offer[] {
  const { knowledge, posterior, log } = asking;
  const top = posterior.indexOf(Math.max(...posterior));
  if (posterior[top]! < FAULT_SURE) return [];
  const fault = knowledge.faults[top]!.id;
  return knowledge.causeQuestions
    .filter(
      (question) =>
        question.for.includes(fault) && !asked.has(question.id) && !isKnown(question, log),
    )
    .map(({ id, cost, options }) => ({
      id,
      cost,
      about: 'cause' as const,
      gainBits: causeGainOf(asking, id, options),
    }))
    .filter((offer) => perCost(offer) >= WORTH_ASKING_BITS)
    .sort((a, b) => perCost(b) - perCost(a) || (a.id < b.id ? -1 : 1));
}

/**
 * Mean fall of the entropy over the causes; how often each answer comes is not known, so they count
 * alike.
 */
function causeGainOf(asking: Asking, question: string, options: readonly string[]): number {
  const spreadBits = (posteriors: Map<string, number>) => {
    const values = [...posteriors.values()];
    const sum = values.reduce((total, value) => total + value, 0);
    return entropyBits(values.map((value) => value / sum));
  };
  const before = spreadBits(causePosteriorWith(asking, asking.observations));
  const after = options.map((answer) =>
    spreadBits(causePosteriorWith(asking, [...asking.observations, { question, answer }])),
  );
  return Math.max(0, before - after.reduce((sum, bits) => sum + bits, 0) / after.length);
}

const causePosteriorWith = (
  { knowledge, beliefs, posterior, log, seenIn }: Asking,
  observations: readonly Observation[],
) =>
  causePosterior(
    knowledge,
    withCauseAnswers(beliefs, causeTermsOf(knowledge, observations, log)),
    posterior,
    seenIn,
  );
