import { ADDRESS, hold } from '../api/resources.ts';
import { Button, Select } from '@mantine/core';
import type { Painter, ShopSetup, Units } from '@orthochrom/contract/shop/setup.ts';
import { putJson } from '../api/client.ts';
import { useDraft } from '../api/draft.ts';
import { useWrite } from '../api/useWrite.ts';

type Options = Record<string, [label: string, options: [value: string, label: string][]]>;

const UNITS: Record<keyof Units, Options[string]> = {
  temperature: [
    'Temperature',
    [
      ['C', '°C'],
      ['F', '°F'],
    ],
  ],
  pressure: [
    'Pressure',
    [
      ['psi', 'psi'],
      ['bar', 'bar'],
      ['kPa', 'kPa'],
    ],
  ],
  length: [
    'Length',
    [
      ['mm', 'mm'],
      ['in', 'inch'],
    ],
  ],
  film: [
    'Film',
    [
      ['um', 'µm'],
      ['mil', 'mil'],
    ],
  ],
  volume: [
    'Volume',
    [
      ['ml', 'ml'],
      ['flOzUs', 'US fl oz'],
      ['flOzImp', 'imperial fl oz'],
    ],
  ],
  area: [
    'Area',
    [
      ['m2', 'm²'],
      ['ft2', 'ft²'],
    ],
  ],
  measure: [
    'Mix by',
    [
      ['volume', 'volume'],
      ['weight', 'weight, on a scale'],
    ],
  ],
};

const WAY = {
  needle: [
    'Needle',
    [
      ['metered', 'metered, turns from closed'],
      ['open', 'wide open, dosed by trigger and hand'],
    ],
  ],
  gauge: [
    'Pressure is read',
    [
      ['atGun', 'at the gun'],
      ['atWall', 'at the wall'],
      ['byEar', 'by ear'],
    ],
  ],
  fan: [
    'Fan',
    [
      ['backedOff', 'backed off from open'],
      ['open', 'fully open'],
    ],
  ],
  distance: [
    'Distance',
    [
      ['near', 'near, quick hand'],
      ['middle', 'middle'],
      ['far', 'far'],
    ],
  ],
  clearReduction: [
    'Reducer in clear',
    [
      ['never', 'never'],
      ['sheet', "up to the sheet's maximum"],
    ],
  ],
  grade: [
    'Grade',
    [
      ['temperature', 'for the temperature'],
      ['gloss', 'slower, for gloss'],
      ['speed', 'quicker, for pace'],
    ],
  ],
} as const;

export function PainterSettings({ painter }: { painter: Painter }) {
  const { draft, setDraft, isChanged, settle } = useDraft(painter);
  const [busy, write] = useWrite();
  const { id, version, ...body } = draft;
  const save = () =>
    write(async (over?: number) => {
      const setup = await putJson<ShopSetup>(ADDRESS.painter(id), {
        ...body,
        version: over ?? version,
      });
      settle(setup.painters.find((saved) => saved.id === id)!);
      await hold(ADDRESS.setup, setup);
    });
  return (
    <section className="card stack" aria-labelledby="painter">
      <h2 className="tape" id="painter" style={{ alignSelf: 'start' }}>
        {painter.name}
      </h2>
      <div className="grid2">
        {Object.entries(UNITS).map(([key, [label, options]]) => (
          <Select
            key={key}
            label={label}
            value={draft.units[key as keyof Units]}
            data={options.map(([value, word]) => ({ value, label: word }))}
            onChange={(value) =>
              value && setDraft({ ...draft, units: { ...draft.units, [key]: value } })
            }
          />
        ))}
      </div>
      <p className="quiet">
        Any unit may be typed in any field: “26 psi”, “1,8 bar”, “75 F”, “2¾”.
      </p>
      <div className="grid2">
        <Select
          label="Hand"
          value={draft.skill}
          data={[
            { value: 'learner', label: 'learning' },
            { value: 'able', label: 'able' },
            { value: 'expert', label: 'expert' },
          ]}
          onChange={(skill) => skill && setDraft({ ...draft, skill: skill as Painter['skill'] })}
        />
        {Object.entries(WAY).map(([key, [label, options]]) => (
          <Select
            key={key}
            label={label}
            value={(draft.way[key as keyof typeof WAY] as string | undefined) ?? null}
            placeholder="as the sheet says"
            data={options.map(([value, word]) => ({ value, label: word }))}
            onChange={(value) =>
              value && setDraft({ ...draft, way: { ...draft.way, [key]: value } })
            }
          />
        ))}
      </div>
      <div>
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Save for {painter.name}
        </Button>
      </div>
    </section>
  );
}
