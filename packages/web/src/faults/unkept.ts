/** What was said at the bench and could not be kept yet: it survives a reload on this device. */
import type { Draft } from './draft.ts';

const keyOf = (findingId: string): string => `orthochrom-bench-${findingId}`;

export function readUnkept(findingId: string): Draft | undefined {
  const text = localStorage.getItem(keyOf(findingId));
  return text === null ? undefined : (JSON.parse(text) as Draft);
}
export const writeUnkept = (findingId: string, draft: Draft): void =>
  localStorage.setItem(keyOf(findingId), JSON.stringify(draft));
export const forgetUnkept = (findingId: string): void => localStorage.removeItem(keyOf(findingId));
