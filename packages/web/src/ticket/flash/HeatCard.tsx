/**
 * Heat: after its wait, with the vapour out and the extraction running; what was answered is kept
 * with the layer.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import { heatGate, standingForWork } from '@orthochrom/contract/plan/layerWork.ts';
import { stopsIn } from '@orthochrom/contract/plan/standing.ts';
import type { GateRecord } from '@orthochrom/contract/shop/gateRecord.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import type { GateAnswersGiven } from '@orthochrom/contract/plan/gateProduct.ts';
import { answersAgain } from '../../safety/answers.ts';
import { Choice, Question, YesNo } from '../../safety/Choice.tsx';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { HeatRuns } from './HeatRuns.tsx';
import type { CardProps } from '../cardProps.ts';

type HeatCardProps = Pick<CardProps, 'whole' | 'coat' | 'context' | 'painter' | 'keep'> & {
  gate: GateRecord | undefined;
};

export function HeatCard({ whole, coat, context, painter, keep, gate }: HeatCardProps) {
  const nowMs = useNowMs(5000);
  const [busy, write] = useWrite();
  const [extraction, setExtraction] = useState<GateAnswersGiven['extraction']>();
  const [vapourCleared, setCleared] = useState<boolean>();
  const [vehicleLimitC, setVehicleLimit] = useState<number>();
  const { extraction: _, ...people } = answersAgain(gate?.answers);
  const answers = {
    ...people,
    ...(extraction === undefined ? {} : { extraction }),
    ...(vapourCleared === undefined ? {} : { vapourCleared }),
  };
  const heated = whole.works.findLast(
    ({ coatId, kind }) => coatId === coat.id && kind === 'heated',
  );
  if (heated) return <HeatRuns {...{ whole, coat, context, painter, keep, heated, nowMs }} />;
  const minutesSince = Math.max(0, (nowMs - Date.parse(coat.endedAt ?? '')) / 60_000);
  const isOpen = heatGate(context, minutesSince, answers).asks.length > 0;
  const standing = standingForWork('heated', whole, coat, context, nowMs, answers).filter(
    ({ code }) => code !== 'answers-missing',
  );
  const begin = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'works'), {
          id: newId(),
          painterId: painter.id,
          kind: 'heated',
          why: '',
          ...answers,
          ...(vehicleLimitC === undefined ? {} : { vehicleLimitC }),
        }),
      ),
    );
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>Heat it</summary>
      <div className="stack" style={{ marginTop: '0.5rem' }}>
        <Question label="Extraction now?">
          <Choice
            label="Extraction before heat"
            value={extraction}
            options={[
              ['on', 'Running'],
              ['off', 'Off'],
              ['ratedFan', 'Rated fan'],
            ]}
            onChange={(value) =>
              setExtraction(value as NonNullable<GateAnswersGiven['extraction']>)
            }
          />
        </Question>
        <Question label="Fog and smell out of the room?">
          <YesNo label="Vapour out" value={vapourCleared} onChange={setCleared} />
        </Question>
        <FigureInput
          label="Battery, trim: what the car bears, if its maker says"
          kind="temperature"
          field="vehicleLimitC"
          onChange={(entered) => setVehicleLimit(entered?.canonical)}
        />
        <VerdictList verdicts={standing} hideGo />
        <div>
          <Button
            loading={busy}
            disabled={isOpen || stopsIn(standing).length > 0}
            onClick={() => void begin()}
          >
            Begin heat
          </Button>
        </div>
      </div>
    </details>
  );
}
