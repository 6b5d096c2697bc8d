/** One reading, typed or touched, in the painter's units; shares in per cent. */
import { NumberInput, SegmentedControl, Select } from '@mantine/core';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { LoggedReading } from '@orthochrom/contract/shop/finding.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { readingName } from '@orthochrom/contract/words/faultWords.ts';
import { shownReading } from '@orthochrom/contract/words/readingUnits.ts';

type ReadingInputProps = {
  id: string;
  value: LoggedReading['value'] | undefined;
  units: Units;
  onChange: (value: LoggedReading['value']) => void;
};

/** As fine as an instrument can be read. */
const fine = (figure: number): number => Number(figure.toFixed(2));

export function ReadingInput({ id, value, units, onChange }: ReadingInputProps) {
  const known = theKnowledge().files.readings.readings[id];
  if (!known) return null;
  const label = readingName(id);
  if (known.kind === 'bool')
    return (
      <SegmentedControl
        aria-label={label}
        value={value === undefined ? '' : value ? 'yes' : 'no'}
        data={[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'No' },
        ]}
        onChange={(next) => onChange(next === 'yes')}
      />
    );
  if (known.kind === 'enum')
    return (
      <Select
        label={label}
        value={typeof value === 'string' ? value : null}
        data={known.values.map((word) => ({ value: word, label: word.replaceAll('_', ' ') }))}
        onChange={(next) => next && onChange(next)}
      />
    );
  const { symbol, isPrefix, shown, kept } = shownReading(known.unit, units);
  const [least, most] = [fine(shown(known.from)), fine(shown(known.to))];
  return (
    <NumberInput
      label={label}
      description={
        isPrefix ? `${symbol}${least} to ${symbol}${most}` : `${least} to ${most}${symbol}`
      }
      {...(isPrefix ? { prefix: symbol } : { suffix: symbol })}
      min={least}
      max={most}
      decimalScale={2}
      value={typeof value === 'number' ? fine(shown(value)) : ''}
      onChange={(next) => {
        // While it is typed it may lie outside; only what can be is put in the log.
        if (typeof next === 'number' && next >= least && next <= most)
          onChange(Math.min(known.to, Math.max(known.from, kept(next))));
      }}
    />
  );
}
