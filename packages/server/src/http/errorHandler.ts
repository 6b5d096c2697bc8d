import { RefusedInput } from '@orthochrom/contract/calculations/ask.ts';
import type { ErrorRequestHandler } from 'express';
import { databaseFault } from './databaseFault.ts';
import {
  BadInput,
  Busy,
  ForeignOrigin,
  GateOpen,
  NotFound,
  NotSignedIn,
  NotYours,
  OutOfTurn,
  Stopped,
  TakesTooLong,
  TooManyTries,
  VersionClash,
} from './faults.ts';
import { hasCommitted } from './requestIdentity.ts';

type Answer = { status: number; error: object };
const answer = (status: number, code: string, message: string, extra: object = {}): Answer => ({
  status,
  error: { code, message, path: [], ...extra },
});

/** What the parsers of Express throw; their status says whose fault it was. */
const parserFault = (fault: unknown): Answer | undefined => {
  const { type, status } = (fault ?? {}) as { type?: unknown; status?: unknown };
  if (type === 'entity.parse.failed' || type === 'entity.too.large')
    return answer(422, 'not-json', 'This is not JSON, or over 1 MB.');
  if (status === 415)
    return answer(415, 'encoding', 'What is sent comes as it is: neither packed nor re-encoded.');
  return typeof status === 'number' && status >= 400 && status < 500
    ? answer(status, 'bad-request', 'This request cannot be read.')
    : undefined;
};

/** What a request ran into, as its own status and words. */
function knownFault(fault: unknown): Answer | undefined {
  if (fault instanceof BadInput || fault instanceof RefusedInput)
    return { status: 422, error: fault.report };
  if (fault instanceof VersionClash)
    return answer(409, 'version-clash', fault.message, { mine: fault.mine, theirs: fault.theirs });
  if (fault instanceof GateOpen) return answer(409, 'gate-open', fault.message);
  if (fault instanceof Stopped)
    return answer(409, 'stopped', fault.message, { verdicts: fault.verdicts });
  if (fault instanceof OutOfTurn) return answer(409, 'out-of-turn', fault.message);
  if (fault instanceof NotFound) return answer(404, 'not-found', fault.message);
  if (fault instanceof ForeignOrigin) return answer(403, 'foreign-origin', fault.message);
  if (fault instanceof NotSignedIn) return answer(401, 'sign-in', fault.message);
  if (fault instanceof NotYours) return answer(403, fault.code, fault.message);
  if (fault instanceof TooManyTries) return answer(429, 'too-many-tries', fault.message);
  if (fault instanceof TakesTooLong) return answer(422, 'takes-too-long', fault.message);
  if (fault instanceof Busy) return answer(503, 'busy', fault.message);
  return parserFault(fault);
}

/**
 * Only the name of an unforeseen fault and where it arose are written down: its message may hold
 * what somebody typed.
 */
function note(fault: unknown): void {
  const { name, stack = '' } = fault instanceof Error ? fault : { name: typeof fault };
  const where = stack.split('\n').filter((line) => line.trimStart().startsWith('at '));
  console.error([`unforeseen: ${name}`, ...where].join('\n'));
}

const KEPT =
  'It was written down; only reading it back failed. Do not send it again: look at it first.';

export const errorHandler: ErrorRequestHandler = (fault: unknown, _req, res, next) => {
  if (res.headersSent) return next(fault);
  const known = knownFault(fault) ?? databaseFault(fault);
  if (!known) note(fault);
  const { status, error } = hasCommitted()
    ? answer(500, 'kept-not-read', KEPT)
    : (known ?? answer(500, 'internal', 'The program failed on this; nothing was changed.'));
  res.status(status).json({ error });
};
