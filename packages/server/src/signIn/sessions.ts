/** Devices that a lead trusts, and who is signed in on them. All of it in the database. */
import { USUAL_ROLE, type Role, type WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { IsNull, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { PainterTable } from '../shop/shopTables.ts';
import { newToken, tokenHash } from './secrets.ts';
import { CredentialTable, DeviceTable, SessionTable } from './signInTables.ts';

/** A working day without a touch, or a week with: then the PIN is asked again. */
const IDLE_MS = 12 * 3_600_000;
const LONGEST_MS = 7 * 86_400_000;
/** When somebody was last seen is written down this often. */
const SEEN_EVERY_MS = 60_000;

export type Session = {
  sessionId: string;
  deviceId: string;
  painterId: string;
  name: string;
  role: Role;
  lastSeenAt: Date;
};

/**
 * Who holds this cookie, as long as device, painter and session are what they were.
 * @param isTouched somebody asks for something: a screen that only listens keeps nobody signed in
 */
export async function sessionOf(
  manager: EntityManager,
  token: string | undefined,
  isTouched = true,
): Promise<Session | undefined> {
  if (!token) return undefined;
  const now = Date.now();
  const [row]: (Omit<Session, 'role'> & { role: Role | null })[] = await manager.query(
    `select s.id as "sessionId", s.device_id as "deviceId", s.painter_id as "painterId",
       p.name, p.role, s.last_seen_at as "lastSeenAt"
     from session s join device d on d.id = s.device_id join painter p on p.id = s.painter_id
     where s.token_hash = $1 and s.ended_at is null and d.distrusted_at is null
       and p.archived_at is null and s.last_seen_at > $2 and s.started_at > $3`,
    [tokenHash(token), new Date(now - IDLE_MS), new Date(now - LONGEST_MS)],
  );
  if (!row) return undefined;
  if (isTouched && now - row.lastSeenAt.getTime() > SEEN_EVERY_MS) {
    await manager.update(SessionTable, { id: row.sessionId }, { lastSeenAt: new Date(now) });
    await manager.update(DeviceTable, { id: row.deviceId }, { lastSeenAt: new Date(now) });
  }
  return { ...row, role: row.role ?? USUAL_ROLE };
}

export async function deviceOf(
  manager: EntityManager,
  token: string | undefined,
): Promise<{ id: string; name: string } | undefined> {
  if (!token) return undefined;
  const device = await manager.findOneBy(DeviceTable, {
    tokenHash: tokenHash(token),
    distrustedAt: IsNull(),
  });
  return device ? { id: device.id, name: device.name } : undefined;
}

export async function openSession(
  manager: EntityManager,
  deviceId: string,
  painterId: string,
): Promise<string> {
  const token = newToken();
  const now = new Date();
  await manager.insert(SessionTable, {
    id: newId(),
    deviceId,
    painterId,
    tokenHash: tokenHash(token),
    startedAt: now,
    lastSeenAt: now,
    endedAt: null,
  });
  return token;
}

export async function trustDevice(
  manager: EntityManager,
  name: string,
  trustedBy: string,
): Promise<{ id: string; token: string }> {
  const [id, token, now] = [newId(), newToken(), new Date()];
  await manager.insert(DeviceTable, {
    id,
    name,
    tokenHash: tokenHash(token),
    trustedBy,
    trustedAt: now,
    lastSeenAt: now,
    distrustedAt: null,
  });
  return { id, token };
}

/** @param but stays: the one by which it is asked */
export const endSessionsOf = (
  manager: EntityManager,
  painterId: string,
  but?: string,
): Promise<unknown> =>
  manager.query(
    'update session set ended_at = now() where painter_id = $1 and ended_at is null and id is distinct from $2',
    [painterId, but ?? null],
  );

export const endSession = (manager: EntityManager, id: string): Promise<unknown> =>
  manager.update(SessionTable, { id, endedAt: IsNull() }, { endedAt: new Date() });

/** Everybody who paints here, with whether a PIN is there. */
export async function paintersHere(manager: EntityManager): Promise<WhoIsHere['painters']> {
  const painters = await manager.find(PainterTable, {
    where: { archivedAt: IsNull() },
    order: { createdAt: 'ASC', id: 'ASC' },
  });
  const pins = new Set((await manager.find(CredentialTable)).map(({ painterId }) => painterId));
  return painters.map(({ id, name, role }) => ({
    id,
    name,
    role: role ?? USUAL_ROLE,
    hasPin: pins.has(id),
  }));
}

export const hasLeadWithPin = async (manager: EntityManager): Promise<boolean> =>
  (await paintersHere(manager)).some(({ role, hasPin }) => role === 'lead' && hasPin);
