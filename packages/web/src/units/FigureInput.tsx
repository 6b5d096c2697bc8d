/**
 * A field for one figure: any unit may be typed; what is out of range or doubtful is said beside
 * it, and what was typed stays.
 */
import { Button, TextInput } from '@mantine/core';
import type { UnitName } from '@orthochrom/core/units/convert.ts';
import { rangeOf } from '@orthochrom/contract/quantity/ranges.ts';
import { useState } from 'react';
import { usePainter } from '../frame/painter.ts';
import { formatFor, type Figure } from '@orthochrom/contract/words/format.ts';
import { readTyped, unitOf, type Kind } from './typed.ts';

export type Entered = {
  canonical: number;
  enteredValue: number;
  enteredUnit: UnitName | undefined;
};
type FigureInputProps = {
  label: string;
  /** Said, not shown: its column has a head. */
  isLabelHidden?: boolean;
  kind: Kind;
  /** The contract's name of the field: it gives the range. */
  field: string;
  value?: number;
  placeholder?: string;
  description?: string;
  least?: number;
  onChange: (entered: Entered | undefined) => void;
};
const SYMBOL: Partial<Record<UnitName, string>> = {
  C: '°C',
  F: '°F',
  um: 'µm',
  m2: 'm²',
  ft2: 'ft²',
  flOzUs: 'fl oz',
  flOzImp: 'fl oz imp',
  lPerMin: 'L/min',
  l: 'L',
  galUs: 'gal',
  galImp: 'gal imp',
  gPerL: 'g/L',
  lbPerGal: 'lb/gal',
};
const PLAIN_UNIT: Partial<Record<Kind, string>> = {
  percent: '%',
  turns: 'turns',
  nozzle: 'mm',
  grams: 'g',
  seconds: 's',
  count: '',
  solvent: 'g/L',
};

export function FigureInput({
  label,
  isLabelHidden = false,
  kind,
  field,
  value,
  placeholder,
  description,
  least,
  onChange,
}: FigureInputProps) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const own = unitOf(kind, painter.units);
  const [text, setText] = useState(() =>
    value === undefined ? '' : shown(format, kind, value).text,
  );
  const [isSure, setIsSure] = useState(false);
  const typed = readTyped(text, kind, painter.units);
  const range = rangeOf(field);
  const from = least ?? range.from;

  const complaint = (canonical: number): string | undefined =>
    canonical < from || canonical > range.to
      ? `${text.trim()} is given; ${format.joined(shown(format, kind, from))} to ${format.joined(shown(format, kind, range.to))} is possible.`
      : undefined;

  const change = (next: string, sure = false) => {
    setText(next);
    setIsSure(sure);
    const read = readTyped(next, kind, painter.units);
    if (read.kind === 'figure' && !complaint(read.canonical)) onChange(read);
    else if (read.kind === 'doubtful' && sure && !complaint(read.canonicalOwn))
      onChange({
        canonical: read.canonicalOwn,
        enteredValue: read.enteredValue,
        enteredUnit: read.ownUnit,
      });
    else onChange(undefined);
  };

  const error =
    typed.kind === 'unreadable'
      ? typed.message
      : typed.kind === 'figure'
        ? complaint(typed.canonical)
        : typed.kind === 'doubtful' && isSure
          ? complaint(typed.canonicalOwn)
          : undefined;
  return (
    <div>
      <TextInput
        {...(isLabelHidden ? { 'aria-label': label } : { label })}
        description={description}
        placeholder={placeholder}
        value={text}
        error={error}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => change(event.currentTarget.value)}
        rightSection={
          <span className="quiet">{own ? (SYMBOL[own] ?? own) : PLAIN_UNIT[kind]}</span>
        }
        rightSectionWidth={64}
        rightSectionPointerEvents="none"
      />
      {typed.kind === 'doubtful' && !isSure && (
        <div className="row" role="alert" style={{ marginTop: 6 }}>
          <span>
            {typed.enteredValue} {SYMBOL[typed.ownUnit] ?? typed.ownUnit}? Unusual here.
          </span>
          <Button
            size="compact-md"
            onClick={() => change(`${typed.enteredValue} ${typed.otherUnit}`)}
          >
            No, {typed.enteredValue} {SYMBOL[typed.otherUnit] ?? typed.otherUnit} (
            {format.joined(shown(format, kind, typed.canonicalOther))})
          </Button>
          <Button size="compact-md" variant="default" onClick={() => change(text, true)}>
            Yes, really
          </Button>
        </div>
      )}
    </div>
  );
}

function shown(format: ReturnType<typeof formatFor>, kind: Kind, canonical: number): Figure {
  if (
    kind === 'percent' ||
    kind === 'turns' ||
    kind === 'nozzle' ||
    kind === 'grams' ||
    kind === 'seconds' ||
    kind === 'count' ||
    kind === 'solvent'
  )
    return { text: String(Number(canonical.toFixed(2))), unit: PLAIN_UNIT[kind]! };
  return format[kind](canonical);
}
