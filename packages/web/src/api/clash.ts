/** A clash of versions waiting for the painter's choice: both sides are kept until it is made. */
import { useSyncExternalStore } from 'react';

export type Clash = { message: string; mine: unknown; theirs: unknown; putMine?: () => void };

let current: Clash | undefined;
const listeners = new Set<() => void>();
const tell = () => listeners.forEach((listener) => listener());

export function showClash(clash: Clash): void {
  current = clash;
  tell();
}
export function closeClash(): void {
  current = undefined;
  tell();
}
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const useClash = (): Clash | undefined => useSyncExternalStore(subscribe, () => current);

export type Difference = { field: string; mine: string; theirs: string };

/** Where the two sides differ, field by field, in the order of mine. */
export function differences(mine: unknown, theirs: unknown, path = ''): Difference[] {
  if (isObject(mine) && isObject(theirs))
    return Object.keys(mine)
      .filter((key) => key !== 'version' && key in theirs)
      .flatMap((key) => differences(mine[key], theirs[key], path ? `${path} › ${key}` : key));
  return JSON.stringify(mine) === JSON.stringify(theirs)
    ? []
    : [{ field: path, mine: shown(mine), theirs: shown(theirs) }];
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const shown = (value: unknown): string =>
  typeof value === 'string'
    ? value
    : value === null || value === undefined
      ? 'nothing'
      : JSON.stringify(value);
