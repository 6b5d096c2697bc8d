/** What one issue of a sheet changed against an earlier one, folded under how much it is. */
import { paintDifferences } from '@orthochrom/contract/plan/newerIssue.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { Differences } from './Differences.tsx';

type IssueAgainstProps = {
  issue: Sheet;
  before: Sheet;
  products: readonly Sheet[];
  isOpen?: boolean;
};

export function IssueAgainst({ issue, before, products, isOpen = false }: IssueAgainstProps) {
  const differences = paintDifferences(before, issue);
  const { length } = differences;
  if (length === 0)
    return <span className="quiet">No figure differs from issue {before.number}.</span>;
  return (
    <details open={isOpen}>
      <summary>
        {length === 1 ? 'One figure differs' : `${length} figures differ`} from issue{' '}
        {before.number}
      </summary>
      <Differences
        title={`Issue ${issue.number} against issue ${before.number}`}
        sheet={issue}
        {...{ differences, products }}
      />
    </details>
  );
}
