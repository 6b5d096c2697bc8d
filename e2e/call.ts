import { expect } from '@playwright/test';
import { ADDRESS } from './shopServer.ts';

/** Asks the shop of this worker, and wants it to agree. */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT',
  path: string,
  body?: object,
): Promise<T> {
  const reply = await fetch(`${ADDRESS}/api${path}`, {
    method,
    ...(body
      ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
      : {}),
  });
  const text = await reply.text();
  expect(reply.ok, `${method} ${path}: ${text}`).toBe(true);
  return JSON.parse(text) as T;
}
