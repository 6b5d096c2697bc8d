/**
 * What the log says: from the ticket by itself, corrected or added to by hand; a reading not to be
 * relied on counts for nothing.
 */
import { Button, CloseButton, SegmentedControl, Select } from '@mantine/core';
import { isMet } from '@orthochrom/core/diagnosis/evidence.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { LoggedReading } from '@orthochrom/contract/shop/finding.ts';
import { inUnitsOf } from '@orthochrom/contract/words/measured.ts';
import { readingName, readingValueText } from '@orthochrom/contract/words/faultWords.ts';
import { useState } from 'react';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import type { Draft } from './draft.ts';
import { ReadingInput } from './ReadingInput.tsx';
import styles from './ReadingsCard.module.css';

type Readings = Draft['readings'];
const TRUST = [
  { value: 'good', label: 'Relied on' },
  { value: 'doubtful', label: 'Doubtful' },
  { value: 'none', label: 'Not trusted' },
];

export function ReadingsCard({
  readings,
  units,
  onChange,
}: {
  readings: Readings;
  units: Units;
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
        <b>{readingValueText(id, reading.value, units)}</b>
        <span className="quiet">
          {reading.trust === 'good' ? reading.from : 'not relied on: neither clears nor accuses'}
        </span>
      </button>
      {open === id && (
        <div className={styles['edit']}>
          <ReadingInput
            id={id}
            value={reading.value}
            units={units}
            onChange={(value) => put(id, { ...reading, value, from: 'by hand' })}
          />
          <SegmentedControl
            aria-label={`How far ${readingName(id)} may be relied on`}
            data={TRUST}
            value={reading.trust}
            onChange={(trust) => put(id, { ...reading, trust: trust as LoggedReading['trust'] })}
          />
          <p className="quiet">
            {inUnitsOf(known.readings[id]?.means ?? '', units)}
            {known.traps
              .filter((trap) => trap.readings.includes(id))
              .map(({ text }) => ` ${inUnitsOf(text, units)}.`)
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
        units={units}
        onAdd={(id, value) => (put(id, { value, trust: 'good', from: 'by hand' }), setOpen(id))}
      />
    </section>
  );
}

function Adder({
  free,
  units,
  onAdd,
}: {
  free: string[];
  units: Units;
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
      {id && <ReadingInput key={id} id={id} value={value} units={units} onChange={setValue} />}
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
