/**
 * The mix through a flow cup: how thick it is now, at the temperature it will be sprayed at, and
 * what would thin it.
 */
import { ADDRESS } from '../../api/resources.ts';
import { Button, Select } from '@mantine/core';
import { viscosityCalculation } from '@orthochrom/contract/calculations/viscosity.ts';
import { outcomeOf } from '@orthochrom/contract/calculations/outcome.ts';
import { takenMixInput } from '@orthochrom/contract/plan/takenPlan.ts';
import { pouredAfter } from '@orthochrom/contract/plan/toSeconds.ts';
import type { FlowCup, Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { CUP_LABEL } from '@orthochrom/core/material/flowCup.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useWrite } from '../../api/useWrite.ts';
import { useStopwatch } from '../../guns/useStopwatch.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { formatFor, secondsText } from '@orthochrom/contract/words/format.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { ToSeconds } from './ToSeconds.tsx';

export function FlowCupCard({
  mix,
  whole,
  coat,
  context,
  painter,
  keep,
}: Pick<CardProps, 'whole' | 'coat' | 'context' | 'painter' | 'keep'> & { mix: Mix }) {
  const [busy, write] = useWrite();
  const watch = useStopwatch();
  const known = mix.flowCup;
  const materialC = context.air.material?.value ?? context.air.air.value;
  const [cup, setCup] = useState<FlowCup['cup']>(known?.cup ?? 'din4');
  const [seconds, setSeconds] = useState<number | undefined>(known?.seconds);
  const [measuredAtC, setMeasuredAtC] = useState<number | undefined>(
    known?.measuredAtC ?? Number(materialC.toFixed(1)),
  );
  const format = formatFor(painter.units);
  const { materialClass } = context.sheet;
  const outcome =
    seconds === undefined || measuredAtC === undefined
      ? undefined
      : outcomeOf(viscosityCalculation, {
          cup,
          seconds,
          measuredAtC,
          wantedAtC: materialC,
          ...(materialClass ? { class: materialClass } : {}),
        });
  const answer = outcome && 'answer' in outcome ? outcome.answer : undefined;
  const isKept =
    known?.cup === cup && known.seconds === seconds && known.measuredAtC === measuredAtC;
  const save = () =>
    write(async (over?: number) =>
      keep(
        await postJson<TicketWhole>(ADDRESS.mix(mix.id, 'flow-cup'), {
          version: over ?? mix.version,
          painterId: painter.id,
          flowCup: { cup, seconds, measuredAtC },
        }),
      ),
    );
  const pourMore = (more: { name: string; ml: number }) =>
    write(async () => {
      const poured = pouredAfter(mix, more, takenMixInput(coat)?.densitiesGPerMl);
      if (!poured)
        throw new Error(`How heavy ${more.name} is stands on no sheet: note it by volume.`);
      keep(
        await postJson<TicketWhole>(ADDRESS.ticket(whole.ticket.id, 'mixes'), {
          id: newId(),
          stageId: mix.stageId,
          coatId: coat.id,
          painterId: painter.id,
          poured,
          batchNo: mix.batchNo,
          correctedFromId: mix.id,
        }),
      );
      // Thinner now: it wants another timing.
      setSeconds(undefined);
    });
  return (
    <details className="card" open={known !== undefined}>
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Time it through a flow cup
      </summary>
      <div className="stack" style={{ marginTop: 8 }}>
        <div className="grid2" style={{ alignItems: 'end' }}>
          <Select
            label="Cup"
            value={cup}
            data={Object.entries(CUP_LABEL).map(([value, label]) => ({ value, label }))}
            onChange={(next) => next && setCup(next as FlowCup['cup'])}
          />
          <FigureInput
            key={watch.isRunning ? 'running' : (seconds ?? 'empty')}
            label="Seconds until the stream breaks"
            kind="seconds"
            field="seconds"
            {...(seconds === undefined ? {} : { value: seconds })}
            onChange={(entered) => setSeconds(entered?.canonical)}
          />
          <FigureInput
            label="Paint at"
            kind="temperature"
            field="measuredAtC"
            {...(measuredAtC === undefined ? {} : { value: measuredAtC })}
            onChange={(entered) => setMeasuredAtC(entered?.canonical)}
          />
          <Button
            variant="default"
            onClick={() =>
              watch.isRunning ? setSeconds(Number(watch.stop().toFixed(1))) : watch.start()
            }
          >
            {watch.isRunning ? `Stream breaks: ${secondsText(watch.seconds)}` : 'Stopwatch'}
          </Button>
        </div>
        {outcome && 'error' in outcome && <p role="alert">{outcome.error.message}</p>}
        {answer && (
          <>
            <p>
              <strong>{answer.kinematicMm2PerS.toFixed(0)} mm²/s</strong>
              {answer.atWantedC &&
                Math.abs(measuredAtC! - materialC) > 0.5 &&
                ` now, ${answer.atWantedC.kinematicMm2PerS.value.toFixed(0)} at the ${format.joined(format.temperature(materialC))} it has`}
              . In other cups:{' '}
              {Object.entries(answer.seconds)
                .filter(([name]) => name !== cup)
                .map(([name, s]) => `${CUP_LABEL[name as FlowCup['cup']]} ${s.toFixed(0)} s`)
                .join(', ')}
              . The gun’s paint a minute follows it.
            </p>
            <VerdictList verdicts={answer.verdicts} />
            <ToSeconds
              mix={mix}
              sheet={context.sheet}
              flowCup={{ cup, seconds: seconds!, measuredAtC: measuredAtC! }}
              units={painter.units}
              busy={busy}
              {...(coat.state === 'taken' ? { onAdded: (more) => void pourMore(more) } : {})}
            />
          </>
        )}
        <div>
          <Button
            variant="default"
            loading={busy}
            disabled={!answer || isKept}
            onClick={() => void save()}
          >
            {isKept ? 'Kept with this mix' : 'Keep it with this mix'}
          </Button>
        </div>
      </div>
    </details>
  );
}
