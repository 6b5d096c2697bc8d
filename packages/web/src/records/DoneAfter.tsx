/** What was done to a coat after it was on: read under heat, cut, looked at again or not. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { whenText } from '../words/timeText.ts';

type DoneAfterProps = { whole: TicketWhole; coatId: string; units: Painter['units'] };

export function DoneAfter({ whole, coatId, units }: DoneAfterProps) {
  const { ticket, heatReads, finishSteps, timers } = whole;
  const format = formatFor(units);
  const look = timers.find(({ kind, coatId: of }) => kind === 'look' && of === coatId);
  const reads = heatReads.filter((read) => read.coatId === coatId);
  const steps = finishSteps.filter((step) => step.coatId === coatId);
  const nameOf = (id: string): string =>
    panelName(ticket.panels.find((panel) => panel.id === id)?.name ?? 'panel');
  return (
    <>
      {reads.map(({ id, panelId, seenC, at }) => (
        <p key={id}>
          Under heat {nameOf(panelId)} read {format.joined(format.temperature(seenC))}{' '}
          <span className="quiet">{whenText(at)}</span>
        </p>
      ))}
      {steps.map(({ id, step, leftUm, at }) => (
        <p key={id}>
          {step}
          {leftUm === undefined ? '' : `: ${format.joined(format.film(leftUm))} left`}{' '}
          <span className="quiet">{whenText(at)}</span>
        </p>
      ))}
      {look?.confirmedAt && (
        <p>
          {look.why ? (
            <>
              <strong>Closed before it was looked at again:</strong> {look.why}
            </>
          ) : (
            'Looked at again'
          )}{' '}
          <span className="quiet">{whenText(look.confirmedAt)}</span>
        </p>
      )}
    </>
  );
}
