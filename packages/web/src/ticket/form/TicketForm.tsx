/** The form of a ticket, new or changed: vehicle, panels with areas, stages from data sheets. */
import { Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import { layersFound } from '@orthochrom/contract/plan/layersFound.ts';
import { BODIES } from '@orthochrom/core/body/bodyMap.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { useMemo } from 'react';
import { PanelPicker } from './PanelPicker.tsx';
import { StagePicker } from './StagePicker.tsx';
import {
  listedStages,
  withPanelsInStages,
  type DraftFault,
  type TicketDraft,
} from './ticketDraft.ts';

const SIZES = [
  { value: 'spot', label: 'Spot' },
  { value: 'panel', label: 'A panel or two' },
  { value: 'side', label: 'A side' },
  { value: 'overall', label: 'Whole body' },
];

type TicketFormProps = {
  draft: TicketDraft;
  faults: DraftFault[];
  setup: ShopSetup;
  sheets: SheetVersion[];
  /** Stages that stay with their sheet. */
  begun?: ReadonlySet<string>;
  onChange: (draft: TicketDraft) => void;
};

const NONE_BEGUN: ReadonlySet<string> = new Set();

export function TicketForm(props: TicketFormProps) {
  const { draft, faults, setup, sheets, begun = NONE_BEGUN, onChange } = props;
  const change = (changes: Partial<TicketDraft>) =>
    onChange(withPanelsInStages({ ...draft, ...changes }, sheets));
  const answer = useMemo(() => layersFound(draft, sheets), [draft, sheets]);
  const faultAt = (path: string) => faults.find((fault) => fault.path === path)?.message;
  return (
    <>
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
          onChange={(bodyKind) =>
            bodyKind && change({ bodyKind: bodyKind as TicketDraft['bodyKind'] })
          }
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
        <TextInput
          label="Wanted by"
          type="date"
          value={draft.dueOn ?? ''}
          onChange={({ currentTarget: { value } }) => {
            const { dueOn: _, ...rest } = draft;
            onChange(withPanelsInStages(value ? { ...rest, dueOn: value } : rest, sheets));
          }}
        />
        <Select
          label="Timing"
          description="restoration waits until primer is done shrinking"
          value={draft.timing ?? 'collision'}
          data={[
            { value: 'collision', label: 'collision: as soon as it may' },
            { value: 'restoration', label: 'restoration: primer may shrink first' },
          ]}
          onChange={(timing) =>
            timing && change({ timing: timing as NonNullable<TicketDraft['timing']> })
          }
        />
        <Checkbox
          size="lg"
          label="It will stand in strong sun"
          checked={draft.strongSun ?? false}
          onChange={(event) => change({ strongSun: event.currentTarget.checked })}
          style={{ alignSelf: 'end', paddingBottom: 8 }}
        />
      </div>
      <PanelPicker
        body={draft.bodyKind}
        panels={draft.panels}
        answer={answer}
        onChange={(panels) => change({ panels })}
        error={faultAt('panels')}
      />
      <StagePicker
        draft={{ ...draft, stages: listedStages(draft) }}
        setup={setup}
        sheets={sheets}
        begun={begun}
        onChange={(stages) =>
          change({ stages: [...draft.stages.filter(({ face }) => face), ...stages] })
        }
        error={faultAt('stages')}
      />
      <Textarea
        label="Note"
        value={draft.note}
        maxLength={2000}
        onChange={(event) => change({ note: event.currentTarget.value })}
      />
      {faults.length > 0 && (
        <div role="status">
          <ul>
            {faults.map(({ path, message }) => (
              <li key={path + message}>{message}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
