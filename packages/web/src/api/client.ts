/**
 * Asks the server; what goes wrong comes back with the server's own words, and nothing typed is
 * lost for it.
 */
import type { ApiError } from '@orthochrom/contract/shop/common.ts';

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
  constructor() {
    super('No connection to the shop’s server. Nothing was lost here: try again when it is back.');
  }
}

const request = <T>(method: string, url: string, body?: unknown): Promise<T> =>
  replyOf(url, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });

async function replyOf<T>(url: string, asked: RequestInit): Promise<T> {
  const response = await fetch(url, asked).catch(() => {
    throw new NoConnection();
  });
  const reply = (await response.json().catch(() => undefined)) as T | ApiError | undefined;
  if (response.ok) return reply as T;
  const error = (reply as ApiError | undefined)?.error ?? {
    code: 'internal',
    message: `The server answered ${response.status}.`,
    path: [],
  };
  throw new ApiFault(response.status, error);
}

export const getJson = <T>(url: string): Promise<T> => request('GET', url);
export const postJson = <T>(url: string, body: unknown): Promise<T> => request('POST', url, body);
export const putJson = <T>(url: string, body: unknown): Promise<T> => request('PUT', url, body);
/** A file as it is, under its own type. */
export const postFile = <T>(url: string, file: File): Promise<T> =>
  replyOf(url, { method: 'POST', headers: { 'content-type': file.type }, body: file });
