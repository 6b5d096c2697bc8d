/**
 * Faults, causes, readings and answers as a painter says them; the words themselves are kept with
 * the knowledge.
 */
import type { EvidenceRow, Layer, ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import type { CauseTerm } from '@orthochrom/core/diagnosis/causes.ts';
import type { Term } from '@orthochrom/core/diagnosis/evidence.ts';
import type { Units } from '../shop/setup.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';
import { shownReading } from './readingUnits.ts';

const byId = <T extends { id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((item) => [item.id, item]));

let maps: ReturnType<typeof read> | undefined;
const read = () => {
  const { faults, causes, questions, steps } = theKnowledge().files;
  return {
    faults: byId(faults.faults),
    causes: byId(causes.causes),
    steps: byId(steps.steps),
    questions: byId<Asked>([...questions.questions, ...questions.causeQuestions]),
  };
};
type Asked = { id: string; ask: string; options: Record<string, string> };
const words = () => (maps ??= read());

export const faultName = (id: string): string => words().faults.get(id)?.name ?? id;
export const causeName = (id: string): string => words().causes.get(id)?.name ?? id;
export const causeWords = (id: string) => words().causes.get(id)!;
export const faultWords = (id: string) => words().faults.get(id)!;
export const stepWords = (id: string) => words().steps.get(id)!;
export const questionWords = (id: string): Asked => words().questions.get(id)!;
export const answerLabel = (question: string, answer: string): string =>
  words().questions.get(question)?.options[answer] ?? answer;

export const LAYER_WORDS: Record<Layer, string> = {
  substrate: 'what lies under the primer',
  primer: 'primer',
  sealer: 'sealer',
  ground: 'ground coat',
  base: 'base',
  effect: 'effect coat',
  clear: 'clear',
  singleStage: 'single stage',
};

/** As fine as such a reading can be taken; finer by so many decimals where that hides something. */
const rounded = (value: number, finer = 0): number =>
  Number(value.toFixed((Math.abs(value) >= 10 ? 0 : Math.abs(value) >= 1 ? 1 : 2) + finer));

/**
 * A value of a reading with its unit; shares of what was wanted in per cent.
 * @param units the painter's; as it is kept where there is none
 */
export function readingValueText(
  reading: string,
  value: ReadingValue,
  units?: Units,
  finer = 0,
): string {
  const known = theKnowledge().files.readings.readings[reading];
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value.replaceAll('_', ' ');
  if (known?.kind !== 'number') return String(value);
  const { symbol, isPrefix, shown } = shownReading(known.unit, units);
  return isPrefix ? `${symbol}${value}` : `${rounded(shown(value as number), finer)}${symbol}`;
}

export const readingName = (reading: string): string =>
  theKnowledge().files.readings.readings[reading]?.name ?? reading;

function limitText({ reading, is, than }: EvidenceRow, units?: Units): string {
  if (Array.isArray(than))
    return than.map((word) => String(word).replaceAll('_', ' ')).join(' or ');
  const value = than as ReadingValue;
  const known = theKnowledge().files.readings.readings;
  const limit =
    typeof value === 'string' && Object.hasOwn(known, value)
      ? readingName(value)
      : readingValueText(reading, value, units);
  return {
    '<': `under ${limit}`,
    '<=': `${limit} or less`,
    '>': `over ${limit}`,
    '>=': `${limit} or more`,
    '==': limit,
    in: limit,
  }[is];
}

/** One reading about one cause: what it was, and the mark it was held against. */
export function termText({ reading, value, isMet, row }: Term, units?: Units): string {
  const limit = limitText(row, units);
  // “-12 %, under -12 %” says nothing: where rounding makes them one, the reading is told finer.
  const short = readingValueText(reading, value, units);
  const { than } = row;
  const isHidden =
    typeof than === 'number' && value !== than && readingValueText(reading, than, units) === short;
  const told = `${readingName(reading)}: ${isHidden ? readingValueText(reading, value, units, 2) : short}`;
  if (row.is === '==' || row.is === 'in') return isMet ? told : `${told}, not ${limit}`;
  return `${told}, ${isMet ? '' : 'not '}${limit}`;
}

export const causeTermText = ({ question, answer }: CauseTerm): string =>
  `${questionWords(question).ask} ${answerLabel(question, answer)}.`;

const SIGHTS: [key: 'drops' | 'film' | 'sag' | 'pop', name: string, up: string, down: string][] = [
  ['drops', 'drops', 'coarser', 'finer'],
  ['film', 'film', 'thicker', 'thinner'],
  ['sag', 'sagging', 'more likely', 'less likely'],
  ['pop', 'popping', 'more likely', 'less likely'],
];

/** What to expect of one step: "drops finer, film thinner". */
export function stepExpects(id: string): string {
  const { signs } = stepWords(id);
  const parts = SIGHTS.flatMap(([key, name, up, down]) =>
    signs[key] === 0 ? [] : [`${name} ${signs[key] > 0 ? up : down}`],
  );
  return parts.join(', ');
}
