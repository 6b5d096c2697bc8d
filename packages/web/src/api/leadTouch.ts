/** A lead who is asked to put a hand to a write: the dialog answers, the write goes on. */
import { useSyncExternalStore } from 'react';

export type AskedLead = { message: string; answer: (touch: string | undefined) => void };

let asked: AskedLead | undefined;
const listeners = new Set<() => void>();
const show = (next: AskedLead | undefined): void => {
  asked = next;
  listeners.forEach((listener) => listener());
};

/** @returns the id of the touch; nothing where none was given */
export const askLead = (message: string): Promise<string | undefined> =>
  new Promise((resolve) => {
    asked?.answer(undefined);
    show({
      message,
      answer: (touch) => {
        show(undefined);
        resolve(touch);
      },
    });
  });

/** @returns the way to hear no more */
export function subscribeToLead(hear: (asked: AskedLead | undefined) => void): () => void {
  const listener = () => hear(asked);
  listeners.add(listener);
  return () => listeners.delete(listener);
}
const subscribe = (changed: () => void) => subscribeToLead(changed);
export const useAskedLead = (): AskedLead | undefined =>
  useSyncExternalStore(subscribe, () => asked);
