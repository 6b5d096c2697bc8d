/** One setting: ours large, the painter's own beside it once it is overridden, with a word why. */
import { ActionIcon, Button, Modal, SegmentedControl, TextInput } from '@mantine/core';
import { turnsCalculation } from '@orthochrom/contract/calculations/turns.ts';
import { outcomeOf } from '@orthochrom/contract/calculations/outcome.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { PencilIcon } from 'lucide-react';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/coat.ts';
import { useState, type ReactNode } from 'react';
import { FigureInput, type Entered } from '../../units/FigureInput.tsx';
import { usePainter } from '../../frame/painter.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import { formatFor, turnsText, type Figure } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { FigureTile } from '../step/FigureTile.tsx';
import { TriggerPulled } from './TriggerPulled.tsx';
import type { Kind } from '../../units/typed.ts';

type GaugeAt = 'inlet' | 'wall' | 'cap';
type SettingProps = {
  label: string;
  /** The setting in the middle of a sentence, where it is not the label. */
  of?: string;
  isLead?: boolean;
  name: SettingName;
  kind: Kind;
  recommended: number;
  show: (canonical: number) => Figure;
  /** Shown in place of the setting itself, where a hand goes by another figure. */
  figure?: Figure;
  note?: ReactNode;
  picture?: ReactNode;
  override: Overrides[SettingName];
  /** Travel of the knob, where it is one. */
  fullTurns?: number;
  /** What a pressure typed here is worth, and the same at the gun. */
  check?: (valueKPa: number, at: GaugeAt) => AnswerOf<'pressure'>;
  onOverride?: (override: Overrides[SettingName]) => void;
};

export function Setting({
  label,
  of = label.toLowerCase(),
  name,
  kind,
  recommended,
  show,
  figure,
  note,
  picture,
  override,
  fullTurns,
  check,
  onOverride,
  isLead,
}: SettingProps) {
  const [isOpen, setIsOpen] = useState(false);
  const value = typeof override?.chosen === 'number' ? override.chosen : recommended;
  const ours = show(recommended);
  return (
    <>
      <FigureTile
        name={name}
        {...(isLead ? { isLead } : {})}
        label={
          <>
            <span>{label}</span>
            {onOverride && (
              <ActionIcon
                variant="subtle"
                size={48}
                mt={-10}
                mr={-12}
                aria-label={`Set ${of} otherwise`}
                aria-haspopup="dialog"
                onClick={() => setIsOpen(true)}
              >
                <PencilIcon size={24} />
              </ActionIcon>
            )}
          </>
        }
        figure={figure ?? show(value)}
        {...(picture ? { picture } : {})}
        note={
          override ? (
            <>
              yours; we said{' '}
              <s>
                {ours.text} {ours.unit}
              </s>{' '}
              · {override.why}
            </>
          ) : (
            note
          )
        }
      />
      {onOverride && (
        <Modal
          opened={isOpen}
          onClose={() => setIsOpen(false)}
          title={`${label}: ours is ${ours.text} ${ours.unit}`}
          size="lg"
          centered
        >
          <OwnValue
            {...(fullTurns === undefined ? {} : { fullTurns })}
            {...(check ? { check } : {})}
            {...{ of, name, kind, recommended, onOverride, close: () => setIsOpen(false) }}
          />
        </Modal>
      )}
    </>
  );
}

type OwnValueProps = Pick<SettingProps, 'name' | 'kind' | 'recommended' | 'fullTurns' | 'check'> & {
  /** The setting in the middle of a sentence. */
  of: string;
  onOverride: NonNullable<SettingProps['onOverride']>;
  close: () => void;
};

function OwnValue({
  of,
  name,
  kind,
  recommended,
  fullTurns,
  check,
  onOverride,
  close,
}: OwnValueProps) {
  const [at, setAt] = useState<GaugeAt>('inlet');
  const [entered, setEntered] = useState<Entered>();
  const [countedFrom, setCountedFrom] = useState<'closed' | 'open'>('closed');
  const [flowing, setFlowing] = useState<string>();
  const [why, setWhy] = useState('');
  const isTurns = kind === 'turns' && fullTurns !== undefined;
  const reading = check && entered && flowing === 'yes' ? check(entered.canonical, at) : undefined;
  const chosen =
    entered &&
    (isTurns
      ? turnsFromClosed(entered.canonical, countedFrom, fullTurns)
      : at === 'inlet'
        ? entered.canonical
        : reading?.inletKPa && Math.round(reading.inletKPa.value));
  const isAtRest = kind === 'pressure' && flowing !== 'yes';
  const isStopped = reading?.verdicts.some(({ level }) => level === 'stop') ?? false;
  return (
    <div className="stack">
      <FigureInput label={`Yours: ${of}`} kind={kind} field={name} onChange={setEntered} />
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
      {isTurns && countedFrom === 'open' && chosen !== undefined && (
        <p>That is {turnsText(chosen)} from closed.</p>
      )}
      {kind === 'pressure' && (
        <SegmentedControl
          aria-label="Read at"
          value={at}
          onChange={(next) => setAt(next as GaugeAt)}
          data={[
            { value: 'inlet', label: 'at the gun' },
            { value: 'wall', label: 'at the wall' },
            { value: 'cap', label: 'at the cap' },
          ]}
        />
      )}
      {kind === 'pressure' && <TriggerPulled value={flowing} onChange={setFlowing} />}
      {reading && <ReadingWorth reading={reading} at={at} />}
      <TextInput
        label="A word why"
        value={why}
        maxLength={200}
        onChange={(event) => setWhy(event.currentTarget.value)}
      />
      <div className="row">
        <Button
          disabled={chosen === undefined || why.trim() === '' || isAtRest || isStopped}
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

/** What was read, at the gun; and whether it looks like another of the five pressures. */
function ReadingWorth({ reading, at }: { reading: AnswerOf<'pressure'>; at: GaugeAt }) {
  const { painter } = usePainter();
  const { pressure, joined, inWords } = formatFor(painter.units);
  const [why] = reading.reasons;
  return (
    <div className="stack" style={{ gap: '0.4rem' }}>
      {reading.inletKPa && at !== 'inlet' && (
        <p>That is {joined(pressure(reading.inletKPa.value))} at the gun.</p>
      )}
      {!reading.inletKPa && why && <p role="alert">{reasonText(why.code, why.params, inWords)}</p>}
      {reading.asks.map(({ question }) => (
        <p key={question} role="alert">
          {question}
        </p>
      ))}
      <VerdictList verdicts={reading.verdicts} />
    </div>
  );
}

/** Turns beyond the travel give nothing to use. */
function turnsFromClosed(
  value: number,
  countedFrom: 'closed' | 'open',
  fullTurns: number,
): number | undefined {
  const outcome = outcomeOf(turnsCalculation, { value, countedFrom, fullTurns });
  return 'answer' in outcome ? outcome.answer.turnsOut : undefined;
}
