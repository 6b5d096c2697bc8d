/** Change what a ticket plans; what was begun stays, and a sheet pinned to a stage stays pinned. */
import { Button } from '@mantine/core';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { mutate } from 'swr';
import { putJson } from '../../api/client.ts';
import { isOf, useSetup, useSheets, useTicket, useWrite } from '../../api/hooks.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { TicketForm } from './TicketForm.tsx';
import { draftFaults, withPanelsInStages, type TicketDraft } from './ticketDraft.ts';

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
  const { data: setup } = useSetup();
  const { data: latest } = useSheets();
  const navigate = useNavigate();
  const [base] = useState(whole.ticket);
  const { number, createdAt: _, version, state, painterId, ...ticket } = base;
  const [draft, setDraft] = useState<TicketDraft>(ticket);
  const [busy, write] = useWrite();
  if (!setup || !latest) return <p className="page">Opening …</p>;
  const sheets = [
    ...whole.sheets,
    ...latest.filter((version_) => !whole.sheets.some(({ id }) => id === version_.id)),
  ];
  const faults = draftFaults(draft, painterId);
  const save = () =>
    write(async (over?: number) => {
      const { id, ...body } = withPanelsInStages(draft);
      await putJson(`/api/tickets/${id}`, { ...body, painterId, state, version: over ?? version });
      await mutate(isOf('/api/tickets'));
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
