import { NotYet } from '../frame/NotYet.tsx';
import { nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSetup, useTickets } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { eachOnce, usePages } from '../api/usePages.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { Ticket } from '@orthochrom/contract/shop/ticket.ts';
import { LongTable } from '../frame/LongTable.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { STAGE_NAME, STATE_NAME } from '../words/tradeNames.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import styles from './TicketsPage.module.css';

const HEAD = ['Ticket', 'Vehicle', 'Panels', 'Next', 'Room', 'Painter'];

function byTicket(coats: readonly Coat[]): Map<string, Coat[]> {
  const of = new Map<string, Coat[]>();
  for (const coat of coats) of.set(coat.ticketId, [...(of.get(coat.ticketId) ?? []), coat]);
  return of;
}

export function TicketsPage() {
  const read = useTickets();
  const { data } = read;
  const { data: setup } = useSetup();
  const [shown, setShown] = useState('open');
  const navigate = useNavigate();
  const { pages, next, busy, more } = usePages(data, ADDRESS.tickets, ADDRESS.ticketsAfter);
  const tickets = eachOnce(
    pages.flatMap((page) => page.tickets),
    ({ id }) => id,
  ).filter(({ state }) => shown === 'all' || state === shown);
  const coatsOf = byTicket(pages.flatMap((page) => page.coats));
  const nameOf = (list: { id: string; name: string }[] | undefined, id: string) =>
    list?.find((item) => item.id === id)?.name ?? '';
  return (
    <>
      <PageHead title="Tickets" line="Each job, stage by stage and coat by coat">
        <Button component={Link} to="/tickets/new">
          New ticket
        </Button>
      </PageHead>
      <div className="page stack">
        <SegmentedControl
          aria-label="Which tickets"
          w="fit-content"
          value={shown}
          onChange={setShown}
          data={[
            { value: 'open', label: 'Open' },
            { value: 'done', label: 'Done' },
            { value: 'all', label: 'All' },
          ]}
        />
        {!data && <NotYet reads={[read]} what="the tickets" />}
        <div className={`card scrollx ${styles['list']}`} hidden={!data}>
          <LongTable
            rows={tickets}
            head={HEAD}
            keyOf={({ id }) => id}
            onOpen={({ id }) => void navigate(`/tickets/${id}`)}
            cells={(ticket) => (
              <TicketCells
                ticket={ticket}
                coats={coatsOf.get(ticket.id) ?? []}
                room={nameOf(setup?.rooms, ticket.roomId)}
                painter={nameOf(setup?.painters, ticket.painterId)}
              />
            )}
          />
          {data && tickets.length === 0 && <p style={{ padding: '1rem' }}>None.</p>}
          {next !== undefined && shown !== 'open' && (
            <Button size="lg" m="sm" variant="default" loading={busy} onClick={more}>
              Older tickets
            </Button>
          )}
        </div>
      </div>
    </>
  );
}

type TicketCellsProps = { ticket: Ticket; coats: readonly Coat[]; room: string; painter: string };

function TicketCells({ ticket, coats, room, painter }: TicketCellsProps) {
  const coat = nextCoat(ticket.stages, coats);
  const stage = ticket.stages.find(({ id }) => id === coat?.stageId);
  return (
    <>
      <td>
        <Link to={`/tickets/${ticket.id}`}>{ticket.number}</Link>
      </td>
      <td>
        <strong>{ticket.vehicle}</strong>
      </td>
      <td>{ticket.panels.map(({ name }) => panelName(name)).join(', ')}</td>
      <td>
        {coat && stage
          ? `${STAGE_NAME[stage.kind]} ${coat.ordinal} of ${stage.coats}, ${STATE_NAME[coat.state]}`
          : 'all coats logged'}
      </td>
      <td>{room}</td>
      <td>{painter}</td>
    </>
  );
}
