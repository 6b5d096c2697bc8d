/**
 * A gun and its nozzle sets; changing one part of a set asks about the others, for they belong
 * together.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../api/resources.ts';
import { GUN_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import {
  Button,
  Checkbox,
  CloseButton,
  NumberInput,
  Select,
  Textarea,
  TextInput,
} from '@mantine/core';
import { GunCreate, type StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { doubtText } from '@orthochrom/contract/words/adviceWords.ts';
import { USUAL_INTERVALS, type CareIntervals } from '@orthochrom/core/gun/care.ts';
import { implausibleFigures } from '@orthochrom/core/gun/plausibility.ts';
import type { Gun } from '@orthochrom/core/gun/gun.ts';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { postJson, putJson } from '../api/client.ts';
import { useSetup } from '../api/reads.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { Kind } from '../units/typed.ts';
import { USUAL_GUN_CLASS } from '@orthochrom/core/trade/gunClasses.ts';
import { isKindUnknown } from '@orthochrom/core/gun/hvlpKind.ts';
import { MEANT_AT_CAP_KPA } from '@orthochrom/core/inForce/capLimitOf.ts';
import { HvlpKind } from './HvlpKind.tsx';
import { LeafletBand } from './LeafletBand.tsx';
import { TRUST_NAME } from './names.ts';

type Draft = Omit<GunCreate, 'id' | 'intervals'> & { intervals: CareIntervals };
const EMPTY: Draft = {
  name: '',
  usedFor: [],
  gaugeTrust: 'good',
  note: '',
  gun: {
    class: USUAL_GUN_CLASS,
    nozzlesMm: [1.3],
    nozzleSets: [{ nozzleMm: 1.3 }],
    ability: 'good',
  },
  intervals: USUAL_INTERVALS,
};

export function GunEditPage() {
  const { id = 'new' } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup) return <NotYet reads={[setupRead]} what="the gun" />;
  const stored = setup.guns.find((gun) => gun.id === id);
  if (!stored && id !== 'new') return <p className="page">There is no such gun.</p>;
  return <GunForm key={id} stored={stored} />;
}

const FIGURES: [keyof Draft['gun'], string, Kind][] = [
  ['fullFluidTurns', 'Needle travel, turns', 'turns'],
  ['fullFanTurns', 'Fan knob travel, turns', 'turns'],
  ['ratedInletKPa', 'Rated at the inlet', 'pressure'],
  ['capKPaAtRated', 'At the cap, at that rating', 'pressure'],
  ['ratedAirFlowLPerMin', 'Air it draws there', 'airFlow'],
  ['maxInletKPa', 'Most it may have', 'pressure'],
];

function GunForm({ stored: newest }: { stored: StoredGun | undefined }) {
  // The version the typing began from: a change by somebody else shows as a clash when this is
  // saved.
  const [stored] = useState(newest);
  const [ownId] = useState(() => stored?.id ?? newId());
  const navigate = useNavigate();
  const [busy, write] = useWrite();
  const [draft, setDraft] = useState<Draft>(() => (stored ? strip(stored) : EMPTY));
  const [picked, setPicked] = useState(0);
  const change = (changes: Partial<Draft>) => setDraft({ ...draft, ...changes });
  const changeGun = (changes: Partial<Draft['gun']>) =>
    change({ gun: { ...draft.gun, ...changes } });
  const sets = draft.gun.nozzleSets ?? [];
  const setSets = (next: typeof sets) =>
    changeGun({ nozzleSets: next, nozzlesMm: next.map(({ nozzleMm }) => nozzleMm) });
  const fault = faultOf(draft);
  const { painter } = usePainter();
  const { inWords } = formatFor(painter.units);
  const save = () =>
    write(async (over?: number) => {
      if (stored)
        await putJson(ADDRESS.gun(stored.id), { ...draft, version: over ?? stored.version });
      else await postJson(ADDRESS.guns, { ...draft, id: ownId });
      await refresh('setup');
      await navigate(`/guns/${ownId}`);
    });
  return (
    <>
      <PageHead title={stored ? stored.name : 'New gun'} line={GUN_NAME[draft.gun.class]} />
      <div className="page stack">
        <div className="card grid2">
          <TextInput
            label="Name"
            value={draft.name}
            maxLength={80}
            onChange={(event) => change({ name: event.currentTarget.value })}
          />
          <Select
            label="Kind"
            value={draft.gun.class}
            data={Object.entries(GUN_NAME).map(([value, label]) => ({ value, label }))}
            onChange={(next) => next && changeGun({ class: next as Draft['gun']['class'] })}
          />
          <Select
            label="How finely it breaks paint up"
            value={draft.gun.ability ?? 'good'}
            data={['basic', 'good', 'fine']}
            onChange={(ability) => ability && changeGun({ ability: ability as 'good' })}
          />
          <Select
            label="Its gauge"
            value={draft.gaugeTrust}
            data={Object.entries(TRUST_NAME).map(([value, label]) => ({ value, label }))}
            onChange={(trust) => trust && change({ gaugeTrust: trust as Draft['gaugeTrust'] })}
          />
          {FIGURES.map(([field, label, kind]) => (
            <FigureInput
              // What was picked is shown as if it had been typed: the field begins anew with it.
              key={`${field} ${picked}`}
              label={label}
              kind={kind}
              field={field}
              {...(typeof draft.gun[field] === 'number'
                ? { value: draft.gun[field] as number }
                : {})}
              onChange={(entered) =>
                changeGun({ [field]: entered?.canonical } as Partial<Draft['gun']>)
              }
            />
          ))}
          <LeafletBand
            band={draft.gun.leafletInletKPa}
            onChange={(leafletInletKPa) => changeGun({ leafletInletKPa })}
          />
        </div>
        {isKindUnknown(draft.gun as Gun, draft.gun.nozzlesMm[0]!) && (
          <HvlpKind
            onPick={(ratedInletKPa) => {
              changeGun({ ratedInletKPa, capKPaAtRated: MEANT_AT_CAP_KPA });
              setPicked(picked + 1);
            }}
          />
        )}
        <Checkbox.Group
          label="Used for"
          value={draft.usedFor}
          onChange={(usedFor) => change({ usedFor: usedFor as Stage[] })}
          className="card"
        >
          <div className="row" style={{ marginTop: 8 }}>
            {(Object.keys(STAGE_NAME) as Stage[]).map((stage) => (
              <Checkbox key={stage} size="md" value={stage} label={STAGE_NAME[stage]} />
            ))}
          </div>
        </Checkbox.Group>
        <fieldset className="card stack" style={{ margin: 0 }}>
          <legend className="tape">Nozzle sets</legend>
          <p className="quiet">
            Nozzle, needle and cap belong together. A changed set starts without tests; the old one
            is kept, retired.
          </p>
          {sets.map((set, i) => (
            <div
              key={i}
              className="grid2"
              style={{ gridTemplateColumns: '1fr 1fr 1fr 48px', alignItems: 'end' }}
            >
              <FigureInput
                label="Nozzle"
                kind="nozzle"
                field="nozzleMm"
                value={set.nozzleMm}
                onChange={(entered) =>
                  entered &&
                  setSets(
                    sets.map((other, k) =>
                      k === i ? { ...other, nozzleMm: entered.canonical } : other,
                    ),
                  )
                }
              />
              <TextInput
                label="Needle"
                value={set.needle ?? ''}
                maxLength={80}
                onChange={(event) =>
                  setSets(
                    sets.map((other, k) =>
                      k === i ? { ...other, needle: event.currentTarget.value } : other,
                    ),
                  )
                }
              />
              <TextInput
                label="Cap"
                value={set.cap ?? ''}
                maxLength={80}
                onChange={(event) =>
                  setSets(
                    sets.map((other, k) =>
                      k === i ? { ...other, cap: event.currentTarget.value } : other,
                    ),
                  )
                }
              />
              <CloseButton
                size="xl"
                aria-label={`Retire set ${i + 1}`}
                disabled={sets.length === 1}
                onClick={() => setSets(sets.filter((_, k) => k !== i))}
              />
            </div>
          ))}
          <div>
            <Button variant="default" onClick={() => setSets([...sets, { nozzleMm: 1.4 }])}>
              Another set
            </Button>
          </div>
        </fieldset>
        <Textarea
          label="Note"
          value={draft.note}
          maxLength={2000}
          autosize
          minRows={2}
          onChange={(event) => change({ note: event.currentTarget.value })}
        />
        <fieldset className="card grid2" style={{ margin: 0 }}>
          <legend className="tape">Due by days of use or by coats</legend>
          {(['pattern', 'service'] as const).flatMap((what) =>
            (['days', 'coats'] as const).map((unit) => (
              <NumberInput
                key={`${what}${unit}`}
                label={`${what === 'pattern' ? 'Shoot the pattern' : 'Service'} every so many ${unit}`}
                min={1}
                max={unit === 'days' ? 365 : 1000}
                allowDecimal={false}
                value={draft.intervals[what][unit]}
                onChange={(next) =>
                  Number(next) >= 1 &&
                  change({
                    intervals: {
                      ...draft.intervals,
                      [what]: { ...draft.intervals[what], [unit]: Number(next) },
                    },
                  })
                }
              />
            )),
          )}
        </fieldset>
        {implausibleFigures(draft.gun as Gun).map(({ code, params }) => (
          <p key={code} role="alert" className="card">
            {doubtText(code, params, inWords)} It can be saved as it is.
          </p>
        ))}
        {fault && <p role="alert">{fault}</p>}
        <div className="row">
          <Button loading={busy} disabled={fault !== undefined} onClick={() => void save()}>
            Save this gun
          </Button>
          <Button
            variant="default"
            onClick={() => void navigate(stored ? `/guns/${stored.id}` : '/guns')}
          >
            Leave it as it was
          </Button>
        </div>
      </div>
    </>
  );
}

/** Tests are taken, not edited: they stay on the server with their set. */
const strip = ({ id: _i, version: _v, sets: _s, gun, ...draft }: StoredGun): Draft => ({
  ...draft,
  gun: { ...gun, nozzleSets: (gun.nozzleSets ?? []).map(({ tests: _, ...set }) => set) },
});

function faultOf(draft: Draft): string | undefined {
  if (draft.name.trim() === '') return 'A gun needs a name.';
  const parsed = GunCreate.safeParse({ ...draft, id: '00000000-0000-4000-8000-000000000000' });
  return parsed.success ? undefined : parsed.error.issues[0]!.message;
}
