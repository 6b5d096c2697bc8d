/** Whoever guesses is slowed down, by the painter he guesses at and by where he sits. */
import { LessThan, type EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { NotSignedIn, TooManyTries } from '../http/faults.ts';
import { isRight } from './secrets.ts';
import { CredentialTable, TryTable } from './signInTables.ts';

const FREE_TRIES = 5;
const FIRST_WAIT_MS = 60_000;
const LONGEST_WAIT_MS = 15 * 60_000;
const MOST_FROM_ONE_PLACE = 20;
const COUNTED_MS = 15 * 60_000;
export const WRONG = 'That is not right. After five wrong ones there is a wait.';

export type Where = { address: string; deviceId?: string; what: string };

const minutes = (ms: number): number => Math.max(1, Math.ceil(ms / 60_000));

/** @throws TooManyTries where from this place too many were wrong of late */
async function holdPlace(manager: EntityManager, address: string): Promise<void> {
  const [counted]: { wrong: number }[] = await manager.query(
    'select count(*)::int as wrong from sign_in_try where address = $1 and at > $2 and not came',
    [address, new Date(Date.now() - COUNTED_MS)],
  );
  if (counted!.wrong >= MOST_FROM_ONE_PLACE)
    throw new TooManyTries(
      `Too many wrong tries from this place. Wait ${minutes(COUNTED_MS)} min, and ask a lead.`,
    );
}

const note = (
  manager: EntityManager,
  { address, deviceId, what }: Where,
  painterId: string | undefined,
  came: boolean,
): Promise<unknown> =>
  manager.insert(TryTable, {
    id: newId(),
    at: new Date(),
    address,
    what,
    painterId: painterId ?? null,
    deviceId: deviceId ?? null,
    came,
  });

/**
 * Holds a PIN against a painter's; of a painter that is none, it is wrong like any other. Outside
 * of any transaction that may be taken back: a wrong try counts whatever follows.
 * @throws NotSignedIn where it is wrong, TooManyTries where it is not even looked at
 */
export async function tryPin(
  manager: EntityManager,
  painterId: string | undefined,
  pin: string,
  where: Where,
): Promise<void> {
  await holdPlace(manager, where.address);
  const kept = painterId ? await manager.findOneBy(CredentialTable, { painterId }) : null;
  const waitMs = (kept?.lockedUntil?.getTime() ?? 0) - Date.now();
  if (waitMs > 0)
    throw new TooManyTries(
      `Too many wrong PINs. Wait ${minutes(waitMs)} min, or have a lead give a new one.`,
    );
  const came = await isRight(pin, kept?.pinHash);
  await note(manager, where, painterId, came);
  if (kept && came && kept.wrongTries > 0)
    await manager.update(CredentialTable, { painterId: kept.painterId }, { wrongTries: 0 });
  if (kept && !came) await countWrong(manager, kept.painterId);
  if (!came) throw new NotSignedIn(WRONG);
}

/** Counted by the database itself, so that many at once are as many. */
async function countWrong(manager: EntityManager, painterId: string): Promise<void> {
  await manager.query(
    `update credential set wrong_tries = wrong_tries + 1, locked_until = case
       when wrong_tries + 1 >= $2 then now() + least($4::double precision, $3::double precision * power(2, least(wrong_tries + 1 - $2, 20))) * interval '1 millisecond'
       else locked_until end where painter_id = $1`,
    [painterId, FREE_TRIES, FIRST_WAIT_MS, LONGEST_WAIT_MS],
  );
}

/** A code that is read off the shop's machine is held like a PIN. */
export async function tryCode(
  manager: EntityManager,
  isTheCode: () => Promise<boolean>,
  where: Where,
): Promise<void> {
  await holdPlace(manager, where.address);
  const came = await isTheCode();
  await note(manager, where, undefined, came);
  if (!came) throw new NotSignedIn('That is not the code of this machine, or it was used already.');
}

/** A quarter of a year is looked back on; longer, nobody asks. */
const KEPT_FOR_MS = 90 * 86_400_000;
export const forgetOldTries = (manager: EntityManager): Promise<unknown> =>
  manager.delete(TryTable, { at: LessThan(new Date(Date.now() - KEPT_FOR_MS)) });
