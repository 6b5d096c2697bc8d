/** Clean the gun at once, before the pot life ends. */
import { nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { Button } from '@mantine/core';
import { gateProduct } from '@orthochrom/contract/plan/planInputs.ts';
import { ask } from '@orthochrom/contract/registry.ts';
import type { Coat, Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { postJson } from '../api/client.ts';
import { useCare, useNowMs, useWrite } from '../api/hooks.ts';
import { CareChecklist } from '../guns/care/CareChecklist.tsx';
import { VerdictList } from '../verdict/Verdicts.tsx';
import { NotBefore } from './NotBefore.tsx';
import { CloseTicket } from './CloseTicket.tsx';
import { countdownText } from './countdown.ts';
import type { CardProps } from './cardProps.ts';

export function CleanCard({
  whole,
  coat,
  stage,
  plan,
  context,
  painter,
  keep,
  follow,
}: CardProps & { mix: Mix | undefined; follow: (next: Coat | undefined) => void }) {
  const now = useNowMs();
  const [busy, write] = useWrite();
  const mixIds = whole.mixes.filter(({ stageId }) => stageId === stage.id).map(({ id }) => id);
  const running = whole.timers.filter(
    ({ kind, mixId, confirmedAt }) => kind === 'potLife' && mixId && mixIds.includes(mixId) && !confirmedAt,
  );
  const { verdicts } = ask('gate', {
    product: gateProduct(context.sheet, stage.recipeName),
    place: context.room.place,
    step: 'clean',
  });
  const { data: care } = useCare();
  const gunId = coat.gunId ?? context.gun.id;
  const isClean = care !== undefined && !care.find((gun) => gun.gunId === gunId)?.dirty;
  const confirmPotLife = () =>
    write(async () => {
      for (const timer of running)
        keep(
          await postJson<TicketWhole>(`/api/timers/${timer.id}/confirm`, {
            version: timer.version,
            painterId: painter.id,
            tests: {},
          }),
        );
    });
  const upcoming = nextCoat(whole.ticket.stages, whole.coats);
  const dueMs = Math.min(...running.map(({ dueAt }) => Date.parse(dueAt)));
  return (
    <div className="card stack">
      {running.length > 0 && (
        <div>
          <div className="label">{dueMs > now ? 'The mix thickens in' : 'The mix is over its pot life by'}</div>
          <div className="figure huge">{countdownText(Math.abs(dueMs - now))}</div>
        </div>
      )}
      <VerdictList verdicts={verdicts.filter(({ code }) => code === 'cleaning-solvents')} />
      <NotBefore coat={coat} context={context} plan={plan} nowMs={now} />
      {isClean && running.length === 0 ? (
        <p>
          <strong>{context.gun.name} is clean.</strong> It was kept with this coat.
        </p>
      ) : (
        <CareChecklist
          gunId={gunId}
          kind="cleaned"
          of={{ coatId: coat.id, ticketId: whole.ticket.id }}
          finish="The gun is clean"
          onKept={() => void confirmPotLife()}
        />
      )}
      <div className="row">
        {coat.state === 'looked' && upcoming && upcoming.id !== coat.id && (
          <Button variant={running.length > 0 ? 'default' : 'filled'} disabled={busy} onClick={() => follow(upcoming)}>
            On to the next coat
          </Button>
        )}
        {running.length === 0 && <CloseTicket whole={whole} />}
      </div>
    </div>
  );
}
