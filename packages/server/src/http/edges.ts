/** What is asked of every request before anything else: where it comes from, what it may keep. */
import type { RequestHandler } from 'express';
import { ForeignOrigin, NotFound } from './faults.ts';

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'content-security-policy':
    "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'self'; frame-ancestors 'none'",
};
const OWN_NAMES = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;
const READS = ['GET', 'HEAD', 'OPTIONS'];

/**
 * A page from elsewhere that has bent a name to this machine is not answered: there are no accounts
 * to keep it out. Nor may a page from elsewhere write here.
 */
export const guardEdges: RequestHandler = (req, res, next) => {
  res.set(HEADERS);
  const host = req.headers.host ?? '';
  if (!OWN_NAMES.test(host))
    throw new NotFound('This server answers only under its own loopback address.');
  const { origin } = req.headers;
  if (!READS.includes(req.method) && origin !== undefined && origin !== `http://${host}`)
    throw new ForeignOrigin('Only this shop’s own pages may write here.');
  next();
};

/** What the shop knows changes: no cache between keeps it. Photos say otherwise themselves. */
export const neverKept: RequestHandler = (_req, res, next) => {
  res.set('cache-control', 'no-store');
  next();
};
