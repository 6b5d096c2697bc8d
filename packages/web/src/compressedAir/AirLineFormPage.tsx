/** The line as the painter describes it once, from the compressor to the gun. */
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../api/resources.ts';
import { Button, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { AirLineCreate, type AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import type { z } from 'zod';
import { postJson, putJson } from '../api/client.ts';
import { useSetup } from '../api/reads.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { FigureInput } from '../units/FigureInput.tsx';

type Draft = Omit<z.infer<typeof AirLineCreate>, 'id'>;
const EMPTY: Draft = {
  name: '',
  gaugeAt: 'wall',
  gaugeTrust: 'good',
  line: { couplers: [{ kind: 'standard', count: 2 }], regulator: 'large' },
  note: '',
};
const NONE = 'none';

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
  const [draft, setDraft] = useState<Draft>(() => (stored ? strip(stored) : EMPTY));
  const [hose, setHose] = useState<{
    innerDiameterMm?: number | undefined;
    lengthM?: number | undefined;
  }>(() => stored?.line.hose ?? {});
  const change = (changes: Partial<Draft>) => setDraft({ ...draft, ...changes });
  const changeLine = (changes: Partial<Draft['line']>) =>
    change({ line: { ...draft.line, ...changes } });
  const countOf = (kind: 'standard' | 'highFlow') =>
    (draft.line.couplers ?? [])
      .filter((c) => c.kind === kind)
      .reduce((sum, { count }) => sum + count, 0);
  const setCount = (kind: 'standard' | 'highFlow', count: number) =>
    changeLine({
      couplers: [...(draft.line.couplers ?? []).filter((c) => c.kind !== kind), { kind, count }],
    });
  const hasHalfHose = (hose.innerDiameterMm === undefined) !== (hose.lengthM === undefined);
  const body = whole(draft, hose);
  const given = { ...body, id: ownId };
  const parsed = AirLineCreate.safeParse(given);
  const fault =
    draft.name.trim() === ''
      ? 'A line needs a name.'
      : hasHalfHose
        ? 'A hose has a bore and a length: type both, or neither.'
        : parsed.success
          ? undefined
          : refusalOf(parsed.error, given).message;
  const save = () =>
    write(async (over?: number) => {
      if (stored)
        await putJson(ADDRESS.airLine(stored.id), { ...body, version: over ?? stored.version });
      else await postJson(ADDRESS.airLines, { ...body, id: ownId });
      await refresh('setup');
      await navigate(`/air/${ownId}`);
    });
  const picks = (list: { id: string; name: string }[], none: string) => [
    { value: NONE, label: none },
    ...list.map(({ id, name }) => ({ value: id, label: name })),
  ];
  const withId = (key: 'roomId' | 'compressorId', id: string | null) => {
    const { [key]: _, ...rest } = draft;
    setDraft(id && id !== NONE ? { ...rest, [key]: id } : rest);
  };
  return (
    <>
      <PageHead
        title={stored ? stored.name : 'New air line'}
        line="From the tank to the gun, piece by piece, once"
      />
      <div className="page stack">
        <div className="card grid2">
          <TextInput
            label="Name"
            value={draft.name}
            maxLength={80}
            onChange={(event) => change({ name: event.currentTarget.value })}
          />
          <Select
            label="Serves the room"
            value={draft.roomId ?? NONE}
            data={picks(setup.rooms, 'no room of its own')}
            onChange={(id) => withId('roomId', id)}
          />
          <Select
            label="From the compressor"
            value={draft.compressorId ?? NONE}
            data={picks(setup.compressors, 'not described')}
            onChange={(id) => withId('compressorId', id)}
            description={
              setup.compressors.length === 0 ? 'describe one to know whether it holds' : undefined
            }
          />
          <FigureInput
            label="The compressor side holds"
            kind="supplyPressure"
            field="supplyKPa"
            {...(draft.line.supplyKPa === undefined ? {} : { value: draft.line.supplyKPa })}
            onChange={(entered) => changeLine({ supplyKPa: entered?.canonical })}
          />
        </div>
        <fieldset className="card grid2" style={{ margin: 0 }}>
          <legend className="tape">What the air goes through</legend>
          <Select
            label="Wall regulator"
            value={draft.line.regulator ?? 'large'}
            data={[
              { value: 'large', label: 'large body, 1/2 inch' },
              { value: 'small', label: 'small body, 1/4 inch' },
            ]}
            onChange={(regulator) => regulator && changeLine({ regulator: regulator as 'small' })}
          />
          <FigureInput
            label="Hose, inside diameter"
            kind="bore"
            field="innerDiameterMm"
            description="3/8 in is 9.5 mm; type either"
            {...(hose.innerDiameterMm === undefined ? {} : { value: hose.innerDiameterMm })}
            onChange={(entered) =>
              setHose((now) => ({ ...now, innerDiameterMm: entered?.canonical }))
            }
          />
          <FigureInput
            label="Hose, length"
            kind="metres"
            field="lengthM"
            {...(hose.lengthM === undefined ? {} : { value: hose.lengthM })}
            onChange={(entered) => setHose((now) => ({ ...now, lengthM: entered?.canonical }))}
          />
          <NumberInput
            label="Standard couplers"
            min={0}
            max={12}
            value={countOf('standard')}
            onChange={(count) => setCount('standard', Number(count) || 0)}
          />
          <NumberInput
            label="High-flow couplers"
            min={0}
            max={12}
            value={countOf('highFlow')}
            onChange={(count) => setCount('highFlow', Number(count) || 0)}
          />
        </fieldset>
        <fieldset className="card grid2" style={{ margin: 0 }}>
          <legend className="tape">Your gauge</legend>
          <Select
            label="Where it sits"
            value={draft.gaugeAt}
            data={[
              { value: 'wall', label: 'at the wall' },
              { value: 'gun', label: 'at the gun’s inlet' },
            ]}
            onChange={(gaugeAt) => gaugeAt && change({ gaugeAt: gaugeAt as 'wall' })}
          />
          <Select
            label="How far you trust it"
            value={draft.gaugeTrust}
            data={[
              { value: 'good', label: 'trusted' },
              { value: 'doubtful', label: 'doubtful' },
              { value: 'none', label: 'not at all' },
            ]}
            onChange={(trust) => trust && change({ gaugeTrust: trust as 'good' })}
          />
          <p style={{ gridColumn: '1 / -1' }}>
            With a regulator at the wall the gun’s own air valve stays fully open: two throttles in
            a row and neither tells the truth.
          </p>
        </fieldset>
        <Textarea
          label="Note"
          value={draft.note}
          maxLength={2000}
          autosize
          minRows={2}
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

const strip = ({ id: _i, version: _v, twoGauges: _t, ...draft }: AirLine): Draft => draft;

function whole(
  draft: Draft,
  {
    innerDiameterMm,
    lengthM,
  }: { innerDiameterMm?: number | undefined; lengthM?: number | undefined },
): Draft {
  const { hose: _, ...line } = draft.line;
  const couplers = (line.couplers ?? []).filter(({ count }) => count > 0);
  return {
    ...draft,
    line: {
      ...line,
      couplers,
      ...(innerDiameterMm === undefined || lengthM === undefined
        ? {}
        : { hose: { innerDiameterMm, lengthM } }),
    },
  };
}
