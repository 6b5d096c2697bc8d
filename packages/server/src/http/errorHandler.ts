import { RefusedInput } from '@orthochrom/contract/registry.ts';
import type { ErrorRequestHandler } from 'express';
import { BadInput, GateOpen, NotFound, OutOfTurn, Stopped, VersionClash } from './faults.ts';

const body = (code: string, message: string, extra: object = {}) => ({
  error: { code, message, path: [], ...extra },
});

/** A request body that is not JSON or too large comes from the body parser with these types. */
const isUnreadable = (fault: unknown): boolean =>
  typeof fault === 'object' &&
  fault !== null &&
  'type' in fault &&
  ['entity.parse.failed', 'entity.too.large'].includes(String(fault.type));

export const errorHandler: ErrorRequestHandler = (fault: unknown, _req, res, _next) => {
  if (fault instanceof BadInput || fault instanceof RefusedInput)
    res.status(422).json({ error: fault.report });
  else if (isUnreadable(fault))
    res.status(422).json(body('not-json', 'This is not JSON, or over 1 MB.'));
  else if (fault instanceof VersionClash)
    res
      .status(409)
      .json(body('version-clash', fault.message, { mine: fault.mine, theirs: fault.theirs }));
  else if (fault instanceof GateOpen) res.status(409).json(body('gate-open', fault.message));
  else if (fault instanceof Stopped)
    res.status(409).json(body('stopped', fault.message, { verdicts: fault.verdicts }));
  else if (fault instanceof OutOfTurn) res.status(409).json(body('out-of-turn', fault.message));
  else if (fault instanceof NotFound) res.status(404).json(body('not-found', fault.message));
  else {
    console.error(fault);
    res.status(500).json(body('internal', 'The program failed on this; nothing was changed.'));
  }
};
