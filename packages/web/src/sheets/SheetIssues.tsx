/** Every issue of a sheet, with what each changed: coats stay with the one that they had. */
import { paintDifferences } from '@orthochrom/contract/plan/newerIssue.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { Link } from 'react-router';
import { Differences } from './Differences.tsx';
import { issueText } from './sheetWords.ts';

type SheetIssuesProps = {
  /** The newest first. */
  issues: readonly Sheet[];
  shown: number;
  products: readonly Sheet[];
};

export function SheetIssues({ issues, shown, products }: SheetIssuesProps) {
  return (
    <section className="card stack" aria-label="Issues">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Issues
      </h2>
      {issues.map((issue, i) => (
        <div key={issue.number} className="stack">
          {issue.number === shown ? (
            <strong>{issueText(issue)}</strong>
          ) : (
            <Link className="touch" to={`/sheets/${issue.id}?issue=${issue.number}`}>
              {issueText(issue)}
            </Link>
          )}
          <Changed issue={issue} before={issues[i + 1]} products={products} />
        </div>
      ))}
    </section>
  );
}

type ChangedProps = { issue: Sheet; before: Sheet | undefined; products: readonly Sheet[] };

function Changed({ issue, before, products }: ChangedProps) {
  if (!before) return null;
  const differences = paintDifferences(before, issue);
  if (differences.length === 0)
    return <span className="quiet">No figure differs from issue {before.number}.</span>;
  return (
    <details open>
      <summary>
        {differences.length === 1 ? 'One figure differs' : `${differences.length} figures differ`}{' '}
        from issue {before.number}
      </summary>
      <Differences
        title={`Issue ${issue.number} against issue ${before.number}`}
        sheet={issue}
        {...{ differences, products }}
      />
    </details>
  );
}
