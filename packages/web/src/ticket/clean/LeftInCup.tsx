/** What was left in the cup: the one question that the painter's own factor is learned from. */
import { Button } from '@mantine/core';
import { isOn } from '@orthochrom/contract/plan/coatOrder.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import type { CardProps } from '../cardProps.ts';

type LeftInCupProps = Pick<CardProps, 'whole' | 'stage' | 'painter' | 'keep'>;

export function LeftInCup({ whole, stage, painter, keep }: LeftInCupProps) {
  const [leftMl, setLeftMl] = useState<number>();
  const [busy, write] = useWrite();
  const own = whole.coats.filter(({ stageId }) => stageId === stage.id);
  const isPoured = whole.mixes.some(({ stageId }) => stageId === stage.id);
  const kept = whole.usages.findLast(({ stageId }) => stageId === stage.id);
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  if (!isPoured || !own.every(isOn)) return null;
  const tell = (ml: number) =>
    write(async () =>
      keep(
        await noteDown<TicketWhole>(
          'Left in the cup',
          'POST',
          ADDRESS.ticket(whole.ticket.id, 'usages'),
          { id: newId(), stageId: stage.id, painterId: painter.id, leftMl: ml },
        ),
      ),
    );
  return (
    <div className="card">
      <div className="row">
        <FigureInput
          label="Left in the cup"
          kind="volume"
          field="leftMl"
          {...(kept && leftMl === undefined ? { value: kept.leftMl } : {})}
          onChange={(entered) => setLeftMl(entered?.canonical)}
        />
        <Button
          size="lg"
          variant="default"
          loading={busy}
          disabled={leftMl === undefined}
          onClick={() => leftMl !== undefined && void tell(leftMl)}
        >
          Keep it
        </Button>
        <Button size="lg" variant="default" disabled={busy} onClick={() => void tell(0)}>
          Nothing was left
        </Button>
      </div>
      <p className="quiet">
        {kept
          ? `Used ${volume(kept.usedMl)} of ${volume(kept.plannedMl)} planned: ${(kept.usedMl / kept.plannedMl).toFixed(2)}. Your next amount goes by it.`
          : 'What you say narrows how much is planned next time.'}
      </p>
    </div>
  );
}
