/** The line as the painter describes it once, from the compressor to the gun. */
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../api/resources.ts';
import { Button, Textarea } from '@mantine/core';
import type { AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { saveJson } from '../api/client.ts';
import { useSetup } from '../api/reads.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import {
  draftOf,
  describedLine,
  faultOf,
  type AirLineDraft,
  type HoseDraft,
} from './airLineDraft.ts';
import { LinePieces, OwnGauge, WhereItBelongs } from './LinePieces.tsx';

export function AirLineFormPage() {
  const { id } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup) return <NotYet reads={[setupRead]} what="the line" />;
  return (
    <LineForm
      key={id ?? 'new'}
      stored={setup.airLines.find((line) => line.id === id)}
      setup={setup}
    />
  );
}

function LineForm({ stored: newest, setup }: { stored: AirLine | undefined; setup: ShopSetup }) {
  // The version the typing began from: a change by somebody else shows as a clash when this is
  // saved.
  const [stored] = useState(newest);
  const [ownId] = useState(() => stored?.id ?? newId());
  const navigate = useNavigate();
  const [busy, write] = useWrite();
  const [draft, setDraft] = useState(() => draftOf(stored));
  const [hose, setHose] = useState<HoseDraft>(() => stored?.line.hose ?? {});
  const change = (changes: Partial<AirLineDraft>) => setDraft({ ...draft, ...changes });
  const changeLine = (changes: Partial<AirLineDraft['line']>) =>
    change({ line: { ...draft.line, ...changes } });
  const body = describedLine(draft, hose);
  const fault = faultOf(draft, hose, ownId);
  const save = () =>
    write(async (over?: number) => {
      await saveJson(
        [ADDRESS.airLines, ADDRESS.airLine(ownId)],
        { ...body, id: ownId },
        over ?? stored?.version,
      );
      await refresh('setup');
      await navigate(`/air/${ownId}`);
    });
  return (
    <>
      <PageHead
        title={stored ? stored.name : 'New air line'}
        line="From the tank to the gun, piece by piece, once"
      />
      <div className="page stack">
        <WhereItBelongs draft={draft} setup={setup} change={change} changeLine={changeLine} />
        <LinePieces line={draft.line} hose={hose} changeLine={changeLine} setHose={setHose} />
        <OwnGauge draft={draft} change={change} />
        <Textarea
          label="Note"
          value={draft.note}
          maxLength={2000}
          onChange={(event) => change({ note: event.currentTarget.value })}
        />
        {fault && <p role="alert">{fault}</p>}
        <div className="row">
          <Button loading={busy} disabled={fault !== undefined} onClick={() => void save()}>
            Save this line
          </Button>
          <Button variant="default" component={Link} to={stored ? `/air/${stored.id}` : '/guns'}>
            Leave it as it was
          </Button>
        </div>
      </div>
    </>
  );
}
