/**
 * What this shop saw of the paint: how long until it was touch-dry, and at which comb reading it
 * ran. Each moves the model to it.
 */
import { Button } from '@mantine/core';
import { useState } from 'react';
import { usePainter } from '../frame/painter.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { LabSetup } from './labSetup.ts';

type FilmTest = NonNullable<LabSetup['material']['tests']>[number];
type SeenHereProps = { setup: LabSetup; wetUm: number; onChange: (setup: LabSetup) => void };

export function SeenHere({ setup, wetUm, onChange }: SeenHereProps) {
  const { painter } = usePainter();
  const { film, joined } = formatFor(painter.units);
  const [minutes, setMinutes] = useState<number>();
  const [combUm, setCombUm] = useState<number>();
  const [kept, setKept] = useState(0);
  const tests = setup.material.tests ?? [];
  const withTests = (next: FilmTest[]) => {
    const { tests: _, ...material } = setup.material;
    onChange({ ...setup, material: { ...material, ...(next.length > 0 ? { tests: next } : {}) } });
  };
  const add = (test: FilmTest) => {
    withTests([...tests, test]);
    setKept(kept + 1);
    setMinutes(undefined);
    setCombUm(undefined);
  };
  const { airTemperatureC, relativeHumidityPercent, airSpeedMPerS } = setup.climate;
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        What you saw of this paint{tests.length > 0 ? ` (${tests.length})` : ''}
      </summary>
      <div className="stack" style={{ marginTop: '0.5rem' }} key={kept}>
        <p>
          One coat at this film ({joined(film(wetUm))}) in this air: when was it dry to the touch,
          edges too? And if it ran on an upright panel, what did the comb say there? Both move the
          model to your shop, and narrow it.
        </p>
        <div className="row" style={{ alignItems: 'flex-end' }}>
          <FigureInput
            label="Touch-dry after, minutes"
            kind="count"
            field="minutes"
            least={0.5}
            onChange={(entered) => setMinutes(entered?.canonical)}
          />
          <Button
            variant="default"
            disabled={minutes === undefined || wetUm <= 0}
            onClick={() =>
              add({
                kind: 'touch',
                minutes: minutes!,
                wetUm: Number(wetUm.toFixed(1)),
                airTemperatureC,
                relativeHumidityPercent,
                ...(airSpeedMPerS === undefined ? {} : { airSpeedMPerS }),
              })
            }
          >
            Take it in
          </Button>
        </div>
        <div className="row" style={{ alignItems: 'flex-end' }}>
          <FigureInput
            label="It ran at, on the comb"
            kind="film"
            field="combUm"
            onChange={(entered) => setCombUm(entered?.canonical)}
          />
          <Button
            variant="default"
            disabled={combUm === undefined}
            onClick={() => add({ kind: 'ran', combUm: combUm! })}
          >
            Take it in
          </Button>
        </div>
        {tests.map((test, i) => (
          <div key={i} className="row" style={{ justifyContent: 'space-between' }}>
            <span>
              {test.kind === 'touch'
                ? `touch-dry after ${test.minutes} min at ${joined(film(test.wetUm))}`
                : `ran at ${joined(film(test.combUm))} on the comb`}
            </span>
            <Button
              variant="subtle"
              color="dark"
              onClick={() => withTests(tests.filter((_, at) => at !== i))}
            >
              Leave it out
            </Button>
          </div>
        ))}
      </div>
    </details>
  );
}
