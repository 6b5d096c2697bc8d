/** Nozzle, needle and cap of a gun, set by set. */
import { Button, CloseButton, TextInput } from '@mantine/core';
import { FigureInput } from '../units/FigureInput.tsx';
import { setChanged, type NozzleSetDraft } from './gunDraft.ts';

type NozzleSetsProps = { sets: NozzleSetDraft[]; onChange: (sets: NozzleSetDraft[]) => void };

export function NozzleSets({ sets, onChange }: NozzleSetsProps) {
  return (
    <fieldset className="card stack" style={{ margin: 0 }}>
      <legend className="tape">Nozzle sets</legend>
      <p className="quiet">
        Nozzle, needle and cap belong together. A changed set starts without tests; the old one is
        kept, retired.
      </p>
      {sets.map((set, i) => (
        <div
          key={i}
          className="grid2"
          style={{ gridTemplateColumns: '1fr 1fr 1fr 48px', alignItems: 'end' }}
        >
          <FigureInput
            label="Nozzle"
            kind="nozzle"
            field="nozzleMm"
            value={set.nozzleMm}
            onChange={(entered) =>
              entered && onChange(setChanged(sets, i, { nozzleMm: entered.canonical }))
            }
          />
          <TextInput
            label="Needle"
            value={set.needle ?? ''}
            maxLength={80}
            onChange={(event) =>
              onChange(setChanged(sets, i, { needle: event.currentTarget.value }))
            }
          />
          <TextInput
            label="Cap"
            value={set.cap ?? ''}
            maxLength={80}
            onChange={(event) => onChange(setChanged(sets, i, { cap: event.currentTarget.value }))}
          />
          <CloseButton
            size="xl"
            aria-label={`Retire set ${i + 1}`}
            disabled={sets.length === 1}
            onClick={() => onChange(sets.filter((_, k) => k !== i))}
          />
        </div>
      ))}
      <div>
        <Button variant="default" onClick={() => onChange([...sets, { nozzleMm: 1.4 }])}>
          Another set
        </Button>
      </div>
    </fieldset>
  );
}
