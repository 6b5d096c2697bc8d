/**
 * Simulated painters at the fault bench: causes are drawn from their priors, a fault from its
 * causes, half of the readings are taken, answers are drawn from the tables, and a tenth of them is
 * wrong. It shows that the judgement keeps to its own numbers, not that the numbers are right in
 * the shop: those wait for confirmed jobs.
 */
import { diagnose, type Diagnosis } from '@orthochrom/core/diagnosis/diagnose.ts';
import {
  NONE_OF_THESE,
  type Cause,
  type EvidenceRow,
  type Log,
  type ReadingValue,
} from '@orthochrom/core/diagnosis/knowledge.ts';
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';

const PAINTERS = 400;
const MOST_QUESTIONS = 12;
const WRONG = 0.1;
const TAKEN = 0.5;
const { knowledge, files } = theKnowledge();
const familyOf = new Map(files.faults.faults.map(({ id, family }) => [id, family]));

type Draw = () => number;
type Job = { fault: string; log: Log };

function jobOf(draw: Draw): Job {
  for (;;) {
    const active = knowledge.causes.filter(({ prior }) => draw() < prior);
    const chance = (fault: string) =>
      1 -
      active.reduce((none, cause) => none * (1 - (cause.makes[fault] ?? 0)), 1 - knowledge.leak);
    const faults = knowledge.faults.filter(({ id }) => id !== NONE_OF_THESE);
    const came = faults.filter(({ id }) => draw() < chance(id));
    const fault = came[Math.floor(draw() * came.length)];
    if (fault) return { fault: fault.id, log: logOf(active, draw) };
  }
}

/**
 * A reading of an active cause is out of line, one of another cause in order; half of them were
 * taken.
 */
function logOf(active: readonly Cause[], draw: Draw): Log {
  const log: Record<string, ReadingValue> = {};
  for (const cause of knowledge.causes)
    for (const row of cause.evidence) {
      if (row.reading in log || typeof row.than !== 'number') continue;
      const isMet =
        active.includes(cause) &&
        draw() < knowledge.evidence[row.weight].met / (1 + knowledge.evidence[row.weight].met);
      if (draw() < TAKEN) log[row.reading] = valueFor(row, row.than, isMet);
    }
  return log;
}
const valueFor = ({ is }: EvidenceRow, than: number, isMet: boolean): number =>
  is.startsWith('<') === isMet ? than - 0.2 : than + 0.2;

function answerTo(question: string, fault: string, draw: Draw): string {
  const known = knowledge.questions.find(({ id }) => id === question)!;
  const speaking = known.options.flatMap((option, i) =>
    known.skips.includes(option) ? [] : [{ option, i }],
  );
  if (draw() < WRONG) return speaking[Math.floor(draw() * speaking.length)]!.option;
  const row = known.rows[fault] ?? known.base;
  let left = draw() * speaking.reduce((sum, { i }) => sum + row[i]!, 0);
  for (const { option, i } of speaking) {
    left -= row[i]!;
    if (left <= 0) return option;
  }
  return speaking.at(-1)!.option;
}

type Ended = { fault: string; diagnosis: Diagnosis; asked: number };
/** Stops at the first answer, or asks on until it is sure. */
const SURE = 0.8;
function painter(seed: number, asksOn: boolean): Ended {
  const draw = drawnFrom(seed);
  const { fault, log } = jobOf(draw);
  const observations: { question: string; answer: string }[] = [];
  for (;;) {
    const diagnosis = diagnose(knowledge, { observations, log, film: 'dry' });
    const next = diagnosis.offers.find(({ about }) => about === 'fault');
    const isEnough = diagnosis.decided && (!asksOn || diagnosis.faults[0]!.probability >= SURE);
    if (isEnough || !next || observations.length >= MOST_QUESTIONS)
      return { fault, diagnosis, asked: observations.length };
    observations.push({ question: next.id, answer: answerTo(next.id, fault, draw) });
  }
}

const share = (list: readonly unknown[], of: number): string =>
  `${((100 * list.length) / of).toFixed(1)} %`;

export function benchFaults(): void {
  console.log(
    `\nsimulated painters       ${PAINTERS}, ${100 * WRONG} % of the answers wrong, half of the readings taken`,
  );
  tell('stops at the first answer', false);
  tell('asks on until 80 % sure', true);
}

function tell(title: string, asksOn: boolean): void {
  const started = performance.now();
  const ended = Array.from({ length: PAINTERS }, (_, seed) => painter(seed + 1, asksOn));
  const stepMs =
    (performance.now() - started) / ended.reduce((sum, { asked }) => sum + asked + 1, 0);
  const isRight = ({ fault, diagnosis }: Ended) => diagnosis.faults[0]!.id === fault;
  const isFamily = ({ fault, diagnosis }: Ended) =>
    familyOf.get(diagnosis.faults[0]!.id) === familyOf.get(fault);
  const decided = ended.filter(({ diagnosis }) => diagnosis.decided);
  const asked = ended.map((end) => end.asked).sort((a, b) => a - b);
  const mean = asked.reduce((a, b) => a + b, 0) / PAINTERS;
  const line = (name: string, text: string) => console.log(`${name.padEnd(25)}${text}`);
  line(title, '');
  line(
    '  family first',
    `${share(ended.filter(isFamily), PAINTERS)}; the fault itself ${share(ended.filter(isRight), PAINTERS)}`,
  );
  line(
    '  decided',
    `${share(decided, PAINTERS)}; of those the family right ${share(decided.filter(isFamily), decided.length)}`,
  );
  line('  questions asked', `${mean.toFixed(1)} on average, ${asked[PAINTERS / 2]} in the middle`);
  line(
    '  Brier score',
    `${brierOf(ended).toFixed(3)} (0 is best, 2 worst; knowing nothing ${(1 - 1 / knowledge.faults.length).toFixed(2)})`,
  );
  for (const bin of reliabilityOf(ended, isRight))
    line(
      '  said, was right',
      `${bin.said.toFixed(0)} %, ${bin.right.toFixed(0)} % of ${bin.painters}`,
    );
  line(
    '  one question and answer',
    `${stepMs.toFixed(1)} ms, ${(stepMs / (1000 / 60)).toFixed(2)} of a frame`,
  );
}

/** brier-1950, over all faults. */
const brierOf = (ended: readonly Ended[]): number =>
  ended.reduce((sum, { fault, diagnosis }) => {
    const told = new Map(diagnosis.faults.map(({ id, probability }) => [id, probability]));
    return (
      sum +
      knowledge.faults.reduce(
        (part, { id }) => part + ((told.get(id) ?? 0) - (id === fault ? 1 : 0)) ** 2,
        0,
      )
    );
  }, 0) / ended.length;

const BIN = 0.2;
function reliabilityOf(ended: readonly Ended[], isRight: (end: Ended) => boolean) {
  const topOf = ({ diagnosis }: Ended) => Math.min(0.999, diagnosis.faults[0]!.probability);
  return [0, 1, 2, 3, 4].flatMap((i) => {
    const inBin = ended.filter((end) => Math.floor(topOf(end) / BIN) === i);
    if (inBin.length === 0) return [];
    const said = (100 * inBin.reduce((sum, end) => sum + topOf(end), 0)) / inBin.length;
    return [
      { said, right: (100 * inBin.filter(isRight).length) / inBin.length, painters: inBin.length },
    ];
  });
}
