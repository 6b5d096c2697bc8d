/** One setting: ours large, the painter's own beside it once it is overridden, with a word why. */
import { ActionIcon, Button, SegmentedControl, TextInput } from '@mantine/core';
import { answerOrRefuse, type AnswerOf } from '@orthochrom/contract/registry.ts';
import { IconPencil } from '@tabler/icons-react';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/ticket.ts';
import { useState, type ReactNode } from 'react';
import { FigureInput, type Entered } from '../units/FigureInput.tsx';
import { turnsText, type Figure } from '../units/format.ts';
import { TriggerPulled } from './TriggerPulled.tsx';
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
  /** Travel of the knob, where it is one. */
  fullTurns?: number;
  onOverride?: (override: Overrides[SettingName]) => void;
};

export function Setting({ label, name, kind, recommended, show, note, picture, override, fullTurns, onOverride }: SettingProps) {
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
      {onOverride && isOpen && (
        <OwnValue
          {...(fullTurns === undefined ? {} : { fullTurns })}
          {...{ label, name, kind, recommended, onOverride, close: () => setIsOpen(false) }}
        />
      )}
    </div>
  );
}

type OwnValueProps = Pick<SettingProps, 'label' | 'name' | 'kind' | 'recommended' | 'fullTurns'> & {
  onOverride: NonNullable<SettingProps['onOverride']>;
  close: () => void;
};

function OwnValue({ label, name, kind, recommended, fullTurns, onOverride, close }: OwnValueProps) {
  const [entered, setEntered] = useState<Entered>();
  const [countedFrom, setCountedFrom] = useState<'closed' | 'open'>('closed');
  const [flowing, setFlowing] = useState<string>();
  const [why, setWhy] = useState('');
  const isTurns = kind === 'turns' && fullTurns !== undefined;
  const chosen = entered && (isTurns ? turnsFromClosed(entered.canonical, countedFrom, fullTurns) : entered.canonical);
  const isAtRest = kind === 'pressure' && flowing !== 'yes';
  return (
    <div className="stack" style={{ marginTop: 8 }}>
      <FigureInput label={`Yours: ${label.toLowerCase()}`} kind={kind} field={name} onChange={setEntered} />
      {isTurns && (
        <SegmentedControl
          aria-label="Counted from"
          value={countedFrom}
          onChange={(next) => setCountedFrom(next as 'closed')}
          data={[
            { value: 'closed', label: 'from closed' },
            { value: 'open', label: 'from open' },
          ]}
        />
      )}
      {isTurns && countedFrom === 'open' && chosen !== undefined && <p>That is {turnsText(chosen)} from closed.</p>}
      {kind === 'pressure' && <TriggerPulled value={flowing} onChange={setFlowing} />}
      <TextInput label="A word why" value={why} maxLength={200} onChange={(event) => setWhy(event.currentTarget.value)} />
      <div className="row">
        <Button
          disabled={chosen === undefined || why.trim() === '' || isAtRest}
          onClick={() => {
            onOverride({ recommended, chosen: chosen!, why: why.trim() });
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

/** Turns beyond the travel give nothing to use. */
function turnsFromClosed(value: number, countedFrom: 'closed' | 'open', fullTurns: number): number | undefined {
  const outcome = answerOrRefuse('turns', { value, countedFrom, fullTurns });
  return 'answer' in outcome ? (outcome.answer as AnswerOf<'turns'>).turnsOut : undefined;
}
