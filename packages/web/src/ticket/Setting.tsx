/** One setting: ours large, the painter's own beside it once it is overridden, with a word why. */
import { ActionIcon, Button, TextInput } from '@mantine/core';
import { IconPencil } from '@tabler/icons-react';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/ticket.ts';
import { useState, type ReactNode } from 'react';
import { FigureInput, type Entered } from '../units/FigureInput.tsx';
import type { Figure } from '../units/format.ts';
import type { Kind } from '../units/typed.ts';

type SettingProps = {
  label: string;
  name: SettingName;
  kind: Kind;
  recommended: number;
  show: (canonical: number) => Figure;
  note?: ReactNode;
  picture?: ReactNode;
  override: Overrides[SettingName];
  onOverride?: (override: Overrides[SettingName]) => void;
};

export function Setting({ label, name, kind, recommended, show, note, picture, override, onOverride }: SettingProps) {
  const [isOpen, setIsOpen] = useState(false);
  const value = typeof override?.chosen === 'number' ? override.chosen : recommended;
  const figure = show(value);
  const ours = show(recommended);
  return (
    <div className="card" data-setting={name} style={{ lineHeight: 1.3 }}>
      <div className="row" style={{ justifyContent: 'space-between', flexWrap: 'nowrap', alignItems: 'flex-start', gap: 0 }}>
        <span className="label">{label}</span>
        {onOverride && (
          <ActionIcon
            variant="subtle"
            size={40}
            mt={-8}
            mr={-10}
            aria-label={`Set ${label.toLowerCase()} otherwise`}
            aria-expanded={isOpen}
            onClick={() => setIsOpen(!isOpen)}
          >
            <IconPencil size={22} />
          </ActionIcon>
        )}
      </div>
      <div className="figure">
        {figure.text} <small>{figure.unit}</small>
      </div>
      {override && (
        <div>
          yours; we said{' '}
          <s>
            {ours.text} {ours.unit}
          </s>{' '}
          · {override.why}
        </div>
      )}
      {note && <div className="quiet">{note}</div>}
      {picture}
      {onOverride && isOpen && <OwnValue {...{ label, name, kind, recommended, onOverride, close: () => setIsOpen(false) }} />}
    </div>
  );
}

function OwnValue({
  label,
  name,
  kind,
  recommended,
  onOverride,
  close,
}: Pick<SettingProps, 'label' | 'name' | 'kind' | 'recommended'> & {
  onOverride: NonNullable<SettingProps['onOverride']>;
  close: () => void;
}) {
  const [entered, setEntered] = useState<Entered>();
  const [why, setWhy] = useState('');
  return (
    <div className="stack" style={{ marginTop: 8 }}>
      <FigureInput label={`Yours: ${label.toLowerCase()}`} kind={kind} field={name} onChange={setEntered} />
      <TextInput label="A word why" value={why} maxLength={200} onChange={(event) => setWhy(event.currentTarget.value)} />
      <div className="row">
        <Button
          disabled={!entered || why.trim() === ''}
          onClick={() => {
            onOverride({ recommended, chosen: entered!.canonical, why: why.trim() });
            close();
          }}
        >
          Use mine
        </Button>
        <Button
          variant="default"
          onClick={() => {
            onOverride(undefined);
            close();
          }}
        >
          Back to ours
        </Button>
      </div>
    </div>
  );
}
