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

/** What was mixed for the stage is sprayed or left: there is no more to come. */
const isAllSprayed = ({ mixes, coats }: TicketWhole, id: string): boolean =>
  mixes.some(({ stageId }) => stageId === id) &&
  coats.every((coat) => coat.stageId !== id || isOn(coat));

/** Nobody has said yet what was left of it. */
export const asksWhatIsLeft = (whole: TicketWhole, id: string): boolean =>
  isAllSprayed(whole, id) && !whole.usages.some(({ stageId }) => stageId === id);

export function LeftInCup({ whole, stage, painter, keep }: LeftInCupProps) {
  const [leftMl, setLeftMl] = useState<number>();
  const [busy, write] = useWrite();
  const kept = whole.usages.findLast(({ stageId }) => stageId === stage.id);
  if (!isAllSprayed(whole, stage.id)) return null;
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
      {kept ? (
        <UsedSaid {...{ whole, stage, painter }} />
      ) : (
        <p className="quiet">What you say narrows how much is planned next time.</p>
      )}
    </div>
  );
}

/** What was used of what was planned, once it was said. */
export function UsedSaid({ whole, stage, painter }: Omit<LeftInCupProps, 'keep'>) {
  const kept = whole.usages.findLast(({ stageId }) => stageId === stage.id);
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  if (!kept) return null;
  return (
    <p className="quiet">
      Used {volume(kept.usedMl)} of {volume(kept.plannedMl)} planned:{' '}
      {(kept.usedMl / kept.plannedMl).toFixed(2)}. Your next amount goes by it.
    </p>
  );
}
