/** The list of a ticket with what was noted while the server was away: it counts here at once. */
import type { PrepAnswerCreate } from '@orthochrom/contract/shop/prep.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useMemo } from 'react';
import { useWaiting } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';

export function useOnList(whole: TicketWhole): TicketWhole {
  const waiting = useWaiting<PrepAnswerCreate>(ADDRESS.ticket(whole.ticket.id, 'prep-answers'));
  return useMemo(
    () =>
      waiting.length === 0
        ? whole
        : {
            ...whole,
            prepAnswers: [
              ...whole.prepAnswers,
              ...waiting.map(({ said, notedAt }) => ({
                ...said,
                afterFinds: whole.lateFinds.length,
                at: notedAt,
              })),
            ],
          },
    [whole, waiting],
  );
}
