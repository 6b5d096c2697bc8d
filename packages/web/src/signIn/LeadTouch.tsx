/** Where a lead is asked; what asks comes when it is. */
import { lazy, Suspense } from 'react';
import { useAskedLead } from '../api/leadTouch.ts';

const AskLead = lazy(async () => ({ default: (await import('./AskLead.tsx')).AskLead }));

export function LeadTouch() {
  const asked = useAskedLead();
  return asked ? (
    <Suspense fallback={null}>
      <AskLead key={asked.message} asked={asked} />
    </Suspense>
  ) : null;
}
