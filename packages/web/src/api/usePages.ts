/** A list that comes in pages: the newest is read and kept fresh, older ones on a touch. */
import { useState } from 'react';
import { getJson } from './client.ts';
import { useWrite } from './useWrite.ts';

type Page = { next?: string | undefined };

/**
 * @param asked what the pages belong to: of another question none of them is shown
 * @param after where the page behind this one is read
 */
export function usePages<P extends Page>(
  first: P | undefined,
  asked: string,
  after: (next: string) => string,
): { pages: P[]; next: string | undefined; busy: boolean; more: () => void } {
  const [older, setOlder] = useState<{ asked: string; pages: P[] }>();
  const [busy, write] = useWrite();
  const behind = older?.asked === asked ? older.pages : [];
  const pages = first ? [first, ...behind] : [];
  const next = pages.at(-1)?.next;
  const more = () =>
    next !== undefined &&
    write(async () => {
      const page = await getJson<P>(after(next));
      setOlder({ asked, pages: [...behind, page] });
    });
  return { pages, next, busy, more: () => void more() };
}

/** Rows of several pages, each once, where it stood first: one may have come in meanwhile. */
export function eachOnce<R>(rows: readonly R[], idOf: (row: R) => string): R[] {
  const seen = new Set<string>();
  return rows.filter((row) => {
    const id = idOf(row);
    if (seen.has(id)) return false;
    seen.add(id);
    return true;
  });
}
