/** Before any route: who asks, whether he may, and whether a lead has to put a hand to it. */
import { goesAgainstAdvice, mayAs, TOUCH_HEADER } from '@orthochrom/contract/shop/signIn.ts';
import { Id } from '@orthochrom/contract/shop/common.ts';
import type { Request, RequestHandler } from 'express';
import type { DataSource, EntityManager } from 'typeorm';
import { NotSignedIn, NotYours } from '../http/faults.ts';
import { actAs } from '../http/requestIdentity.ts';
import { ShopTable } from '../shop/shopTables.ts';
import { NAMES_ANOTHER, roleFor } from './access.ts';
import { cookieOf } from './cookies.ts';
import { sessionOf, type Session } from './sessions.ts';

/** Under which a response that stays open finds out whether its session does. */
export const STILL_IN = 'isStillIn';
export type StillIn = () => Promise<boolean>;

/** Answered to whoever asks: whether the server is there, and how to come in. */
const OPEN = /^\/(health|sign-in)(\/|$)/;
/** The first thing of an empty shop; its ledger asks for the code. */
const isFirstOfAll = (req: Request): boolean => req.method === 'POST' && req.path === '/shop';
const TOUCH_HOLDS_MS = 5 * 60_000;

/** @param isAsked whether a PIN is wanted: not while only this machine is answered */
export const guard =
  (database: DataSource, isAsked: boolean): RequestHandler =>
  async (req, res, next) => {
    if (!isAsked || OPEN.test(req.path) || isFirstOfAll(req)) return next();
    const { manager } = database;
    const token = cookieOf(req, 'session');
    const session = await sessionOf(manager, token);
    if (!session) throw new NotSignedIn('Sign in first: touch your name and give your PIN.');
    holdRole(req, session);
    holdName(req, session);
    const touchedById = await leadsTouch(manager, req, session);
    const isStillIn: StillIn = async () => (await sessionOf(manager, token, false)) !== undefined;
    res.locals[STILL_IN] = isStillIn;
    const { painterId, role, sessionId, deviceId } = session;
    actAs({ painterId, role, sessionId, deviceId, ...(touchedById ? { touchedById } : {}) });
    next();
  };

function holdRole({ method, path }: Request, { role }: Session): void {
  const wanted = roleFor(method, path);
  if (mayAs(role, wanted)) return;
  throw new NotYours(
    wanted === 'lead'
      ? 'Only a lead may do this. Nothing was changed.'
      : 'An apprentice may not change the shop’s own things. Nothing was changed.',
  );
}

/** Nobody says of another that he did it. */
function holdName(req: Request, { painterId, name }: Session): void {
  if (req.method === 'GET' || NAMES_ANOTHER.test(req.path)) return;
  const told =
    (req.body as { painterId?: unknown } | undefined)?.painterId ?? req.query['painterId'];
  if (told === undefined || told === painterId) return;
  throw new NotYours(
    `This was noted by somebody else than ${name}, who is signed in. It goes once that painter is.`,
  );
}

/**
 * The lead who put a hand to it, where one is asked.
 * @throws NotYours where none did: `lead-asked`
 */
async function leadsTouch(
  manager: EntityManager,
  req: Request,
  { role, sessionId }: Session,
): Promise<string | undefined> {
  if (role !== 'apprentice' || req.method === 'GET' || !goesAgainstAdvice(req.body))
    return undefined;
  const [shop] = await manager.find(ShopTable, { take: 1, order: { createdAt: 'ASC' } });
  if (!shop?.apprenticeAsks) return undefined;
  const id = req.get(TOUCH_HEADER);
  const [touched] = Id.safeParse(id).success
    ? await manager
        .query<[{ lead_id: string }[], number]>(
          `update lead_touch set used_at = now()
           where id = $1 and session_id = $2 and used_at is null and at > $3 returning lead_id`,
          [id, sessionId, new Date(Date.now() - TOUCH_HOLDS_MS)],
        )
        .then(([rows]) => rows)
    : [];
  if (touched) return touched.lead_id;
  throw new NotYours(
    'This goes against the advice: a lead puts a hand to it with a PIN. Nothing was changed.',
    'lead-asked',
  );
}
