/** The two cookies: out of reach of any script, sent to this shop alone. */
import { parse } from 'cookie';
import type { Request, Response } from 'express';

const NAMES = { session: 'orthochrom-session', device: 'orthochrom-device' } as const;
type Name = keyof typeof NAMES;
const KEPT_MS = { session: 7 * 86_400_000, device: 400 * 86_400_000 };

/** RFC 6265bis, 4.1.3: the prefix binds it to this host, under TLS alone. */
const named = (req: Request, name: Name): string => `${req.secure ? '__Host-' : ''}${NAMES[name]}`;

export const cookieOf = (req: Request, name: Name): string | undefined =>
  parse(req.headers.cookie ?? '')[named(req, name)];

export const setCookie = (req: Request, res: Response, name: Name, token: string): unknown =>
  res.cookie(named(req, name), token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: req.secure,
    path: '/',
    maxAge: KEPT_MS[name],
  });

export const dropCookie = (req: Request, res: Response, name: Name): unknown =>
  res.clearCookie(named(req, name), {
    httpOnly: true,
    sameSite: 'strict',
    secure: req.secure,
    path: '/',
  });
