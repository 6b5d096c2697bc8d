/** Sanded, polished, heated: noted at the layer once it may be, by the server's own judge. */
import { ADDRESS } from '../../api/resources.ts';
import { Button } from '@mantine/core';
import type { CoatAsked } from '@orthochrom/contract/plan/contextOf.ts';
import { standingForWork } from '@orthochrom/contract/plan/layerWork.ts';
import { stopsIn } from '@orthochrom/contract/plan/standing.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { WorkKind } from '@orthochrom/contract/shop/layerWork.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { v7 as newId } from 'uuid';
import { postJson } from '../../api/client.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { WORK_NAME } from '../../words/tradeNames.ts';

type LayerWorkButtonsProps = Pick<CardProps, 'whole' | 'context' | 'painter' | 'keep'> & {
  of: Coat;
  kinds: WorkKind[];
};

/** The layer's own sheet and stage rule its waits, not those of what comes over it. */
export function contextOfLayer(
  context: PlanContext,
  { ticket, sheets }: CardProps['whole'],
  of: Pick<CoatAsked, 'stageId'>,
): PlanContext {
  const stage = ticket.stages.find(({ id }) => id === of.stageId);
  const sheet = sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  return stage && sheet ? { ...context, stage, sheet } : context;
}

export function LayerWorkButtons({
  whole,
  context,
  painter,
  keep,
  of,
  kinds,
}: LayerWorkButtonsProps) {
  const nowMs = useNowMs(5000);
  const [busy, write] = useWrite();
  const layer = contextOfLayer(context, whole, of);
  const judged = kinds.map((kind) => ({
    kind,
    stops: stopsIn(standingForWork(kind, whole, of, layer, nowMs)),
  }));
  const post = (kind: WorkKind) =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(of.id, 'works'), {
          id: newId(),
          painterId: painter.id,
          kind,
          why: '',
        }),
      ),
    );
  return (
    <>
      <div className="row">
        {judged.map(({ kind, stops }) => (
          <Button
            key={kind}
            variant="default"
            loading={busy}
            disabled={stops.length > 0}
            onClick={() => void post(kind)}
          >
            {WORK_NAME[kind]}
          </Button>
        ))}
      </div>
      <VerdictList verdicts={judged.flatMap(({ stops }) => stops)} />
    </>
  );
}
