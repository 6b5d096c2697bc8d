/**
 * What holds this coat lies below it: it is settled or sanded here, on the spot, without leaving
 * the card.
 */
import {
  coatsUnder,
  holdsAgainst,
  isSanded,
  layerSaid,
  unsettledOf,
} from '@orthochrom/contract/plan/layersUnder.ts';
import type { StandingNow } from '../standing.ts';
import type { CardProps } from '../cardProps.ts';
import { SettleFaults } from './SettleFaults.tsx';
import { LayerWorkButtons } from './LayerWorkButtons.tsx';

export function SettleBelow(props: CardProps & { standing: StandingNow }) {
  const { whole, coat, standing } = props;
  const under = coatsUnder(whole, coat);
  const closed = standing.verdicts.some(({ code }) => code === 'window-over')
    ? under[0]
    : undefined;
  const faulty = under.filter((below) =>
    unsettledOf(whole, below).some((fault) => holdsAgainst(below, coat, fault)),
  );
  if (!closed && faulty.length === 0) return null;
  return (
    <div className="card stack" aria-label="What lies below">
      {closed && !isSanded(whole, closed) && (
        <>
          <strong>
            The window of the {layerSaid(whole, closed)} has closed: sand it, then note it here.
          </strong>
          <LayerWorkButtons {...props} of={closed} kinds={['sandedDry', 'sandedWet']} />
        </>
      )}
      {faulty.map((below) => (
        <SettleFaults key={below.id} {...props} of={below} />
      ))}
    </div>
  );
}
