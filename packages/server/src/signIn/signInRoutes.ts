import {
  BeginSignIn,
  LeadTouch,
  SetPin,
  SignIn,
  SignOutEverywhere,
  TrustDevice,
  type WhoIsHere,
} from '@orthochrom/contract/shop/signIn.ts';
import { Router, type Request, type Response } from 'express';
import { IsNull } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import { NotSignedIn } from '../http/faults.ts';
import { bodyOf, idOf } from '../http/request.ts';
import { ShopTable } from '../shop/shopTables.ts';
import { cookieOf, dropCookie, setCookie } from './cookies.ts';
import { deviceOf, endSession, hasLeadWithPin, paintersHere, sessionOf } from './sessions.ts';
import {
  beginSignIn,
  distrust,
  leadTouches,
  setPin,
  signIn,
  signInAndTrust,
  signOutEverywhere,
  type CameIn,
} from './signInLedger.ts';
import { DeviceTable } from './signInTables.ts';

export function comeIn(req: Request, res: Response, { sessionToken, deviceToken }: CameIn): void {
  if (deviceToken) setCookie(req, res, 'device', deviceToken);
  setCookie(req, res, 'session', sessionToken);
}

export function signInRoutes(ledger: Ledger, isAsked: boolean): Router {
  const routes = Router();
  const { manager } = ledger;
  const where = (req: Request, what: string, deviceId?: string) => ({
    address: req.ip ?? '',
    what,
    ...(deviceId ? { deviceId } : {}),
  });

  routes.get('/sign-in', async (req, res) => {
    const device = await deviceOf(manager, cookieOf(req, 'device'));
    const session = await sessionOf(manager, cookieOf(req, 'session'));
    const isKnown = device !== undefined || !isAsked;
    const who: WhoIsHere = {
      isAsked,
      wantsCode: isAsked && !(await hasLeadWithPin(manager)),
      isEmpty: !(await manager.exists(ShopTable)),
      ...(device ? { device } : {}),
      painters: isKnown ? await paintersHere(manager) : [],
      ...(session ? { me: { id: session.painterId, name: session.name, role: session.role } } : {}),
    };
    res.json(who);
  });
  routes.post('/sign-in', async (req, res) => {
    const body = bodyOf(SignIn, req);
    const device = await deviceOf(manager, cookieOf(req, 'device'));
    if (!device)
      throw new NotSignedIn('This device is not trusted here: a lead signs in on it first.');
    comeIn(req, res, await signIn(ledger, device, body, where(req, 'pin', device.id)));
    res.status(201).json({ signedIn: true });
  });
  routes.post('/sign-in/trust', async (req, res) => {
    const body = bodyOf(TrustDevice, req);
    comeIn(req, res, await signInAndTrust(ledger, body, where(req, 'trust')));
    res.status(201).json({ signedIn: true });
  });
  routes.post('/sign-in/begin', async (req, res) => {
    const body = bodyOf(BeginSignIn, req);
    comeIn(req, res, await beginSignIn(ledger, body, where(req, 'code')));
    res.status(201).json({ signedIn: true });
  });
  routes.post('/sign-in/out', async (req, res) => {
    const session = await sessionOf(manager, cookieOf(req, 'session'));
    if (session) await endSession(manager, session.sessionId);
    dropCookie(req, res, 'session');
    res.json({ signedIn: false });
  });
  routes.post('/sign-in/touch', async (req, res) => {
    const { leadId, pin } = bodyOf(LeadTouch, req);
    const session = await sessionOf(manager, cookieOf(req, 'session'));
    if (!session) throw new NotSignedIn('Sign in first.');
    const at = where(req, 'touch', session.deviceId);
    res.status(201).json({ id: await leadTouches(ledger, session.sessionId, leadId, pin, at) });
  });
  routes.post('/sessions/end-all', async (req, res) => {
    await signOutEverywhere(ledger, bodyOf(SignOutEverywhere, req).of);
    res.json({ signedOut: true });
  });
  routes.put('/painters/:id/pin', async (req, res) => {
    await setPin(ledger, idOf(req), bodyOf(SetPin, req), where(req, 'change'));
    res.json({ set: true });
  });
  routes.get('/devices', async (_req, res) => {
    const devices = await manager.find(DeviceTable, {
      where: { distrustedAt: IsNull() },
      order: { lastSeenAt: 'DESC' },
    });
    res.json(
      devices.map(({ id, name, trustedAt, lastSeenAt }) => ({ id, name, trustedAt, lastSeenAt })),
    );
  });
  routes.post('/devices/:id/distrust', async (req, res) => {
    await distrust(ledger, idOf(req));
    res.json({ distrusted: true });
  });
  return routes;
}
