/** From the coat on that may hide: does it? Yes strikes out the rest, no plans one more. */
import { Button } from '@mantine/core';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { putJson } from '../../api/client.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import type { CardProps } from '../cardProps.ts';

type HiddenYetProps = Pick<CardProps, 'whole' | 'coat' | 'stage' | 'context' | 'keep'>;

export function HiddenYet({ whole, coat, stage, context, keep }: HiddenYetProps) {
  const [busy, write] = useWrite();
  const { coatPlan } = context;
  if (!coatPlan || coatPlan.stop.rule !== 'hiding') return null;
  if (coat.ordinal < coatPlan.stop.fromCoat || coatPlanned(context)?.role !== stage.kind)
    return null;
  const control = coatPlan.coats.some(({ role }) => role === 'control') ? 1 : 0;
  const left = coatPlan.coats.slice(coat.ordinal).filter(({ role }) => role === stage.kind).length;
  const plan = (coats: number) =>
    write(async (over?: number) => {
      const { id, number: _n, createdAt: _c, ...ticket } = whole.ticket;
      keep(
        await putJson<TicketWhole>(ADDRESS.ticket(id), {
          ...ticket,
          version: over ?? ticket.version,
          stages: ticket.stages.map((one) => (one.id === stage.id ? { ...one, coats } : one)),
        }),
      );
    });
  return (
    <div className="card stack" role="group" aria-label="Hidden yet?">
      <strong>Hidden evenly, in side light?</strong>
      <div className="row">
        {left > 0 && (
          <Button
            size="lg"
            variant="default"
            loading={busy}
            onClick={() => void plan(coat.ordinal + control)}
          >
            Yes: stop here, {left} {left === 1 ? 'coat' : 'coats'} struck out
          </Button>
        )}
        {left === 0 && (
          <Button
            size="lg"
            variant="default"
            loading={busy}
            onClick={() => void plan(coat.ordinal + 1 + control)}
          >
            No: one more coat
          </Button>
        )}
        <span className="quiet">
          {left > 0
            ? `No: ${control > 0 ? 'the next full coat' : 'the next coat'} as planned.`
            : `Yes: ${control > 0 ? 'on to the control coat' : 'this was the last'}.`}
          {coat.ordinal + control >= coatPlan.most &&
            ` The sheet has ${coatPlan.most} at most: beyond it each wants a word why.`}
        </span>
      </div>
    </div>
  );
}
