/** Every issue of a sheet, with what each changed: coats stay with the one that they had. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { Link } from 'react-router';
import { IssueAgainst } from './IssueAgainst.tsx';
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
          {issues[i + 1] && (
            <IssueAgainst isOpen before={issues[i + 1]!} {...{ issue, products }} />
          )}
        </div>
      ))}
    </section>
  );
}
