/**
 * All coats logged: the ticket is closed, and found under Done and in Records. Before it was looked
 * at again it wants a word why.
 */
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button, TextInput } from '@mantine/core';
import { openLook } from '@orthochrom/contract/plan/lookDue.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { putJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';

export function CloseTicket({ whole: { ticket, coats, timers } }: { whole: TicketWhole }) {
  const [busy, write] = useWrite();
  const [why, setWhy] = useState<string>();
  const navigate = useNavigate();
  if (ticket.state !== 'open' || coats.some(({ state }) => state !== 'looked')) return null;
  const { id, version, number: _n, createdAt: _c, state: _s, ...body } = ticket;
  const close = () =>
    write(async () => {
      const closedBecause = why?.trim();
      await putJson(ADDRESS.ticket(id), {
        ...body,
        version,
        state: 'done',
        ...(closedBecause ? { closedBecause } : {}),
      });
      await refresh('tickets');
      await navigate('/tickets');
    });
  if (!openLook(timers))
    return (
      <Button loading={busy} onClick={() => void close()}>
        All coats logged: close the ticket
      </Button>
    );
  if (why === undefined)
    return (
      <Button variant="default" onClick={() => setWhy('')}>
        Close it before that look …
      </Button>
    );
  return (
    <div className="row" style={{ alignItems: 'end' }}>
      <TextInput
        label="Closed before it was looked at again: a word why"
        value={why}
        maxLength={200}
        style={{ flex: '1 1 240px' }}
        onChange={(event) => setWhy(event.currentTarget.value)}
      />
      <Button loading={busy} disabled={why.trim() === ''} onClick={() => void close()}>
        Close the ticket
      </Button>
    </div>
  );
}
