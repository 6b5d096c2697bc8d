/**
 * What a request can run into, each with its status; anything else is our own fault and says
 * nothing of the inside.
 */
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import type { Refusal, RefusalReport } from '@orthochrom/contract/quantity/refusal.ts';

export class BadInput extends Error {
  readonly report: RefusalReport;
  constructor(report: RefusalReport) {
    super(report.message);
    this.report = report;
  }
  static at(path: Refusal['path'], code: string, message: string): BadInput {
    return new BadInput({ code, message, path });
  }
}

export class NotFound extends Error {}

/** Somebody else changed it in between; both sides are shown and nothing is overwritten. */
export class VersionClash extends Error {
  readonly mine: unknown;
  readonly theirs: unknown;
  constructor(what: string, mine: unknown, theirs: unknown) {
    super(`${what} was changed meanwhile. Nothing was overwritten: compare and choose.`);
    this.mine = mine;
    this.theirs = theirs;
  }
}

/** The ticket's safety gate has not passed for this stage, room and painter today. */
export class GateOpen extends Error {}

/** Something stands against going on: all of it is told, and nothing was moved. */
export class Stopped extends Error {
  readonly verdicts: WordedVerdict[];
  constructor(message: string, verdicts: WordedVerdict[]) {
    super(message);
    this.verdicts = verdicts;
  }
}

/** The thing is not in a state in which this may be done. */
export class OutOfTurn extends Error {}

/** A page from elsewhere asks for a write. */
export class ForeignOrigin extends Error {}

/** A calculation that would keep others waiting: it was ended, and nothing else was. */
export class TakesTooLong extends Error {}

/** More is asked than can be answered now. */
export class Busy extends Error {}

/** Nobody is signed in, or the PIN is not right. */
export class NotSignedIn extends Error {}

/** Whoever is signed in may not do this. */
export class NotYours extends Error {
  readonly code: 'not-yours' | 'lead-asked';
  constructor(message: string, code: 'not-yours' | 'lead-asked' = 'not-yours') {
    super(message);
    this.code = code;
  }
}

/** Somebody guesses. */
export class TooManyTries extends Error {}
