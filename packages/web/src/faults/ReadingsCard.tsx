/**
 * What the log says: from the ticket by itself, corrected or added to by hand; a reading not to be
 * relied on counts for nothing.
 */
import { Button, CloseButton, NumberInput, SegmentedControl, Select } from '@mantine/core';
import { isMet } from '@orthochrom/core/diagnosis/evidence.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { LoggedReading } from '@orthochrom/contract/shop/finding.ts';
import { readingName } from '@orthochrom/contract/words/faultWords.ts';
import { useState } from 'react';
import type { Format } from '@orthochrom/contract/words/format.ts';
import type { Draft } from './draft.ts';
import { readingText } from './readingText.ts';
import styles from './ReadingsCard.module.css';

type Readings = Draft['readings'];
const TRUST = [
  { value: 'good', label: 'Relied on' },
  { value: 'doubtful', label: 'Doubtful' },
  { value: 'none', label: 'Not trusted' },
];

export function ReadingsCard({
  readings,
  format,
  onChange,
}: {
  readings: Readings;
  format: Format;
  onChange: (next: Readings) => void;
}) {
  const [open, setOpen] = useState<string>();
  const known = theKnowledge().files.readings;
  const put = (id: string, next: LoggedReading) => onChange({ ...readings, [id]: next });
  const drop = (id: string) =>
    onChange(Object.fromEntries(Object.entries(readings).filter(([key]) => key !== id)));
  const free = Object.keys(known.readings).filter((id) => !(id in readings));
  const log = Object.fromEntries(
    Object.entries(readings).flatMap(([id, { value, trust }]) =>
      trust === 'good' ? [[id, value]] : [],
    ),
  );
  const isLoud = ([id]: [string, LoggedReading]) =>
    theKnowledge().knowledge.causes.some(({ evidence }) =>
      evidence.some((one) => one.reading === id && isMet(one, log) === true),
    );
  const entries = Object.entries(readings);
  const loud = entries.filter(isLoud);
  const quiet = entries.filter((entry) => !isLoud(entry));
  const row = ([id, reading]: [string, LoggedReading]) => (
    <li key={id} data-reading={id} data-trust={reading.trust}>
      <button
        type="button"
        className={styles['reading']}
        aria-expanded={open === id}
        onClick={() => setOpen(open === id ? undefined : id)}
      >
        <span>{readingName(id)}</span>
        <b>{readingText(id, reading.value, format)}</b>
        <span className="quiet">
          {reading.trust === 'good' ? reading.from : 'not relied on: neither clears nor accuses'}
        </span>
      </button>
      {open === id && (
        <div className={styles['edit']}>
          <Value
            id={id}
            value={reading.value}
            onChange={(value) => put(id, { ...reading, value, from: 'by hand' })}
          />
          <SegmentedControl
            aria-label={`How far ${readingName(id)} may be relied on`}
            data={TRUST}
            value={reading.trust}
            onChange={(trust) => put(id, { ...reading, trust: trust as LoggedReading['trust'] })}
          />
          <p className="quiet">
            {known.readings[id]?.means}
            {known.traps
              .filter((trap) => trap.readings.includes(id))
              .map(({ text }) => ` ${text}.`)
              .join('')}
          </p>
          <CloseButton aria-label={`Remove ${readingName(id)}`} onClick={() => drop(id)} />
        </div>
      )}
    </li>
  );
  return (
    <section className="card stack" aria-label="Readings">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Readings
      </h2>
      {entries.length === 0 && (
        <p className="quiet">
          Nothing was measured or logged. What you know, add: it leans the ranking before a question
          is asked.
        </p>
      )}
      <ul className={styles['readings']}>{loud.map(row)}</ul>
      {quiet.length > 0 && (
        <details>
          <summary>In order, or saying nothing: {quiet.length}</summary>
          <ul className={styles['readings']}>{quiet.map(row)}</ul>
        </details>
      )}
      <Adder
        free={free}
        onAdd={(id, value) => (put(id, { value, trust: 'good', from: 'by hand' }), setOpen(id))}
      />
    </section>
  );
}

function Adder({
  free,
  onAdd,
}: {
  free: string[];
  onAdd: (id: string, value: LoggedReading['value']) => void;
}) {
  const [id, setId] = useState<string | null>(null);
  const [value, setValue] = useState<LoggedReading['value']>();
  return (
    <div className={styles['edit']}>
      <Select
        label="Add a reading"
        placeholder="what was measured"
        searchable
        clearable
        value={id}
        data={free.map((reading) => ({ value: reading, label: readingName(reading) }))}
        onChange={(next) => (setId(next), setValue(undefined))}
      />
      {id && <Value key={id} id={id} value={value} onChange={setValue} />}
      {id && (
        <Button
          disabled={value === undefined}
          onClick={() => value !== undefined && (onAdd(id, value), setId(null))}
        >
          Add it
        </Button>
      )}
    </div>
  );
}

/** Shares are typed in per cent. */
function Value({
  id,
  value,
  onChange,
}: {
  id: string;
  value: LoggedReading['value'] | undefined;
  onChange: (value: LoggedReading['value']) => void;
}) {
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
  const isShare = known.unit === '';
  const scale = isShare ? 100 : 1;
  return (
    <NumberInput
      label={label}
      description={`${known.from * scale} to ${known.to * scale} ${isShare ? '%' : known.unit}`}
      suffix={` ${isShare ? '%' : known.unit}`}
      min={known.from * scale}
      max={known.to * scale}
      decimalScale={2}
      value={typeof value === 'number' ? value * scale : ''}
      onChange={(next) => {
        // While it is typed it may lie outside; only what can be is put in the log.
        if (typeof next === 'number' && next >= known.from * scale && next <= known.to * scale)
          onChange(next / scale);
      }}
    />
  );
}
