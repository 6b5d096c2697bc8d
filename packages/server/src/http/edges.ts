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
const YEAR_SECONDS = 31_536_000;
const OWN_NAMES = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;
const READS = ['GET', 'HEAD', 'OPTIONS'];

/** Where others than this machine are answered. */
export type Network = {
  /** The names and addresses by which the shop's own tablets call it. */
  names: readonly string[];
  /** A proxy of this machine stands before it and says who asked, and how. */
  behindProxy: boolean;
};

const withoutPort = (host: string): string => host.replace(/:\d+$/, '');

/**
 * A page from elsewhere that has bent a name to this machine is not answered. Nor may a page from
 * elsewhere write here.
 */
export const guardEdges =
  (names: readonly string[]): RequestHandler =>
  (req, res, next) => {
    res.set(HEADERS);
    if (req.secure) res.set('strict-transport-security', `max-age=${YEAR_SECONDS}`);
    const host = req.headers.host ?? '';
    if (!OWN_NAMES.test(host) && !names.includes(withoutPort(host).toLowerCase()))
      throw new NotFound('This server answers only under its own address.');
    const { origin } = req.headers;
    if (
      !READS.includes(req.method) &&
      origin !== undefined &&
      origin !== `${req.protocol}://${host}`
    )
      throw new ForeignOrigin('Only this shop’s own pages may write here.');
    next();
  };

/** What the shop knows changes: no cache between keeps it. Photos say otherwise themselves. */
export const neverKept: RequestHandler = (_req, res, next) => {
  res.set('cache-control', 'no-store');
  next();
};
