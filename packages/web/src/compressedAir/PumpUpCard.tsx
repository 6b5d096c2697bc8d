/** Time the compressor from one pressure to another with nothing drawn: what it really delivers. */
import { ADDRESS, hold } from '../api/resources.ts';
import { Button } from '@mantine/core';
import { deliveryOf, type Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { deliveryFromPumpUp } from '@orthochrom/core/compressedAir/compressor.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { useStopwatch } from '../guns/useStopwatch.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor, secondsText } from '@orthochrom/contract/words/format.ts';

export function PumpUpCard({ compressor }: { compressor: Compressor }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [busy, write] = useWrite();
  const watch = useStopwatch();
  const [fromKPa, setFromKPa] = useState<number | undefined>(compressor.cutInKPa);
  const [toKPa, setToKPa] = useState<number | undefined>(compressor.cutOutKPa);
  const [seconds, setSeconds] = useState<number>();
  const [round, setRound] = useState(0);
  const isWrong = fromKPa !== undefined && toKPa !== undefined && toKPa <= fromKPa;
  const freeAirLPerMin =
    fromKPa === undefined || toKPa === undefined || !seconds || isWrong
      ? undefined
      : deliveryFromPumpUp(compressor.tankL, fromKPa, toKPa, seconds);
  const now = deliveryOf(compressor);
  const save = () =>
    write(async () => {
      const setup = await postJson<ShopSetup>(ADDRESS.tests, {
        id: newId(),
        painterId: painter.id,
        compressorId: compressor.id,
        test: { kind: 'pumpUp', fromKPa, toKPa, seconds, freeAirLPerMin },
        note: '',
      });
      await hold(ADDRESS.setup, setup);
      setSeconds(undefined);
      setRound(round + 1);
    });
  return (
    <section className="card stack" aria-label="Pump-up">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Pump-up
      </h2>
      <p>
        All guns shut. Let the tank down until the motor starts, and time it from one pressure to
        the other.
      </p>
      <FigureInput
        label="From"
        kind="supplyPressure"
        field="fromKPa"
        value={compressor.cutInKPa}
        onChange={(entered) => setFromKPa(entered?.canonical)}
      />
      <FigureInput
        label="To"
        kind="supplyPressure"
        field="toKPa"
        value={compressor.cutOutKPa}
        onChange={(entered) => setToKPa(entered?.canonical)}
      />
      {isWrong && <p role="alert">It pumps up: the second pressure must be over the first.</p>}
      <div className="row" style={{ alignItems: 'flex-end' }}>
        <FigureInput
          key={`${round}${seconds ?? ''}`}
          label="Took"
          kind="seconds"
          field="seconds"
          {...(seconds === undefined ? {} : { value: Number(seconds.toFixed(1)) })}
          onChange={(entered) => setSeconds(entered?.canonical)}
        />
        <Button
          variant="default"
          onClick={() => (watch.isRunning ? setSeconds(watch.stop()) : watch.start())}
        >
          {watch.isRunning ? `Stop at ${secondsText(watch.seconds)}` : 'Stopwatch'}
        </Button>
      </div>
      {freeAirLPerMin !== undefined && (
        <p>
          <strong>{format.joined(format.airFlow(freeAirLPerMin))}</strong>, where it was{' '}
          {format.joined(format.airFlow(now.freeAirLPerMin))}{' '}
          {compressor.pumpUp ? 'at the last pump-up' : 'on the plate'}.
        </p>
      )}
      <div>
        <Button loading={busy} disabled={freeAirLPerMin === undefined} onClick={() => void save()}>
          Keep this timing
        </Button>
      </div>
    </section>
  );
}
