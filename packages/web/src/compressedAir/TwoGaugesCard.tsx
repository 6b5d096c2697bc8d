/**
 * Two gauges, one pull of the trigger: what the line really loses. Belongs to this line and this
 * gun's flow.
 */
import { ADDRESS, hold } from '../api/resources.ts';
import { Button, Select } from '@mantine/core';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { airlineCalculation } from '@orthochrom/contract/calculations/airline.ts';
import { pressureCalculation } from '@orthochrom/contract/calculations/pressure.ts';
import type { AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import { lineOf } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { airFlowOf, gunModelOf } from '@orthochrom/core/gun/gunModel.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { FigureInput, type Entered } from '../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { dayText } from '../words/timeText.ts';

/** Only the air is asked of this model. */
const ANY_PAINT = { densityKgPerM3: 1000, viscosityPaS: 0.05 };
type Readings = {
  wall?: Entered | undefined;
  rest?: Entered | undefined;
  gun?: Entered | undefined;
};

export function TwoGaugesCard({ line, guns }: { line: AirLine; guns: StoredGun[] }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [busy, write] = useWrite();
  const [gunId, setGunId] = useState(guns[0]!.id);
  const [readings, setReadings] = useState<Readings>({});
  const [round, setRound] = useState(0);
  const { gun } = guns.find(({ id }) => id === gunId)!;
  const [wallKPa, inletKPa, restKPa] = [
    readings.wall?.canonical,
    readings.gun?.canonical,
    readings.rest?.canonical,
  ];
  const airFlowLPerMin =
    inletKPa === undefined
      ? undefined
      : airFlowOf(gunModelOf(gun, gun.nozzlesMm[0]!, ANY_PAINT), inletKPa, gun.fullFanTurns ?? 2.5);
  const isImpossible =
    wallKPa !== undefined &&
    inletKPa !== undefined &&
    (inletKPa > wallKPa || (restKPa !== undefined && restKPa < wallKPa));
  const expected =
    inletKPa === undefined || airFlowLPerMin === undefined
      ? undefined
      : ask(airlineCalculation, {
          ...lineOf({ line: line.line }),
          wantedInletKPa: inletKPa,
          airFlowLPerMin,
        });
  const supply =
    wallKPa === undefined || restKPa === undefined || isImpossible
      ? undefined
      : ask(pressureCalculation, {
          value: wallKPa,
          restValue: restKPa,
          unit: 'kPa',
          at: 'wall',
          flowing: 'yes',
          gun,
          airline: lineOf(line),
        });
  const save = () =>
    write(async () => {
      const setup = await postJson<ShopSetup>(ADDRESS.tests, {
        id: newId(),
        painterId: painter.id,
        airLineId: line.id,
        test: {
          kind: 'twoGauges',
          wallKPa,
          inletKPa,
          gunId,
          airFlowLPerMin,
          ...(restKPa === undefined ? {} : { restKPa }),
        },
        note: '',
      });
      await hold(ADDRESS.setup, setup);
      setReadings({});
      setRound(round + 1);
    });
  return (
    <section className="card stack" aria-label="Two gauges" key={round}>
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Two gauges
      </h2>
      <p>
        A second gauge at the gun’s inlet. Fan open, trigger pulled to air, both read at once. Then
        let go and read the wall once more.
      </p>
      <Select
        label="With the gun"
        value={gunId}
        data={guns.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => id && setGunId(id)}
      />
      <FigureInput
        label="Wall, trigger pulled"
        kind="supplyPressure"
        field="wallKPa"
        onChange={(wall) => setReadings((now) => ({ ...now, wall }))}
      />
      <FigureInput
        label="Gun, trigger pulled"
        kind="pressure"
        field="inletKPa"
        onChange={(atGun) => setReadings((now) => ({ ...now, gun: atGun }))}
      />
      <FigureInput
        label="Wall at rest, if you like"
        kind="supplyPressure"
        field="restKPa"
        onChange={(rest) => setReadings((now) => ({ ...now, rest }))}
      />
      {isImpossible && (
        <p role="alert">
          The wall must show more than the gun while the trigger is pulled, and more at rest than
          flowing. Were two readings swapped?
        </p>
      )}
      {wallKPa !== undefined && inletKPa !== undefined && !isImpossible && expected && (
        <p>
          <strong>{((1 - inletKPa / wallKPa) * 100).toFixed(0)} % is lost.</strong> Hose and
          couplers alone would lose {expected.lossPercent.toFixed(0)} %
          {(1 - inletKPa / wallKPa) * 100 > expected.lossPercent + 8
            ? ': something on the way is choked, look at the filter first.'
            : '.'}{' '}
          To have {format.joined(format.pressure(inletKPa))} at the gun:{' '}
          {format.joined(format.pressure(inletKPa))} ÷ {(inletKPa / wallKPa).toFixed(2)} ={' '}
          {format.joined(format.pressure(wallKPa))}.
        </p>
      )}
      {supply && (
        <>
          <VerdictList verdicts={supply.verdicts.filter(({ code }) => code === 'supply-drops')} />
          <ReasonList reasons={supply.reasons.filter(({ code }) => code.startsWith('drop-'))} />
        </>
      )}
      <div className="row">
        <Button
          loading={busy}
          disabled={wallKPa === undefined || inletKPa === undefined || isImpossible}
          onClick={() => void save()}
        >
          Keep this reading
        </Button>
        {line.twoGauges && (
          <span className="quiet">
            now {(lineOf(line).measuredLossPercent ?? 0).toFixed(0)} %, read{' '}
            {dayText(line.twoGauges.takenAt)}
          </span>
        )}
      </div>
    </section>
  );
}
