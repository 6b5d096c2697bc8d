/**
 * Take in a job: vehicle, panels with areas, stages from data sheets. Kept in the browser until the
 * server has it.
 */
import { NotYet } from '../../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useNavigate } from 'react-router';
import { saveJson } from '../../api/client.ts';
import { useSetup, useSheets, useSheetsKept } from '../../api/reads.ts';
import { useWrite } from '../../api/useWrite.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { usePainter } from '../../frame/painter.ts';
import { TicketForm } from './TicketForm.tsx';
import {
  draftFaults,
  emptyDraft,
  pinnedBeside,
  withPanelsInStages,
  type TicketDraft,
} from './ticketDraft.ts';

export function NewTicketPage() {
  const setupRead = useSetup();
  const setup = setupRead.data;
  const sheetsRead = useSheets();
  const latest = sheetsRead.data;
  const { painter } = usePainter();
  const navigate = useNavigate();
  const [kept, keepDraft, clearDraft] = useLocalStorage<TicketDraft | null>({
    key: 'orthochrom-new-ticket',
    defaultValue: null,
    getInitialValueInEffect: false,
  });
  const [busy, write] = useWrite();
  // A draft may be older than an issue: it goes by those that it was begun with.
  const older = latest ? pinnedBeside(kept?.stages ?? [], latest) : [];
  const olderRead = useSheetsKept(older);
  if (!setup || !latest || (older.length > 0 && !olderRead.data))
    return <NotYet reads={[setupRead, sheetsRead, olderRead]} what="the shop" />;
  const sheets = [...latest, ...(olderRead.data ?? [])];
  const draft = kept ?? emptyDraft(setup.rooms[0]!.id);
  const faults = draftFaults(draft, painter.id, sheets);
  const open = () =>
    write(async (over?: number) => {
      const ticket = { ...withPanelsInStages(draft, sheets), painterId: painter.id };
      const whole = await saveJson<TicketWhole>(
        [ADDRESS.tickets, ADDRESS.ticket(ticket.id)],
        over === undefined ? ticket : { ...ticket, state: 'open' as const },
        over,
      );
      clearDraft();
      void refresh('tickets');
      await navigate(`/tickets/${whole.ticket.id}`);
    });
  return (
    <>
      <PageHead
        title="New ticket"
        line={`${painter.name} · kept in this browser until it is opened`}
      />
      <div className="page stack">
        <TicketForm
          draft={draft}
          faults={kept ? faults : []}
          setup={setup}
          sheets={sheets}
          onChange={keepDraft}
        />
        <div className="row">
          <Button onClick={() => void open()} loading={busy} disabled={faults.length > 0}>
            Open this ticket
          </Button>
          {kept && (
            <Button variant="default" onClick={clearDraft}>
              Start over
            </Button>
          )}
        </div>
      </div>
    </>
  );
}
