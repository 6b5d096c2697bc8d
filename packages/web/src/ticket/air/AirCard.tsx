/**
 * Three readings, each with its age, and whether to go: the panel and the paint count, not the
 * street.
 */
import { ADDRESS, refresh } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { AirNow, Reading } from '@orthochrom/contract/shop/air.ts';
import type { Painter, Room } from '@orthochrom/contract/shop/setup.ts';
import { isStopped } from '@orthochrom/core/outcome/verdicts.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { clockText } from '../../today/dayHours.ts';
import { FigureInput, type Entered } from '../../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { useDrawer } from '../step/stepDrawer.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';

export function AirCard({
  plan,
  painter,
  room,
  air,
  onGo,
}: CardProps & { room: Room; air: AirNow; onGo: () => void }) {
  const format = formatFor(painter.units);
  const nowMs = useNowMs(15_000);
  const { climate, reducer } = plan;
  const verdicts = [
    ...climate.verdicts,
    ...reducer.verdicts.filter(({ level }) => level === 'stop'),
  ];
  const isShut = isStopped(verdicts);
  const dew = format.temperature(climate.dewPointC);
  const margin =
    climate.panelMarginC === undefined ? undefined : format.difference(climate.panelMarginC);
  const [, openDrawer] = useDrawer();
  const tile = (reading: Reading | undefined, label: string, name: string) => (
    <ReadingTile {...{ reading, label, name, painter }} />
  );
  return (
    <StepFrame
      ways={{
        word: 'Measured it yourself?',
        content: <HandReadings air={air} room={room} painterId={painter.id} />,
      }}
      said={
        <>
          <VerdictList verdicts={verdicts} />
          {isShut && air.standIn && (
            <p className="quiet">
              The probe here is a stand-in that plays “{air.standIn.day}”, now{' '}
              {clockText(air.standIn.minute)}: move it along its day on <Link to="/">Today</Link>.
            </p>
          )}
        </>
      }
      action={
        <Button onClick={() => (openDrawer(''), onGo())} disabled={isShut}>
          {isShut ? 'Not in this air' : 'Air is right: on to the mix'}
        </Button>
      }
    >
      <FigureTiles label="The air for this coat">
        <FigureTile
          name="margin"
          isLead
          label="Panel over dew"
          figure={margin ?? { text: '?', unit: '' }}
          note={`dew point ${dew.text} ${dew.unit}`}
        />
        {tile(air.panel, 'Panel', 'panel')}
        {tile(air.material, 'Paint in the tin', 'material')}
        {tile(air.air, 'Air', 'air')}
        <FigureTile
          name="humidity"
          label="Humidity"
          figure={{ text: air.humidity.value.toFixed(0), unit: '%' }}
          note={ageText(air.humidity, nowMs)}
        />
      </FigureTiles>
    </StepFrame>
  );
}

/** Panel, paint and air are three readings, each with its age, in both scales. */
function ReadingTile({
  label,
  name,
  reading,
  painter,
}: {
  label: string;
  name: string;
  reading: Reading | undefined;
  painter: Painter;
}) {
  const nowMs = useNowMs(15_000);
  const format = formatFor(painter.units);
  const other = formatFor({
    ...painter.units,
    temperature: painter.units.temperature === 'C' ? 'F' : 'C',
  });
  return (
    <FigureTile
      name={name}
      label={label}
      figure={reading ? format.temperature(reading.value) : { text: '?', unit: '' }}
      note={
        reading
          ? `${other.joined(other.temperature(reading.value))} · ${ageText(reading, nowMs)}`
          : 'not read: measure it'
      }
    />
  );
}

function ageText(reading: Reading, nowMs: number): string {
  if (reading.by === 'probe') return 'probe, now';
  const minutes = Math.max(0, Math.round((nowMs - Date.parse(reading.at)) / 60_000));
  return `by hand, ${minutes === 0 ? 'just now' : `${minutes} min ago`}`;
}

const NAMES = {
  panelC: ['Panel, measured', 'panelTemperatureC', 'temperature'],
  materialC: ['Paint in the tin, measured', 'materialTemperatureC', 'temperature'],
  airC: ['Air, measured', 'airTemperatureC', 'temperature'],
  rhPercent: ['Humidity, measured', 'relativeHumidityPercent', 'percent'],
} as const;
type Quantity = keyof typeof NAMES;

/** A reading taken by hand goes before the probe’s for half an hour. */
function HandReadings({ air, room, painterId }: { air: AirNow; room: Room; painterId: string }) {
  const [typed, setTyped] = useState<Partial<Record<Quantity, Entered>>>({});
  const [round, setRound] = useState(0);
  const nowMs = useNowMs(15_000);
  const [busy, write] = useWrite();
  const entries = Object.entries(typed) as [Quantity, Entered][];
  const save = async () => {
    const isSaved = await write(async () => {
      // All of them are noted, also where the first one has to wait on this device.
      const noted = entries.map(([quantity, { canonical, enteredValue, enteredUnit }]) =>
        noteDown('Reading by hand', 'POST', ADDRESS.readings, {
          id: newId(),
          roomId: room.id,
          quantity,
          valueCanonical: canonical,
          enteredValue,
          enteredUnit: enteredUnit ?? 'percent',
          painterId,
        }),
      );
      await Promise.all(noted);
      await refresh('air');
    });
    if (!isSaved) return;
    setTyped({});
    setRound(round + 1);
  };
  const placed = {
    panelC: air.panel,
    materialC: air.material,
    airC: air.air,
    rhPercent: air.humidity,
  };
  return (
    <div className="stack">
      <p>Your reading goes first for half an hour.</p>
      <div className="stack" key={round}>
        {(Object.keys(NAMES) as Quantity[]).map((quantity) => {
          const [label, field, kind] = NAMES[quantity];
          return (
            <FigureInput
              key={quantity}
              label={label}
              field={field}
              kind={kind}
              {...(placed[quantity] ? { description: ageText(placed[quantity], nowMs) } : {})}
              onChange={(entered) =>
                setTyped(({ [quantity]: _, ...rest }) =>
                  entered ? { ...rest, [quantity]: entered } : rest,
                )
              }
            />
          );
        })}
      </div>
      <Button
        variant="default"
        disabled={entries.length === 0}
        loading={busy}
        onClick={() => void save()}
      >
        Keep {entries.length > 1 ? 'these readings' : 'this reading'}
      </Button>
    </div>
  );
}
