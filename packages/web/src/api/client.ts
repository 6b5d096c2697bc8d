/**
 * Asks the server; what goes wrong comes back with the server's own words, and nothing typed is
 * lost for it.
 */
import type { ApiError } from '@orthochrom/contract/shop/common.ts';
import { TOUCH_HEADER } from '@orthochrom/contract/shop/signIn.ts';
import { v7 as newId } from 'uuid';
import { askLead } from './leadTouch.ts';

export class ApiFault extends Error {
  readonly status: number;
  readonly error: ApiError['error'];
  constructor(status: number, error: ApiError['error']) {
    super(error.message);
    this.status = status;
    this.error = error;
  }
}

/**
 * The server could not be reached: nothing was acknowledged, so the same request may be sent again
 * under the same id.
 */
export class NoConnection extends Error {
  constructor(
    said = 'No connection to the shop’s server. Nothing was lost here: try again when it is back.',
  ) {
    super(said);
  }
}

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
/** What a write says beside its body: its id, when it was noted if not now, a lead's touch. */
export type Envelope = { key: string; notedAt?: string; touch?: string };

/** Told where an answer says that nobody is signed in any more. */
export const SIGNED_OUT = new EventTarget();
const tellSignedOut = () => SIGNED_OUT.dispatchEvent(new Event('signed-out'));

/** A server that says nothing for so long is not there. */
const PATIENCE_MS = 30_000;
const AWAY = ['database-away', 'busy', 'disk-full'];

/** @throws ApiFault with the server's words, NoConnection where it has none */
export async function send<T>(
  method: Method,
  url: string,
  body?: unknown,
  envelope?: Envelope,
): Promise<T> {
  const response = await fetch(url, {
    method,
    headers: {
      ...(body === undefined
        ? {}
        : { 'content-type': body instanceof Blob ? body.type : 'application/json' }),
      ...(envelope ? { 'idempotency-key': envelope.key } : {}),
      ...(envelope?.notedAt ? { 'noted-at': envelope.notedAt } : {}),
      ...(envelope?.touch ? { [TOUCH_HEADER]: envelope.touch } : {}),
    },
    ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
    signal: AbortSignal.timeout(PATIENCE_MS),
  }).catch(() => {
    throw new NoConnection();
  });
  const reply = (await response.json().catch(() => undefined)) as T | ApiError | undefined;
  if (response.ok) return reply as T;
  const error = (reply as ApiError | undefined)?.error ?? {
    code: 'internal',
    message: `The server answered ${response.status}.`,
    path: [],
  };
  if (error.code === 'sign-in') tellSignedOut();
  if (AWAY.includes(error.code)) throw new NoConnection(error.message || undefined);
  throw new ApiFault(response.status, error);
}

/**
 * Ids of writes that were sent and not answered: the same one sent again is known by the server as
 * that very write, however it fared the first time.
 */
const unanswered = new Map<string, string>();

async function write<T>(method: Method, url: string, body: unknown): Promise<T> {
  const content = body instanceof Blob ? undefined : `${method} ${url} ${JSON.stringify(body)}`;
  const key = (content && unanswered.get(content)) ?? newId();
  if (content) unanswered.set(content, key);
  try {
    const reply = await withLead((touch) =>
      send<T>(method, url, body, { key, ...(touch ? { touch } : {}) }),
    );
    if (content) unanswered.delete(content);
    return reply;
  } catch (fault) {
    if (content && fault instanceof ApiFault) unanswered.delete(content);
    throw fault;
  }
}

/** Where a lead is asked for, he is; without one the refusal stands. */
export async function withLead<T>(ask: (touch?: string) => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (fault) {
    if (!(fault instanceof ApiFault) || fault.error.code !== 'lead-asked') throw fault;
    const touch = await askLead(fault.message);
    if (!touch) throw fault;
    return ask(touch);
  }
}

export const deleteJson = (url: string): Promise<void> => send('DELETE', url);
export const getJson = <T>(url: string): Promise<T> => send('GET', url);
export const postJson = <T>(url: string, body: unknown): Promise<T> => write('POST', url, body);
/** Makes the thing, or changes it over the version that is given. */
export const saveJson = <T>(
  [all, own]: [all: string, own: string],
  { id, ...body }: { id: string; [field: string]: unknown },
  version: number | undefined,
): Promise<T> =>
  version === undefined ? postJson(all, { id, ...body }) : putJson(own, { ...body, version });
export const putJson = <T>(url: string, body: unknown): Promise<T> => write('PUT', url, body);
