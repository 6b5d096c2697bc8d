/** Where a lead is asked; what asks comes when it is. */
import { useAskedLead } from '../api/leadTouch.ts';
import { late } from '../frame/late.tsx';

const AskLead = late(async () => (await import('./AskLead.tsx')).AskLead);

export function LeadTouch() {
  const asked = useAskedLead();
  return asked ? <AskLead key={asked.message} asked={asked} /> : null;
}
