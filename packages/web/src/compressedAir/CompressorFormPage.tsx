import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../api/resources.ts';
import { Button, Textarea, TextInput } from '@mantine/core';
import { CompressorCreate, type Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { saveJson } from '../api/client.ts';
import { useSetup } from '../api/reads.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { FigureInput } from '../units/FigureInput.tsx';
import { PumpUpCard } from './PumpUpCard.tsx';

type Draft = Partial<Omit<z.infer<typeof CompressorCreate>, 'id'>>;
const FIGURES = [
  ['tankL', 'Tank', 'tank'],
  ['freeAirLPerMin', 'Free air delivered, by its plate', 'airFlow'],
  ['freeAirAtKPa', 'at a pressure of', 'supplyPressure'],
  ['cutInKPa', 'Motor cuts in at', 'supplyPressure'],
  ['cutOutKPa', 'Motor cuts out at', 'supplyPressure'],
] as const;

export function CompressorFormPage() {
  const { id } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup) return <NotYet reads={[setupRead]} what="the compressor" />;
  return (
    <CompressorForm
      key={id ?? 'new'}
      stored={setup.compressors.find((compressor) => compressor.id === id)}
    />
  );
}

function CompressorForm({ stored: newest }: { stored: Compressor | undefined }) {
  const [stored] = useState(newest);
  const [ownId] = useState(() => stored?.id ?? newId());
  const navigate = useNavigate();
  const [busy, write] = useWrite();
  const [draft, setDraft] = useState<Draft>(() =>
    stored ? strip(stored) : { name: '', note: '' },
  );
  const given = { ...draft, id: ownId };
  const parsed = CompressorCreate.safeParse(given);
  const missing = FIGURES.find(([field]) => draft[field] === undefined);
  const fault = !draft.name?.trim()
    ? 'A compressor needs a name.'
    : missing
      ? `Not known yet: ${missing[1].toLowerCase()}.`
      : parsed.success
        ? undefined
        : refusalOf(parsed.error, given).message;
  const save = () =>
    write(async (over?: number) => {
      await saveJson(
        [ADDRESS.compressors, ADDRESS.compressor(ownId)],
        { ...draft, id: ownId },
        over ?? stored?.version,
      );
      await refresh('setup');
      await navigate('/guns');
    });
  return (
    <>
      <PageHead
        title={stored ? stored.name : 'New compressor'}
        line="What is on its plate and on its switch; a pump-up tells what it really gives"
      />
      <div className="page stack">
        <div className="card grid2">
          <TextInput
            label="Name"
            value={draft.name ?? ''}
            maxLength={80}
            onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
          />
          {FIGURES.map(([field, label, kind]) => (
            <FigureInput
              key={field}
              label={label}
              kind={kind}
              field={field}
              {...(draft[field] === undefined ? {} : { value: draft[field] })}
              onChange={(entered) => setDraft((now) => ({ ...now, [field]: entered?.canonical }))}
            />
          ))}
        </div>
        <p className="card">
          The figure that counts is free air delivered at a working pressure, not what the pump
          displaces. Drain the tank before work: hot compressed air cools there, and the water is
          its condensate.
        </p>
        <Textarea
          label="Note"
          value={draft.note ?? ''}
          maxLength={2000}
          onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value })}
        />
        {fault && <p role="alert">{fault}</p>}
        <div className="row">
          <Button loading={busy} disabled={fault !== undefined} onClick={() => void save()}>
            Save this compressor
          </Button>
          <Button variant="default" component={Link} to="/guns">
            Leave it as it was
          </Button>
        </div>
        {newest && <PumpUpCard compressor={newest} />}
      </div>
    </>
  );
}

const strip = ({ id: _i, version: _v, pumpUp: _p, ...draft }: Compressor): Draft => draft;
