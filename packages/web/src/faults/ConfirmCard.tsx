/**
 * What it turned out to be, said when it is known; from this the next plans get their change, and
 * one day the numbers.
 */
import { ADDRESS } from '../api/resources.ts';
import { Button, Select, Textarea } from '@mantine/core';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import type { Finding } from '@orthochrom/contract/shop/finding.ts';
import { causeName, faultName, LAYER_WORDS } from '@orthochrom/contract/words/faultWords.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { whenText } from '../words/timeText.ts';

type Layer = NonNullable<Finding['layerSuspected']>;
const LAYERS = Object.entries(LAYER_WORDS).map(([value, label]) => ({ value, label }));
const STATE = {
  offered: 'offered to the next plan',
  taken: 'taken into a plan',
  refused: 'not taken',
} as const;

/** Those that lead first, then all others. */
const leading = (first: readonly { id: string }[], all: readonly { id: string }[]) => [
  ...first.map(({ id }) => id),
  ...all.map(({ id }) => id).filter((id) => !first.some((one) => one.id === id)),
];

export function ConfirmCard({
  finding,
  take,
}: {
  finding: Finding;
  take: (finding: Finding) => void;
}) {
  const { painter } = usePainter();
  const { confirmed, result } = finding;
  const { faults, causes } = theKnowledge().files;
  const [fault, setFault] = useState(confirmed?.fault ?? result.faults[0]?.id ?? '');
  const [cause, setCause] = useState(confirmed?.cause ?? result.causes[0]?.id ?? '');
  const [layer, setLayer] = useState<string | null>(
    confirmed?.layer ?? result.causes[0]?.layer ?? null,
  );
  const [note, setNote] = useState(confirmed?.note ?? '');
  const [busy, write] = useWrite();
  const save = () =>
    write(async (over) =>
      take(
        await postJson<Finding>(ADDRESS.finding(finding.id, 'confirm'), {
          version: over ?? finding.version,
          painterId: painter.id,
          fault,
          cause,
          ...(layer ? { layer: layer as Layer } : {}),
          note,
        }),
      ),
    );
  return (
    <section className="card stack" aria-label="What it turned out to be">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What it turned out to be
      </h2>
      {confirmed && (
        <p>
          Confirmed {whenText(confirmed.at)}: <b>{faultName(confirmed.fault)}</b>, from{' '}
          <b>{causeName(confirmed.cause)}</b>
          {confirmed.layer ? `, in the ${LAYER_WORDS[confirmed.layer]}` : ''}.
        </p>
      )}
      <div className="grid2">
        <Select
          label="Fault"
          searchable
          value={fault}
          data={leading(result.faults, faults.faults).map((id) => ({
            value: id,
            label: faultName(id),
          }))}
          onChange={(next) => next && setFault(next)}
        />
        <Select
          label="Cause"
          searchable
          value={cause}
          data={leading(result.causes, causes.causes).map((id) => ({
            value: id,
            label: causeName(id),
          }))}
          onChange={(next) => next && setCause(next)}
        />
        <Select
          label="Layer it came from"
          clearable
          value={layer}
          data={LAYERS}
          onChange={setLayer}
        />
      </div>
      <Textarea
        label="How it showed"
        value={note}
        maxLength={2000}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <div className="row">
        <Button size="lg" loading={busy} disabled={!fault || !cause} onClick={() => void save()}>
          {confirmed ? 'Keep the change' : 'It was this'}
        </Button>
        <a href={ADDRESS.finding(finding.id, 'file')}>Save as a file, photos inside</a>
        {finding.ticketId && <Link to={`/tickets/${finding.ticketId}`}>To the ticket</Link>}
      </div>
      {finding.changes.length > 0 && (
        <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
          {finding.changes.map(({ id, setting, change, state }) => (
            <li key={id}>
              <b>{setting}.</b> {change}. <span className="quiet">({STATE[state]})</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
