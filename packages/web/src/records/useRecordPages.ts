/** The records that fit a question, page after page; those of the last question stay meanwhile. */
import type { RecordPage, RecordRow } from '@orthochrom/contract/shop/record.ts';
import { useState } from 'react';
import { getJson } from '../api/client.ts';
import { useRecords } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';

export type RecordPages = {
  rows: RecordRow[];
  count: number;
  next: string | undefined;
};

/** Older pages behind the newest; a coat that came in meanwhile moves nothing twice. */
export function withOlder(first: RecordPage, older: readonly RecordPage[]): RecordPages {
  const rows = [first, ...older].flatMap((page) => page.rows);
  const last = older.at(-1) ?? first;
  return {
    rows: rows.filter(({ coat }, i) => rows.findIndex((row) => row.coat.id === coat.id) === i),
    count: first.count ?? rows.length,
    next: last.next,
  };
}

export function useRecordPages(query: Record<string, string>) {
  const read = useRecords(query);
  const asked = ADDRESS.records(query);
  const [older, setOlder] = useState<{ asked: string; pages: RecordPage[] }>();
  const [busy, write] = useWrite();
  const pages = older?.asked === asked ? older.pages : [];
  const found = read.data && withOlder(read.data, pages);
  const more = () =>
    found?.next !== undefined &&
    write(async () => {
      const page = await getJson<RecordPage>(ADDRESS.records({ ...query, after: found.next! }));
      setOlder({ asked, pages: [...pages, page] });
    });
  return { read, found, busy, more: () => void more() };
}
