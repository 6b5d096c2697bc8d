/**
 * Which request is being served, for what lies deep below the routes: the id that it comes under,
 * what it says, and whether something was committed for it.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import { createHash } from 'node:crypto';
import { Id } from '@orthochrom/contract/shop/common.ts';
import type { Role } from '@orthochrom/contract/shop/signIn.ts';
import type { Request, RequestHandler } from 'express';
import { BadInput } from './faults.ts';

export const IDEMPOTENCY_HEADER = 'idempotency-key';

export type RequestIdentity = {
  id: string;
  what: string;
  digest: string;
  given: unknown;
};

/** Who is signed in where a PIN is asked, and which lead put a hand to this request. */
export type Acting = {
  painterId: string;
  role: Role;
  sessionId: string;
  deviceId: string;
  touchedById?: string;
};

class Served {
  hasCommitted = false;
  acting: Acting | undefined;
  private isTaken = false;
  private readonly req: Request;

  constructor(req: Request) {
    this.req = req;
  }

  header(name: string): string | undefined {
    return this.req.get(name);
  }

  /** Once for each request: its first write answers for the whole of it. */
  take(): RequestIdentity | undefined {
    if (this.isTaken) return undefined;
    this.isTaken = true;
    const id = idOfRequest(this.req);
    if (!id) return undefined;
    const given: unknown = this.req.body;
    return {
      id,
      what: `${this.req.method} ${this.req.baseUrl}${this.req.path}`,
      digest: digestOf(given),
      given: Buffer.isBuffer(given) ? { sizeBytes: given.length } : given,
    };
  }
}

const served = new AsyncLocalStorage<Served>();

/** Express has it before any route. */
export const identify: RequestHandler = (req, _res, next) => served.run(new Served(req), next);

export const takeIdentity = (): RequestIdentity | undefined => served.getStore()?.take();

/**
 * When what is told was noted: now, or before, on a device that could not reach the shop then. Its
 * clock was measured against ours; what lies ahead of us is now.
 * @throws BadInput for a time that is none, or lies over a day back
 */
export function notedAt(): Date {
  const header = served.getStore()?.header(NOTED_AT_HEADER);
  if (header === undefined) return new Date();
  const atMs = Date.parse(header);
  const nowMs = Date.now();
  if (!(atMs >= nowMs - LONGEST_AWAY_MS))
    throw BadInput.at(
      [NOTED_AT_HEADER],
      'out-of-range',
      'A note is at most a day old when it arrives; say it again with the time of now.',
    );
  return new Date(Math.min(atMs, nowMs));
}
const NOTED_AT_HEADER = 'noted-at';
const LONGEST_AWAY_MS = 86_400_000;

export function actAs(acting: Acting): void {
  const store = served.getStore();
  if (store) store.acting = acting;
}
/** Nobody where no PIN is asked. */
export const actingNow = (): Acting | undefined => served.getStore()?.acting;

/** From here on the request is kept, whatever fails after it. */
export function noteCommitted(): void {
  const store = served.getStore();
  if (store) store.hasCommitted = true;
}
export const hasCommitted = (): boolean => served.getStore()?.hasCommitted ?? false;

/**
 * That of the thing which is made, else the header's: a device that sends the same thing with other
 * words sends it under a header of its own, and it is a clash all the same.
 */
function idOfRequest(req: Request): string | undefined {
  const header = req.get(IDEMPOTENCY_HEADER);
  if (header !== undefined && !Id.safeParse(header).success)
    throw BadInput.at([IDEMPOTENCY_HEADER], 'wrong-type', 'The id of a request is a UUID.');
  const inBody = (req.body as { id?: unknown } | undefined)?.id;
  const made = req.method === 'POST' ? [inBody, req.query['id']] : [];
  return [...made, header].find(
    (id): id is string => typeof id === 'string' && Id.safeParse(id).success,
  );
}

function digestOf(given: unknown): string {
  const hash = createHash('sha256');
  return hash.update(Buffer.isBuffer(given) ? given : sorted(given)).digest('hex');
}

/** The same things said in another order are the same. */
const sorted = (value: unknown): string =>
  JSON.stringify(value ?? null, (_key, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );
