/** A gun is described: what it is, what its leaflet says, its sets, and when it is due. */
import { ADDRESS, refresh } from '../api/resources.ts';
import { GUN_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { Button, Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { doubtText } from '@orthochrom/contract/words/adviceWords.ts';
import { implausibleFigures } from '@orthochrom/core/gun/plausibility.ts';
import type { Gun } from '@orthochrom/core/gun/gun.ts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { saveJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { Kind } from '../units/typed.ts';
import { isKindUnknown } from '@orthochrom/core/gun/hvlpKind.ts';
import { MEANT_AT_CAP_KPA } from '@orthochrom/core/inForce/capLimitOf.ts';
import { HvlpKind } from './HvlpKind.tsx';
import { LeafletBand } from './LeafletBand.tsx';
import { TRUST_NAME } from './names.ts';
import { DueIntervals } from './DueIntervals.tsx';
import { EMPTY_GUN, faultOfGun, gunDraftOf, withSets, type GunDraft } from './gunDraft.ts';
import { NozzleSets } from './NozzleSets.tsx';

const FIGURES: [keyof GunDraft['gun'], string, Kind][] = [
  ['fullFluidTurns', 'Needle travel, turns', 'turns'],
  ['fullFanTurns', 'Fan knob travel, turns', 'turns'],
  ['ratedInletKPa', 'Rated at the inlet', 'pressure'],
  ['capKPaAtRated', 'At the cap, at that rating', 'pressure'],
  ['ratedAirFlowLPerMin', 'Air it draws there', 'airFlow'],
  ['maxInletKPa', 'Most it may have', 'pressure'],
];

export function GunForm({ stored: newest }: { stored: StoredGun | undefined }) {
  // The version the typing began from: a change by somebody else shows as a clash when this is
  // saved.
  const [stored] = useState(newest);
  const [ownId] = useState(() => stored?.id ?? newId());
  const navigate = useNavigate();
  const [busy, write] = useWrite();
  const [draft, setDraft] = useState<GunDraft>(() => (stored ? gunDraftOf(stored) : EMPTY_GUN));
  const [picked, setPicked] = useState(0);
  const change = (changes: Partial<GunDraft>) => setDraft({ ...draft, ...changes });
  const changeGun = (changes: Partial<GunDraft['gun']>) =>
    change({ gun: { ...draft.gun, ...changes } });
  const sets = draft.gun.nozzleSets ?? [];
  const fault = faultOfGun(draft);
  const { painter } = usePainter();
  const { inWords } = formatFor(painter.units);
  const save = () =>
    write(async (over?: number) => {
      await saveJson(
        [ADDRESS.guns, ADDRESS.gun(ownId)],
        { ...draft, id: ownId },
        over ?? stored?.version,
      );
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
            onChange={(next) => next && changeGun({ class: next as GunDraft['gun']['class'] })}
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
            onChange={(trust) => trust && change({ gaugeTrust: trust as GunDraft['gaugeTrust'] })}
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
                changeGun({ [field]: entered?.canonical } as Partial<GunDraft['gun']>)
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
        <NozzleSets sets={sets} onChange={(next) => setDraft(withSets(draft, next))} />
        <Textarea
          label="Note"
          value={draft.note}
          maxLength={2000}
          onChange={(event) => change({ note: event.currentTarget.value })}
        />
        <DueIntervals intervals={draft.intervals} onChange={(intervals) => change({ intervals })} />
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
