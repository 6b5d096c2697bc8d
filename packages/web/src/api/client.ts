/**
 * Asks the server; what goes wrong comes back with the server's own words, and nothing typed is
 * lost for it.
 */
import type { ApiError } from '@orthochrom/contract/shop/common.ts';
import { v7 as newId } from 'uuid';

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

export type Method = 'GET' | 'POST' | 'PUT';
/** What a write says beside its body: under which id, and when it was noted if not now. */
export type Envelope = { key: string; notedAt?: string };

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
    const reply = await send<T>(method, url, body, { key });
    if (content) unanswered.delete(content);
    return reply;
  } catch (fault) {
    if (content && fault instanceof ApiFault) unanswered.delete(content);
    throw fault;
  }
}

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
