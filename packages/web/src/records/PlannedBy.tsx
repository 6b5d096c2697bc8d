/** By which issue of which sheet a coat was planned, and by which calculations. */
import type { TakenPlan } from '@orthochrom/contract/shop/coat.ts';
import type { PlannedBy as Issue } from '@orthochrom/contract/shop/record.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/version.ts';
import { Link } from 'react-router';
import { issueText } from '../sheets/sheetWords.ts';
import { whenText } from '../words/timeText.ts';

type PlannedByProps = { planned: TakenPlan | undefined; issues: readonly Issue[] | undefined };

export function PlannedBy({ planned, issues = [] }: PlannedByProps) {
  if (!planned) return null;
  const isOfToday = planned.calculationVersion === CALCULATION_VERSION;
  return (
    <section className="card stack" aria-label="Planned by">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Planned by
      </h2>
      {issues.map((issue) => (
        <p key={issue.id}>
          <Link to={`/sheets/${issue.id}?issue=${issue.number}`}>{issue.name}</Link>:{' '}
          {issueText(issue)}
        </p>
      ))}
      <p className="quiet">
        Taken {whenText(planned.at)}, worked out by calculations {planned.calculationVersion}
        {isOfToday ? '' : `; those of today, ${CALCULATION_VERSION}, may come out otherwise`}.
      </p>
    </section>
  );
}
