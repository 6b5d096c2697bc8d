/**
 * A stage goes by the issue of its sheet that it was planned with, whatever the maker prints later.
 * That there is a newer one is told before a plan is taken; to go by it is the painter's choice.
 */
import { caution } from '@orthochrom/core/outcome/verdicts.ts';
import { sheetDifferences, type Difference } from '../sheet/sheetDifferences.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { shortName, type PlanContext } from './planContext.ts';

/** What tells one issue from another, and says nothing of the paint. */
const OF_THE_ISSUE = ['number', 'issuedOn'];

/** Where the paint is another one from issue to issue, not only its paper. */
export const paintDifferences = (was: Sheet, now: Sheet): Difference[] =>
  sheetDifferences(was, now).filter(({ field }) => !OF_THE_ISSUE.includes(field));

export function newerIssueKept({
  sheet,
  products,
}: Pick<PlanContext, 'sheet' | 'products'>): WordedVerdict[] {
  const newest = products.get(sheet.id);
  if (!newest || newest.number <= sheet.number) return [];
  const { length } = paintDifferences(sheet, newest);
  if (length === 0) return [];
  return [
    wordVerdict(
      caution('newer-sheet-issue', {
        product: shortName(sheet),
        number: sheet.number,
        newest: newest.number,
        figures: length === 1 ? 'one figure' : `${length} figures`,
      }),
    ),
  ];
}
