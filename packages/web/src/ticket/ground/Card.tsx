/** A spray-out card as stripes: the ground, then one coat over it, two, three. */
import styles from './GroundCards.module.css';

export function Card({ colours, isSmall }: { colours: string[]; isSmall?: boolean }) {
  return (
    <span
      className={`${styles['card']} ${isSmall ? styles['small'] : ''}`}
      role="img"
      aria-label={colours.map((colour, coats) => `${coats} coats: ${colour}`).join(', ')}
    >
      {colours.map((colour, coats) => (
        <span key={coats} style={{ background: colour }} />
      ))}
    </span>
  );
}
