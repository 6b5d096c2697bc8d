/** Spray-out cards as they were kept: coats, ground, film, what was seen, and the picture. */
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { ADDRESS } from '../../api/resources.ts';
import { usePainter } from '../../frame/painter.ts';
import { STAGE_NAME } from '../../words/tradeNames.ts';
import { whenText } from '../../words/timeText.ts';
import styles from './PrepCard.module.css';

const SEEN: Record<SprayCard['seen'], string> = { matches: 'Matches', differs: 'Differs' };

export function SprayCards({ whole, stageId }: { whole: TicketWhole; stageId?: string }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const cards = whole.sprayCards.filter((card) => !stageId || card.stageId === stageId);
  if (cards.length === 0) return null;
  const colourOf = (id: string) => {
    const stage = whole.ticket.stages.find((one) => one.id === id);
    return stage ? stage.colourName || STAGE_NAME[stage.kind] : '';
  };
  return (
    <ul className={styles['cards']} aria-label="Spray-out cards">
      {cards.map((card) => (
        <li key={card.id}>
          {card.hasPhoto && (
            <a href={ADDRESS.cardPhoto(card.id)} target="_blank" rel="noreferrer">
              <img
                src={ADDRESS.cardThumb(card.id)}
                alt={`Card of ${colourOf(card.stageId)}, ${whenText(card.at)}`}
              />
            </a>
          )}
          <span>
            <strong>{SEEN[card.seen]}</strong>: {colourOf(card.stageId)}, {card.coats}{' '}
            {card.coats === 1 ? 'coat' : 'coats'}
            {card.groundText ? ` over ${card.groundText}` : ''}
            {card.wetFilmUm === undefined
              ? ''
              : `, ${format.joined(format.film(card.wetFilmUm))} wet a coat`}
            {card.word ? `. “${card.word}”` : ''} <span className="quiet">{whenText(card.at)}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
