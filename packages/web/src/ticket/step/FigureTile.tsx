/** One figure of a step, as large as its tile lets it be, with what it belongs to. */
import type { ReactNode } from 'react';
import type { Figure } from '@orthochrom/contract/words/format.ts';
import styles from './FigureTile.module.css';

type FigureTileProps = {
  label: ReactNode;
  figure: Figure;
  note?: ReactNode;
  picture?: ReactNode;
  /** The one that matters: read from two metres in the booth. */
  isLead?: boolean;
  /** What the tile is, for tests and for the eye that looks for it. */
  name: string;
};

export function FigureTile({ label, figure, note, picture, isLead, name }: FigureTileProps) {
  return (
    <div
      className={`card ${styles['tile']} ${isLead ? styles['lead'] : ''}`}
      data-setting={name}
      {...(isLead ? { 'data-lead': true } : {})}
    >
      <div className={styles['label']}>
        {typeof label === 'string' ? <span>{label}</span> : label}
      </div>
      <div className={styles['middle']}>
        <div className={`figure ${styles['figure']}`} data-figure>
          {figure.text} <small>{figure.unit}</small>
        </div>
        {picture && <div className={styles['picture']}>{picture}</div>}
      </div>
      {note && <div className={`quiet ${styles['note']}`}>{note}</div>}
    </div>
  );
}

/** Tiles side by side, filling what the step leaves them. */
export function FigureTiles({ children, label }: { children: ReactNode; label: string }) {
  return (
    <div className={styles['tiles']} role="group" aria-label={label}>
      {children}
    </div>
  );
}
