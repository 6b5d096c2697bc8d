/** Change what a ticket plans; what was begun stays, and a sheet pinned to a stage stays pinned. */
import { NotYet } from '../../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { putJson } from '../../api/client.ts';
import { useSetup, useSheets, useTicket } from '../../api/reads.ts';
import { useWrite } from '../../api/useWrite.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { TicketForm } from './TicketForm.tsx';
import { draftFaults, stagesBegun, withPanelsInStages, type TicketDraft } from './ticketDraft.ts';

export function EditTicketPage() {
  const { id = '' } = useParams();
  const { data: whole } = useTicket(id);
  return whole ? (
    <EditTicket key={id} whole={whole} />
  ) : (
    <p className="page">Opening the ticket …</p>
  );
}

function EditTicket({ whole }: { whole: TicketWhole }) {
  const setupRead = useSetup();
  const setup = setupRead.data;
  const latestRead = useSheets();
  const latest = latestRead.data;
  const navigate = useNavigate();
  const [base] = useState(whole.ticket);
  const { number, createdAt: _, version, state, painterId, ...ticket } = base;
  const [draft, setDraft] = useState<TicketDraft>(ticket);
  const [busy, write] = useWrite();
  if (!setup || !latest) return <NotYet reads={[setupRead, latestRead]} what="the shop" />;
  const sheets = [
    ...whole.sheets,
    ...latest.filter((version_) => !whole.sheets.some(({ id }) => id === version_.id)),
  ];
  const faults = draftFaults(draft, painterId, sheets);
  const save = () =>
    write(async (over?: number) => {
      const { id, ...body } = withPanelsInStages(draft, sheets);
      await putJson(ADDRESS.ticket(id), { ...body, painterId, state, version: over ?? version });
      await refresh('tickets');
      await navigate(`/tickets/${id}`);
    });
  return (
    <>
      <PageHead title={`Change ${number}`} line="Coats already begun stay as they are" />
      <div className="page stack">
        <TicketForm
          draft={draft}
          faults={faults}
          setup={setup}
          sheets={sheets}
          begun={stagesBegun(whole)}
          onChange={setDraft}
        />
        <div className="row">
          <Button loading={busy} disabled={faults.length > 0} onClick={() => void save()}>
            Save this ticket
          </Button>
          <Button variant="default" onClick={() => void navigate(`/tickets/${draft.id}`)}>
            Leave it as it was
          </Button>
        </div>
      </div>
    </>
  );
}
