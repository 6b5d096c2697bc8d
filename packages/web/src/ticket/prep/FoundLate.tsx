/** Something found on a panel after its steps were done: that panel goes back, no other. */
import { Button, Select } from '@mantine/core';
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { LATE_FINDS, type LateFind } from '@orthochrom/core/prep/prepInput.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import type { CardProps } from '../cardProps.ts';

const FIND_WORD: Record<LateFind, string> = {
  dent: 'A dent',
  scratch: 'A scratch',
  pinhole: 'A pinhole',
  cutThrough: 'A cut through',
  silicone: 'Silicone',
};

export function FoundLate({ whole, painter, keep }: Pick<CardProps, 'whole' | 'painter' | 'keep'>) {
  const { panels, id } = whole.ticket;
  const [panelId, setPanelId] = useState(panels[0]?.id ?? null);
  const [busy, write] = useWrite();
  const tell = (what: LateFind) =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>('Found late', 'POST', ADDRESS.ticket(id, 'late-finds'), {
          id: newId(),
          painterId: painter.id,
          panelId,
          what,
        }),
      ),
    );
  return (
    <section className="stack">
      <h3>Found late</h3>
      <Select
        label="On which panel"
        value={panelId}
        data={panels.map((panel) => ({ value: panel.id, label: panelSaid(panels, panel) }))}
        onChange={setPanelId}
      />
      <div className="row">
        {LATE_FINDS.map((what) => (
          <Button
            key={what}
            variant="default"
            disabled={busy || !panelId}
            onClick={() => void tell(what)}
          >
            {FIND_WORD[what]}
          </Button>
        ))}
      </div>
    </section>
  );
}
