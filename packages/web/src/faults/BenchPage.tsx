/** The fault bench: one question, the ranking beside it, and the answer as soon as there is one. */
import { NotYet } from '../frame/NotYet.tsx';
import { useParams, useSearchParams } from 'react-router';
import { useSetup, useCoatAir, useFindingKept, useTicket } from '../api/reads.ts';

import { Bench } from './Bench.tsx';
import { startOf } from './benchStart.ts';

/** Everything a new or a kept finding needs is fetched before the bench opens. */
export function BenchPage() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const isNew = query.has('new');
  const keptRead = useFindingKept(isNew ? undefined : id, { revalidateOnFocus: false });
  const kept = keptRead.data;
  const coatId = kept?.coatId ?? query.get('coat') ?? undefined;
  const ticketId = kept?.ticketId ?? query.get('ticket') ?? undefined;
  const wholeRead = useTicket(ticketId);
  const whole = wholeRead.data;
  const airRead = useCoatAir(coatId);
  const air = airRead.data;
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup || (!isNew && !kept) || (ticketId && !whole) || (coatId && !air))
    return <NotYet reads={[setupRead, keptRead, wholeRead, airRead]} what="the bench" />;
  const start = startOf(query, setup, whole, air ?? []);
  return <Bench key={id} id={id} kept={kept} start={start} whole={whole} />;
}
