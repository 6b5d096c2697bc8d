/**
 * What was noted while the server was away: kept on this device, sent in order once it answers,
 * each under its own id, so that it arrives once. What it refuses then stays until a painter has
 * decided.
 */
import type { ApiError } from '@orthochrom/contract/shop/common.ts';
import { createStore, get, update } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import { v7 as newId } from 'uuid';
import { ApiFault, NoConnection, send, withLead, type Method } from './client.ts';
import { refreshAll } from './resources.ts';
import { serverNowMs } from './serverClock.ts';

export type Note = {
  key: string;
  method: Method;
  url: string;
  body: unknown;
  /** In the painter's words. */
  what: string;
  notedAt: string;
  /** What the server said against it. */
  refused?: ApiError['error'];
};

/** Kept here for now; its answer is not there yet. */
export class Kept extends Error {
  constructor() {
    super('It goes to the shop’s server as soon as that answers, with the time of now.');
  }
}

const NOTES = 'notes';
const store = createStore('orthochrom-outbox', 'notes');
const others =
  typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('orthochrom-outbox');
let notes: readonly Note[] = [];
const listeners = new Set<() => void>();

const show = (next: readonly Note[]): void => {
  notes = next;
  listeners.forEach((listener) => listener());
};
async function readNotes(): Promise<void> {
  show((await get<Note[]>(NOTES, store).catch(() => undefined)) ?? []);
}
/** One read-and-write of the device's store: two tabs do not lose each other's notes. */
async function change(by: (now: Note[]) => Note[]): Promise<void> {
  await update<Note[]>(NOTES, (now) => by(now ?? []), store);
  await readNotes();
  others?.postMessage('changed');
}
others?.addEventListener('message', () => void readNotes());

const waiting = (): Note[] => notes.filter(({ refused }) => refused === undefined);

/** An edit of the same thing takes the place of the one before; a note stands for itself. */
export function withNote(now: readonly Note[], note: Note): Note[] {
  const isSame = (other: Note): boolean =>
    other.refused === undefined &&
    other.url === note.url &&
    other.method === note.method &&
    (JSON.stringify(other.body) === JSON.stringify(note.body) ||
      (hasVersion(other.body) && hasVersion(note.body)));
  const at = now.findIndex(isSame);
  return at === -1 ? [...now, note] : now.map((other, i) => (i === at ? note : other));
}
const hasVersion = (body: unknown): boolean =>
  typeof body === 'object' && body !== null && 'version' in body;

/**
 * A fact that was noted: sent now, or kept on this device behind what waits already.
 * @throws Kept where it waits, ApiFault with the server's words
 */
export async function noteDown<T>(
  what: string,
  method: Method,
  url: string,
  body: unknown,
): Promise<T> {
  const own = { key: newId(), notedAt: new Date(serverNowMs()).toISOString() };
  const keep = async (): Promise<never> => {
    await change((now) => withNote(now, { ...own, method, url, body, what }));
    throw new Kept();
  };
  if (waiting().length > 0) await sendNotes();
  if (waiting().length > 0) return keep();
  try {
    // Said now: the server's own clock rules.
    return await withLead((touch) =>
      send<T>(method, url, body, { key: own.key, ...(touch ? { touch } : {}) }),
    );
  } catch (fault) {
    if (fault instanceof NoConnection) return keep();
    throw fault;
  }
}

/** What has been sent is taken out; what is refused stays with the server's words. */
export async function sendNotes(): Promise<void> {
  await readNotes();
  if (waiting().length === 0) return;
  const work = async () => {
    let hasArrived = false;
    for (const { key, method, url, body, notedAt } of waiting())
      try {
        await send(method, url, body, { key, notedAt });
        hasArrived = true;
        await discardNote(key);
      } catch (fault) {
        // Nobody is signed in: it waits for somebody, like for a server that is away.
        if (!(fault instanceof ApiFault) || fault.error.code === 'sign-in') break;
        await change((now) =>
          now.map((one) => (one.key === key ? { ...one, refused: fault.error } : one)),
        );
      }
    if (hasArrived) await refreshAll();
  };
  if (!('locks' in navigator)) return work();
  await navigator.locks.request('orthochrom-outbox', work);
}

/** Somebody else is signed in now: what was refused for its painter's sake is tried again. */
export async function sendNotesOfOthers(): Promise<void> {
  await change((now) =>
    now.map(({ refused, ...one }) => ({
      ...one,
      ...(refused && refused.code !== 'not-yours' ? { refused } : {}),
    })),
  );
  await sendNotes();
}

export const discardNote = (key: string): Promise<void> =>
  change((now) => now.filter((one) => one.key !== key));

/** What was noted away from a lead and wants one: asked here and now, then sent with the hand. */
export async function sendWithLead({ key, method, url, body, notedAt }: Note): Promise<void> {
  await withLead((touch) => send(method, url, body, { key, notedAt, ...(touch ? { touch } : {}) }));
  await discardNote(key);
  await refreshAll();
}

/** Over the version that stands there now: the painter has seen both. */
export async function putNoteOver(key: string, version: number): Promise<void> {
  await change((now) =>
    now.map(({ refused, ...one }) =>
      one.key === key
        ? { ...one, key: newId(), body: { ...(one.body as object), version } }
        : { ...one, ...(refused ? { refused } : {}) },
    ),
  );
  await sendNotes();
}

/** What waits of what was noted at an address, by what it says. */
export const useWaiting = <T>(url: string): { said: T; notedAt: string }[] =>
  useNotes()
    .filter((note) => note.url === url && !note.refused)
    .map(({ body, notedAt }) => ({ said: body as T, notedAt }));

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const useNotes = (): readonly Note[] => useSyncExternalStore(subscribe, () => notes);
