/** A request that comes again does its work once; another one under its id is a clash. */
import { LessThan, type EntityManager } from 'typeorm';
import { VersionClash } from '../http/faults.ts';
import type { RequestIdentity } from '../http/requestIdentity.ts';
import { insertOnce } from './insertOnce.ts';
import { RequestTable } from './requestTable.ts';

/** More than this is not kept to be shown in a clash: files say it themselves. */
const MOST_SHOWN = 64_000;

/**
 * Within one transaction with the work: a second request under the same id waits for the first
 * one's end.
 * @throws VersionClash where this id was used for something else; nothing is changed then
 */
export async function oncePerRequest<T>(
  manager: EntityManager,
  { id, what, digest, given }: RequestIdentity,
  work: () => Promise<T>,
): Promise<T> {
  const isShort = JSON.stringify(given ?? null).length <= MOST_SHOWN;
  const row = { id, what, digest, given: isShort ? given : null, result: null, at: new Date() };
  if (await insertOnce(manager, RequestTable, row)) {
    const result = await work();
    await manager.update(RequestTable, { id }, { result: (result ?? null) as never });
    return result;
  }
  const before = await manager.findOneByOrFail(RequestTable, { id });
  if (before.digest !== digest || before.what !== what)
    throw new VersionClash('What was sent under this id', given, before.given);
  return before.result as T;
}

/** No device keeps a request for longer: what it was asked under is of no use to anybody. */
const KEPT_FOR_MS = 90 * 86_400_000;
export const forgetOldRequests = (manager: EntityManager): Promise<unknown> =>
  manager.delete(RequestTable, { at: LessThan(new Date(Date.now() - KEPT_FOR_MS)) });
