/** A ticket as it is read: drawn once all of it is there, and kept while it is read again. */
import { useCallback, useDeferredValue } from 'react';
import { useParams } from 'react-router';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useAir, useSetup, useSheets, useTicket } from '../api/reads.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { OpenTicket } from './OpenTicket.tsx';
import { useWarmWorker } from '../heavy/heavy.ts';

export function TicketPage() {
  const { id = '' } = useParams();
  useWarmWorker();
  const wholeRead = useTicket(id);
  // A step is drawn in slices beside what stands: a finger is never held up by the next one.
  const whole = useDeferredValue(wholeRead.data);
  const setupRead = useSetup();
  const setup = setupRead.data;
  const sheetsRead = useSheets();
  const sheets = sheetsRead.data;
  const airRead = useAir();
  // The air comes every other second, by itself: nobody waits for it.
  const air = useDeferredValue(airRead.data);
  const { mutate } = wholeRead;
  const keep = useCallback(
    (next: TicketWhole) => void mutate(next, { revalidate: false }),
    [mutate],
  );
  if (!whole || !setup || !sheets || !air)
    return <NotYet reads={[wholeRead, setupRead, sheetsRead, airRead]} what="the ticket" />;
  return (
    <OpenTicket
      key={id}
      whole={whole}
      setup={setup}
      latest={sheets}
      air={air.rooms.find(({ roomId }) => roomId === whole.ticket.roomId)!}
      keep={keep}
    />
  );
}
