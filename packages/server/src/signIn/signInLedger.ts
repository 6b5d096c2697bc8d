/** Coming in and going out: a PIN given, a tablet trusted, everybody signed out. */
import type { BeginSignIn, SetPin, SignIn, TrustDevice } from '@orthochrom/contract/shop/signIn.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { NotFound, NotSignedIn, NotYours } from '../http/faults.ts';
import { actingNow } from '../http/requestIdentity.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { PainterTable } from '../shop/shopTables.ts';
import { hashOf, newCode, tokenHash } from './secrets.ts';
import { endSessionsOf, openSession, trustDevice } from './sessions.ts';
import { CodeTable, CredentialTable, DeviceTable, TouchTable } from './signInTables.ts';
import { tryCode, tryPin, WRONG, type Where } from './tries.ts';

export type CameIn = { sessionToken: string; deviceToken?: string };

const lowered = (name: string): string => name.trim().toLocaleLowerCase('en');
const painterNamed = async (manager: EntityManager, name: string) =>
  (await manager.findBy(PainterTable, { archivedAt: IsNull() })).find(
    (painter) => lowered(painter.name) === lowered(name),
  );

const traced = async (manager: EntityManager, painterId: string, kind: string, patch: object) => ({
  shopId: await shopIdOf(manager),
  painterId,
  aggregateType: 'signIn',
  aggregateId: painterId,
  kind,
  patch,
});

/** On a device that is trusted already. */
export async function signIn(
  ledger: Ledger,
  device: { id: string },
  { painterId, pin }: z.infer<typeof SignIn>,
  where: Where,
): Promise<CameIn> {
  await tryPin(ledger.manager, painterId, pin, where);
  if (!(await ledger.manager.existsBy(PainterTable, { id: painterId, archivedAt: IsNull() })))
    throw new NotSignedIn(WRONG);
  return ledger.writeSecret(async (manager, trace) => {
    const sessionToken = await openSession(manager, device.id, painterId);
    await trace(await traced(manager, painterId, 'signed-in', { deviceId: device.id }));
    return { sessionToken };
  });
}

/** A lead on a device that nobody knows: it is trusted from then on. */
export async function signInAndTrust(
  ledger: Ledger,
  { name, pin, deviceName }: z.infer<typeof TrustDevice>,
  where: Where,
): Promise<CameIn> {
  const painter = await painterNamed(ledger.manager, name);
  const lead = painter?.role === 'lead' ? painter : undefined;
  await tryPin(ledger.manager, lead?.id, pin, where);
  return ledger.writeSecret((manager, trace) => comeInAnew(manager, trace, lead!.id, deviceName));
}

/** The device is trusted, and its first session open. */
async function comeInAnew(
  manager: EntityManager,
  trace: Parameters<Parameters<Ledger['write']>[0]>[1],
  painterId: string,
  deviceName: string,
): Promise<CameIn> {
  const { id, token } = await trustDevice(manager, deviceName, painterId);
  const sessionToken = await openSession(manager, id, painterId);
  await trace(await traced(manager, painterId, 'device-trusted', { deviceId: id, deviceName }));
  return { sessionToken, deviceToken: token };
}

/** The first lead of a shop, or one whose PIN is lost: by the code of the shop's machine. */
export async function beginSignIn(
  ledger: Ledger,
  { code, name, pin, deviceName }: z.infer<typeof BeginSignIn>,
  where: Where,
): Promise<CameIn> {
  await tryCode(ledger.manager, () => isCode(ledger.manager, code), where);
  return ledger.writeSecret(async (manager, trace) => {
    const painter = await painterNamed(manager, name);
    if (!painter) throw new NotFound(`Nobody called ${name} paints here. The code stays good.`);
    return comeInAsLead(manager, trace, { painterId: painter.id, code, pin, deviceName });
  });
}

/** Within the transaction that makes a shop, or gives one its first lead. */
export async function comeInAsLead(
  manager: EntityManager,
  trace: Parameters<Parameters<Ledger['write']>[0]>[1],
  of: { painterId: string; code: string; pin: string; deviceName: string },
): Promise<CameIn> {
  await useCode(manager, of.code);
  await manager.update(PainterTable, { id: of.painterId }, { role: 'lead' });
  await keepPin(manager, of.painterId, of.pin);
  return comeInAnew(manager, trace, of.painterId, of.deviceName);
}

const typed = (code: string): string =>
  tokenHash(
    code
      .trim()
      .toUpperCase()
      .replaceAll(/[^A-Z0-9]/g, ''),
  );

export async function isCode(manager: EntityManager, code: string): Promise<boolean> {
  const found: unknown[] = await manager.query(
    'select from sign_in_code where code_hash = $1 and used_at is null and until > now()',
    [typed(code)],
  );
  return found.length > 0;
}

/** @throws NotSignedIn where another was quicker with it */
async function useCode(manager: EntityManager, code: string): Promise<void> {
  const [, used]: [unknown[], number] = await manager.query(
    'update sign_in_code set used_at = now() where code_hash = $1 and used_at is null and until > now()',
    [typed(code)],
  );
  if (used !== 1) throw new NotSignedIn('This code was used already.');
}

const CODE_HOLDS_MS = 24 * 3_600_000;
/** A new one makes the others worthless. */
export async function makeCode(manager: EntityManager): Promise<string> {
  const code = newCode();
  await manager.query('update sign_in_code set used_at = now() where used_at is null');
  await manager.insert(CodeTable, {
    id: newId(),
    codeHash: tokenHash(code),
    until: new Date(Date.now() + CODE_HOLDS_MS),
    usedAt: null,
  });
  return code;
}

async function keepPin(manager: EntityManager, painterId: string, pin: string): Promise<void> {
  const row = {
    pinHash: await hashOf(pin),
    wrongTries: 0,
    lockedUntil: null,
    changedAt: new Date(),
  };
  await manager.upsert(CredentialTable, { painterId, ...row }, ['painterId']);
}

/**
 * A new PIN ends every session but the one it is given in.
 * @throws NotYours where it is another's and no lead gives it, NotSignedIn where the old one is
 *   wrong
 */
export async function setPin(
  ledger: Ledger,
  painterId: string,
  { pin, current }: z.infer<typeof SetPin>,
  where: Where,
): Promise<void> {
  const acting = actingNow();
  const isOwn = acting?.painterId === painterId;
  if (acting && !isOwn && acting.role !== 'lead')
    throw new NotYours('Another’s PIN is given by a lead. Nothing was changed.');
  if (isOwn) await tryPin(ledger.manager, painterId, current ?? '', where);
  await ledger.writeSecret(async (manager, trace) => {
    if (!(await manager.existsBy(PainterTable, { id: painterId })))
      throw new NotFound(`There is no painter ${painterId}.`);
    await keepPin(manager, painterId, pin);
    await endSessionsOf(manager, painterId, isOwn ? acting?.sessionId : undefined);
    await trace(await traced(manager, painterId, 'pin-set', {}));
  });
}

export const signOutEverywhere = (ledger: Ledger, painterId: string): Promise<void> => {
  const acting = actingNow();
  if (acting && acting.painterId !== painterId && acting.role !== 'lead')
    throw new NotYours('Another is signed out by a lead. Nothing was changed.');
  return ledger.writeSecret(async (manager, trace) => {
    await endSessionsOf(manager, painterId);
    await trace(await traced(manager, painterId, 'signed-out-everywhere', {}));
  });
};

/** Whoever was signed in there is out. */
export const distrust = (ledger: Ledger, deviceId: string): Promise<void> =>
  ledger.writeSecret(async (manager, trace) => {
    const { affected } = await manager.update(
      DeviceTable,
      { id: deviceId, distrustedAt: IsNull() },
      { distrustedAt: new Date() },
    );
    if (affected !== 1) throw new NotFound(`No such device is trusted.`);
    await trace(
      await traced(manager, actingNow()?.painterId ?? deviceId, 'device-distrusted', { deviceId }),
    );
  });

/** @returns under which the next write of this session comes */
export async function leadTouches(
  ledger: Ledger,
  sessionId: string,
  leadId: string,
  pin: string,
  where: Where,
): Promise<string> {
  await tryPin(ledger.manager, leadId, pin, where);
  const lead = await ledger.manager.findOneBy(PainterTable, { id: leadId, archivedAt: IsNull() });
  if (lead?.role !== 'lead') throw new NotYours('Only a lead may put a hand to it.');
  const id = newId();
  await ledger.manager.insert(TouchTable, { id, sessionId, leadId, at: new Date(), usedAt: null });
  return id;
}
