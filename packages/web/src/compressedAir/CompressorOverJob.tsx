/** Does the compressor hold for this job: the tank over it, and what to do when it does not. */
import {
  deliveryOf,
  neededTankKPa,
  USUAL_RHYTHM,
  type Compressor,
} from '@orthochrom/contract/shop/compressedAir.ts';
import { compressorCalculation } from '@orthochrom/contract/calculations/compressor.ts';
import { outcomeOf } from '@orthochrom/contract/calculations/outcome.ts';
import { useState } from 'react';
import { usePainter } from '../frame/painter.ts';
import { FigureInput } from '../units/FigureInput.tsx';
import { formatFor, secondsText } from '@orthochrom/contract/words/format.ts';
import { LevelBadge, VerdictList } from '../verdict/Verdicts.tsx';
import { TankPicture } from './TankPicture.tsx';

const OVERWORKED_PERCENT = 75;

export function CompressorOverJob({
  compressor,
  airFlowLPerMin,
  wallRestKPa,
}: {
  compressor: Compressor;
  airFlowLPerMin: number;
  wallRestKPa: number;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [rhythm, setRhythm] = useState<{
    triggerOnSeconds: number;
    triggerOffSeconds: number;
    runMinutes: number;
  }>(USUAL_RHYTHM);
  const delivery = deliveryOf(compressor);
  const neededKPa = neededTankKPa(wallRestKPa);
  const outcome = outcomeOf(compressorCalculation, {
    tankL: compressor.tankL,
    ...delivery,
    cutInKPa: compressor.cutInKPa,
    cutOutKPa: compressor.cutOutKPa,
    gunAirFlowLPerMin: airFlowLPerMin,
    neededKPa,
    ...rhythm,
  });
  const answer = 'answer' in outcome ? outcome.answer : undefined;
  return (
    <section className="card stack" aria-label="Compressor over the job">
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <h2 className="tape">Compressor over the job</h2>
        <span className="quiet">
          {compressor.name}: {format.joined(format.tank(compressor.tankL))} tank,{' '}
          {format.joined(format.airFlow(delivery.freeAirLPerMin))}{' '}
          {compressor.pumpUp ? 'by its own pump-up' : 'by its plate'}; this gun draws{' '}
          {format.joined(format.airFlow(airFlowLPerMin))}
        </span>
      </div>
      {answer && (
        <>
          <div className="row" style={{ gap: '2rem' }}>
            <div>
              <div className="label">{answer.sustains ? 'Holds for' : 'Short of air after'}</div>
              <div className="figure">
                {secondsText(answer.secondsUntilShort ?? rhythm.runMinutes * 60)}
              </div>
            </div>
            {answer.restSeconds !== undefined && (
              <div>
                <div className="label">Then rest</div>
                <div className="figure">{secondsText(answer.restSeconds)}</div>
              </div>
            )}
            <div>
              <div className="label">Motor runs</div>
              <div className="figure">
                {answer.dutyPercent.toFixed(0)} <small>%</small>
              </div>
            </div>
            {answer.sustains && (
              <LevelBadge
                level={answer.dutyPercent > OVERWORKED_PERCENT ? 'caution' : 'go'}
                word={answer.dutyPercent > OVERWORKED_PERCENT ? 'Holds, overworked' : 'Holds'}
              />
            )}
          </div>
          <TankPicture
            trace={answer.trace}
            cutInKPa={compressor.cutInKPa}
            cutOutKPa={compressor.cutOutKPa}
            neededKPa={neededKPa}
            runSeconds={rhythm.runMinutes * 60}
            sustains={answer.sustains}
          />
          <VerdictList verdicts={answer.verdicts} />
        </>
      )}
      {'error' in outcome && <p role="alert">{outcome.error.message}</p>}
      <div
        className="grid2"
        style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))' }}
      >
        <FigureInput
          label="Trigger pulled for"
          kind="seconds"
          field="triggerOnSeconds"
          value={rhythm.triggerOnSeconds}
          onChange={(entered) =>
            entered && setRhythm({ ...rhythm, triggerOnSeconds: entered.canonical })
          }
        />
        <FigureInput
          label="Then let go for"
          kind="seconds"
          field="triggerOffSeconds"
          value={rhythm.triggerOffSeconds}
          onChange={(entered) =>
            entered && setRhythm({ ...rhythm, triggerOffSeconds: entered.canonical })
          }
        />
        <FigureInput
          label="The coat takes, minutes"
          kind="count"
          field="runMinutes"
          least={0.1}
          value={rhythm.runMinutes}
          onChange={(entered) => entered && setRhythm({ ...rhythm, runMinutes: entered.canonical })}
        />
      </div>
    </section>
  );
}
