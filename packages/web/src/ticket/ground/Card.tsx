/** A spray-out card as stripes: the ground, then one coat over it, two, three. */
import styles from './GroundCards.module.css';

type CardProps = {
  colours: string[];
  isSmall?: boolean;
  /** The step that is wanted, of a wedge. */
  framed?: number;
};

export function Card({ colours, isSmall, framed }: CardProps) {
  return (
    <span
      className={`${styles['card']} ${isSmall ? styles['small'] : ''}`}
      role="img"
      aria-label={colours.map((colour, coats) => `${coats} coats: ${colour}`).join(', ')}
    >
      {colours.map((colour, coats) => (
        <span
          key={coats}
          className={coats === framed ? styles['framed'] : ''}
          style={{ background: colour }}
        />
      ))}
    </span>
  );
}
