import { ADDRESS } from '../api/resources.ts';
import { Button, Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import { AirflowPlan } from './AirflowPlan.tsx';
import { NamedList } from './NamedList.tsx';
import { PutAway } from './PutAway.tsx';
import { useKept } from './useKept.ts';
import { FigureInput } from '../units/FigureInput.tsx';

const CHOICES = {
  place: [
    'What it is',
    [
      ['booth', 'booth'],
      ['closedGarage', 'closed garage'],
      ['openGarage', 'open garage'],
      ['outdoors', 'outdoors'],
    ],
  ],
  airMovement: [
    'Air over the panel',
    [
      ['still', 'still'],
      ['downdraft', 'downdraft'],
      ['crossdraft', 'crossdraft'],
      ['fan', 'a fan at the door'],
    ],
  ],
  extraction: [
    'Extraction it has',
    [
      ['on', 'a booth’s own'],
      ['off', 'none'],
      ['ratedFan', 'fan with a rated motor'],
      ['householdFan', 'household fan'],
    ],
  ],
} as const;

const HAS = {
  filtered: 'What comes in is filtered',
  sideLight: 'Lamps on both sides',
} as const;

export function RoomSettings({ room }: { room: Room }) {
  const { draft, setDraft, isChanged, busy, save, round } = useKept(
    room,
    ADDRESS.room(room.id),
    ({ rooms }) => rooms,
  );
  const { id, version } = draft;
  const rule = draft.regionRules.twoPackAtHome ?? 'unknown';
  const { vocLimitGPerL } = draft.regionRules;
  const limitSolvent = (limit: number | undefined) => {
    const { vocLimitGPerL: _, ...rules } = draft.regionRules;
    setDraft({
      ...draft,
      regionRules: limit === undefined ? rules : { ...rules, vocLimitGPerL: limit },
    });
  };
  const withCapLimit = ({ capLimitKPa: _, ...rest }: Room, capLimitKPa: number | undefined): Room =>
    capLimitKPa === undefined ? rest : { ...rest, capLimitKPa };
  return (
    <section className="card stack" aria-label={room.name}>
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        {room.name}
      </h2>
      <div className="grid2" key={round}>
        <TextInput
          label="Name"
          value={draft.name}
          maxLength={80}
          onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
        />
        {Object.entries(CHOICES).map(([key, [label, options]]) => (
          <Select
            key={key}
            label={label}
            value={draft[key as keyof typeof CHOICES]}
            data={options.map(([value, word]) => ({ value, label: word }))}
            onChange={(value) => value && setDraft({ ...draft, [key]: value })}
          />
        ))}
        <Select
          label="Two-pack here, as you found out"
          value={rule}
          data={[
            { value: 'unknown', label: 'not known: ask' },
            { value: 'prohibited', label: 'not allowed' },
            { value: 'permitted', label: 'allowed' },
          ]}
          onChange={(twoPackAtHome) =>
            twoPackAtHome &&
            setDraft({
              ...draft,
              regionRules: { ...draft.regionRules, twoPackAtHome: twoPackAtHome as 'unknown' },
            })
          }
        />
        <FigureInput
          label="Legal limit at the cap, if any"
          kind="pressure"
          field="capLimitKPa"
          {...(draft.capLimitKPa === undefined ? {} : { value: draft.capLimitKPa })}
          onChange={(entered) => setDraft(withCapLimit(draft, entered?.canonical))}
        />
        <FigureInput
          label="Solvent limit here, if any"
          description="g/L, less water, as the authority has it: over it nothing is poured"
          kind="solvent"
          field="vocLimitGPerL"
          {...(vocLimitGPerL === undefined ? {} : { value: vocLimitGPerL })}
          onChange={(entered) => limitSolvent(entered?.canonical)}
        />
        <TextInput
          label="Region"
          description="kept with every gate; no law is read from it"
          value={draft.region}
          maxLength={80}
          onChange={(event) => setDraft({ ...draft, region: event.currentTarget.value })}
        />
        <TextInput
          label="Silicone last used in it"
          description="spray, dressing, detailer; empty: never, or nobody knows"
          type="date"
          value={draft.siliconeLastOn ?? ''}
          onChange={({ currentTarget: { value } }) => {
            const { siliconeLastOn: _, ...rest } = draft;
            setDraft(value ? { ...rest, siliconeLastOn: value } : rest);
          }}
        />
        {(['filtered', 'sideLight'] as const).map((key) => (
          <Checkbox
            key={key}
            size="md"
            label={HAS[key]}
            checked={draft[key] ?? false}
            onChange={(event) => setDraft({ ...draft, [key]: event.currentTarget.checked })}
            style={{ alignSelf: 'end', paddingBottom: 12 }}
          />
        ))}
        <Checkbox
          size="md"
          label="Its floor is wetted against dust"
          checked={draft.wetsFloor ?? false}
          onChange={(event) => setDraft({ ...draft, wetsFloor: event.currentTarget.checked })}
          style={{ alignSelf: 'end', paddingBottom: 12 }}
        />
        <Checkbox
          size="md"
          label="Heated: no dew at dawn"
          checked={draft.heated}
          onChange={(event) => setDraft({ ...draft, heated: event.currentTarget.checked })}
          style={{ alignSelf: 'end', paddingBottom: 12 }}
        />
      </div>
      <AirflowPlan value={draft.airflow} onPick={(airflow) => setDraft({ ...draft, airflow })} />
      {draft.airflow === 'fanAtDoor' && (
        <Select
          label="At the fan stands"
          description="turned round, the order of panels turns"
          placeholder="not said"
          clearable
          value={draft.carEndAtFan ?? null}
          data={[
            { value: 'front', label: 'the nose of the car' },
            { value: 'rear', label: 'its tail' },
          ]}
          onChange={(end) => {
            const { carEndAtFan: _, ...rest } = draft;
            setDraft(end ? { ...rest, carEndAtFan: end as 'front' | 'rear' } : rest);
          }}
        />
      )}
      <NamedList
        label="Can light vapour: outlet, heater, lamp, charger"
        description="asked about at every gate in this room"
        names={draft.ignitionSources ?? []}
        onChange={(ignitionSources) => {
          const { ignitionSources: _, ...rest } = draft;
          setDraft(ignitionSources.length > 0 ? { ...rest, ignitionSources } : rest);
        }}
      />
      <Textarea
        label="Note"
        aria-label={`Note on ${room.name}`}
        value={draft.note}
        maxLength={2000}
        onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value })}
      />
      <div className="row">
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Save {room.name}
        </Button>
        <PutAway what={room.name} address={ADDRESS.room(id, 'archive')} version={version} />
      </div>
    </section>
  );
}
