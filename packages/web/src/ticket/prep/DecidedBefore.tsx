/** What was advised and what the customer decided: both stay. */
import { panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { dayText } from '../../words/timeText.ts';
import { BothPrices } from './BothPrices.tsx';

type DecidedBeforeProps = { whole: TicketWhole; units: Painter['units'] };

export function DecidedBefore({ whole, units }: DecidedBeforeProps) {
  const { decisions, ticket } = whole;
  if (decisions.length === 0) return null;
  const nameOf = (panelId: string | undefined) => {
    const panel = ticket.panels.find(({ id }) => id === panelId);
    return panel ? panelSaid(ticket.panels, panel) : 'The whole job';
  };
  return (
    <section>
      <h3>What the customer decided</h3>
      <ul>
        {decisions.map(({ id, panelId, adviceText, decision, word, worth, at }) => (
          <li key={id}>
            <strong>{nameOf(panelId)}:</strong> {adviceText}{' '}
            {decision === 'declines' ? 'Declined' : 'The advice is followed'}
            {word ? `: “${word}”` : ''} ({dayText(at)})
            {worth && <BothPrices both={worth} units={units} currency={worth.currency} />}
          </li>
        ))}
      </ul>
    </section>
  );
}
