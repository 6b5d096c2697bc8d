/**
 * From the log to a belief in each cause: prior odds times the likelihood ratio of every reading
 * that was taken.
 */
import type { Cause, EvidenceRow, Knowledge, Log, ReadingValue } from './knowledge.ts';

/** What one reading says about one cause: natural logarithm of its likelihood ratio. */
export type Term = {
  reading: string;
  value: ReadingValue;
  isMet: boolean;
  logRatio: number;
  row: EvidenceRow;
};
/** `logOdds` is that the cause is at work on this job, before anything was seen at the panel. */
export type Belief = { cause: Cause; logOdds: number; terms: Term[] };

/**
 * A reading nobody took, in a log that is otherwise full, counts for this part of a reading found
 * in order: whoever wrote down so much would have written down what was out of line. Without it
 * many untouched causes drown one that was measured.
 */
const UNTAKEN_SHARE = 0.5;
/** Half of the full weight at this many readings taken. */
const HALF_FULL_LOG = 4;

const logOddsOf = (probability: number): number => Math.log(probability / (1 - probability));

/** 0 for an empty log, towards 1 as it fills. Only readings that bear on some cause count. */
export function completenessOf(knowledge: Knowledge, log: Log): number {
  const bearing = new Set(
    knowledge.causes.flatMap((cause) => cause.evidence.map((row) => row.reading)),
  );
  const taken = Object.keys(log).filter((reading) => bearing.has(reading)).length;
  return taken / (taken + HALF_FULL_LOG);
}

/** True, false, or undefined while one of the readings it needs is missing or of another kind. */
export function isMet(row: EvidenceRow, log: Log): boolean | undefined {
  const value = log[row.reading];
  if (value === undefined) return undefined;
  const { than } = row;
  if (row.is === 'in')
    return typeof value === 'string' && Array.isArray(than) && than.includes(value);
  if (row.is === '==') return value === than;
  const limit = typeof than === 'string' ? log[than] : than;
  if (typeof value !== 'number' || typeof limit !== 'number') return undefined;
  return row.is === '<'
    ? value < limit
    : row.is === '<='
      ? value <= limit
      : row.is === '>'
        ? value > limit
        : value >= limit;
}

/** Beliefs of all causes, in the order of the knowledge. */
export function beliefsOf(knowledge: Knowledge, log: Log): Belief[] {
  const completeness = completenessOf(knowledge, log);
  return knowledge.causes.map((cause) => beliefOf(knowledge, cause, log, completeness));
}

function beliefOf(knowledge: Knowledge, cause: Cause, log: Log, completeness: number): Belief {
  const terms: Term[] = [];
  let untaken = 0;
  for (const rows of alternatives(cause.evidence)) {
    const told = rows.flatMap((row) => {
      const met = isMet(row, log);
      if (met === undefined) return [];
      const ratio = knowledge.evidence[row.weight][met ? 'met' : 'notMet'];
      return [
        {
          reading: row.reading,
          value: log[row.reading]!,
          isMet: met,
          logRatio: Math.log(ratio),
          row,
        },
      ];
    });
    if (told.length > 0) terms.push(strongest(told));
    else untaken += Math.min(...rows.map((row) => Math.log(knowledge.evidence[row.weight].notMet)));
  }
  const [least, most] = knowledge.evidenceCap;
  const sum = terms.reduce((total, term) => total + term.logRatio, 0);
  const weighed = Math.min(Math.log(most), Math.max(Math.log(least), sum));
  return {
    cause,
    logOdds: logOddsOf(cause.prior) + weighed + UNTAKEN_SHARE * completeness * untaken,
    terms,
  };
}

/** Rows of one group together, every other row alone. */
function alternatives(rows: readonly EvidenceRow[]): EvidenceRow[][] {
  const groups = new Map<string, EvidenceRow[]>();
  rows.forEach((row, i) => {
    const key = row.group ?? `row ${i}`;
    groups.set(key, [...(groups.get(key) ?? []), row]);
  });
  return [...groups.values()];
}

/** Of alternatives: the loudest that is met; if none is, the one that clears most. */
const strongest = (terms: Term[]): Term => {
  const met = terms.filter((term) => term.isMet);
  const [first, ...rest] = met.length > 0 ? met : terms;
  const louder = (a: Term, b: Term) =>
    met.length > 0 ? b.logRatio > a.logRatio : b.logRatio < a.logRatio;
  return rest.reduce((best, term) => (louder(best, term) ? term : best), first!);
};
