/** The records that fit a question, page after page. */
import { useRecordCount, useRecords } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { eachOnce, usePages } from '../api/usePages.ts';

export function useRecordPages(query: Record<string, string>) {
  const read = useRecords(query);
  const { pages, next, busy, more } = usePages(read.data, ADDRESS.records(query), (after) =>
    ADDRESS.records({ ...query, after }),
  );
  const rows = eachOnce(
    pages.flatMap((page) => page.rows),
    ({ coat }) => coat.id,
  );
  const { data: counted } = useRecordCount(query);
  const found = read.data && {
    rows,
    count: next === undefined ? rows.length : counted?.count,
    next,
  };
  return { read, found, busy, more };
}
export type RecordPages = NonNullable<ReturnType<typeof useRecordPages>['found']>;
