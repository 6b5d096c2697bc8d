/** All coats logged: the ticket is closed, and found under Done and in Records. */
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useNavigate } from 'react-router';
import { putJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';

export function CloseTicket({ whole: { ticket, coats } }: { whole: TicketWhole }) {
  const [busy, write] = useWrite();
  const navigate = useNavigate();
  if (ticket.state !== 'open' || coats.some(({ state }) => state !== 'looked')) return null;
  const { id, version, number: _n, createdAt: _c, state: _s, ...body } = ticket;
  const close = () =>
    write(async () => {
      await putJson(ADDRESS.ticket(id), { ...body, version, state: 'done' });
      await refresh('tickets');
      await navigate('/tickets');
    });
  return (
    <Button loading={busy} onClick={() => void close()}>
      All coats logged: close the ticket
    </Button>
  );
}
