/** Take in a job: vehicle, panels with areas, stages from data sheets. Kept in the browser until the server has it. */
import { Button, Select, Textarea, TextInput } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useNavigate } from 'react-router';
import { mutate } from 'swr';
import { postJson } from '../api/client.ts';
import { isOf, useSetup, useSheets, useWrite } from '../api/hooks.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { PanelPicker } from './PanelPicker.tsx';
import { StagePicker } from './StagePicker.tsx';
import { draftFaults, emptyDraft, withPanelsInStages, type TicketDraft } from './ticketDraft.ts';

const BODIES = ['hatchback', 'saloon', 'wagon', 'coupe', 'van', 'pickup', 'parts'] as const;
const SIZES = [
  { value: 'spot', label: 'Spot' },
  { value: 'panel', label: 'A panel or two' },
  { value: 'side', label: 'A side' },
  { value: 'overall', label: 'Whole body' },
];

export function NewTicketPage() {
  const { data: setup } = useSetup();
  const { data: sheets } = useSheets();
  const { painter } = usePainter();
  const navigate = useNavigate();
  const [kept, keepDraft, clearDraft] = useLocalStorage<TicketDraft | null>({
    key: 'orthochrom-new-ticket',
    defaultValue: null,
    getInitialValueInEffect: false,
  });
  const [busy, write] = useWrite();
  if (!setup || !sheets) return <p className="page">Opening …</p>;
  const draft = kept ?? emptyDraft(setup.rooms[0]!.id);
  const change = (changes: Partial<TicketDraft>) => keepDraft(withPanelsInStages({ ...draft, ...changes }));
  const faults = draftFaults(draft, painter.id);
  const faultAt = (path: string) => (kept ? faults.find((fault) => fault.path === path)?.message : undefined);
  const open = () =>
    write(async () => {
      const whole = await postJson<TicketWhole>('/api/tickets', { ...withPanelsInStages(draft), painterId: painter.id });
      clearDraft();
      void mutate(isOf('/api/tickets'));
      await navigate(`/tickets/${whole.ticket.id}`);
    });
  return (
    <>
      <PageHead title="New ticket" line={`${painter.name} · kept in this browser until it is opened`} />
      <div className="page stack">
        <div className="card grid2">
          <TextInput
            label="Vehicle or part"
            value={draft.vehicle}
            error={faultAt('vehicle')}
            maxLength={200}
            onChange={(event) => change({ vehicle: event.currentTarget.value })}
          />
          <Select
            label="Body"
            value={draft.bodyKind}
            data={[...BODIES]}
            onChange={(bodyKind) => bodyKind && change({ bodyKind: bodyKind as TicketDraft['bodyKind'] })}
          />
          <Select
            label="Room"
            value={draft.roomId}
            data={setup.rooms.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(roomId) => roomId && change({ roomId })}
          />
          <Select
            label="How big is the job?"
            value={draft.jobSize}
            data={SIZES}
            onChange={(jobSize) => jobSize && change({ jobSize: jobSize as TicketDraft['jobSize'] })}
          />
        </div>
        <PanelPicker panels={draft.panels} onChange={(panels) => change({ panels })} error={faultAt('panels')} />
        <StagePicker
          draft={draft}
          setup={setup}
          sheets={sheets}
          onChange={(stages) => change({ stages })}
          error={faultAt('stages')}
        />
        <Textarea
          label="Note"
          value={draft.note}
          maxLength={2000}
          autosize
          minRows={2}
          onChange={(event) => change({ note: event.currentTarget.value })}
        />
        {faults.length > 0 && kept && (
          <ul role="status">
            {faults.map(({ path, message }) => (
              <li key={path + message}>{message}</li>
            ))}
          </ul>
        )}
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
