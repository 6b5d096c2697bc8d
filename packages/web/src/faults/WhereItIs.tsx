/** How wet the film is, and where on the car: what narrows the layers and the repair. */
import { SegmentedControl, Select } from '@mantine/core';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { Draft } from './draft.ts';
import { Words } from './Words.tsx';

const FILM = [
  { value: 'wet', label: 'Still wet' },
  { value: 'dry', label: 'Dry' },
  { value: '', label: 'Not sure' },
];

type WhereItIsProps = {
  draft: Draft;
  whole: TicketWhole | undefined;
  set: (patch: Partial<Draft>) => void;
};

export function WhereItIs({ draft, whole, set }: WhereItIsProps) {
  return (
    <section className="card stack" aria-label="Where it is">
      <SegmentedControl
        aria-label="The film"
        data={FILM}
        value={draft.film ?? ''}
        onChange={(film) => set({ film: film === '' ? undefined : (film as 'wet') })}
      />
      <Select
        label="Layer you look at"
        clearable
        value={draft.layerSuspected ?? null}
        data={[
          ...Object.entries(STAGE_NAME).map(([value, label]) => ({ value, label })),
          { value: 'substrate', label: 'Under the primer' },
        ]}
        onChange={(layer) =>
          set({ layerSuspected: (layer ?? undefined) as Draft['layerSuspected'] })
        }
      />
      {whole && (
        <Select
          label="Panel"
          clearable
          value={draft.panelId ?? null}
          data={whole.ticket.panels.map((panel) => ({
            value: panel.id,
            label: panelName(panel.name),
          }))}
          onChange={(panelId) => set({ panelId: panelId ?? undefined })}
        />
      )}
      {!whole && (
        <Words
          label="Which car or part"
          value={draft.vehicle}
          onKeep={(vehicle) => set({ vehicle })}
        />
      )}
      <Words label="Where on it" value={draft.where} onKeep={(where) => set({ where })} />
    </section>
  );
}
