import type { ReactNode } from 'react';
import styles from './PageHead.module.css';

export function PageHead({
  title,
  line,
  isTight = false,
  children,
}: {
  title: string;
  line?: string;
  /** On a phone title and line are one row each: what lies below is what one came for. */
  isTight?: boolean;
  children?: ReactNode;
}) {
  return (
    <header className={`${styles['head']} ${isTight ? styles['tight'] : ''}`}>
      <div>
        <h1>{title}</h1>
        {line && <p className="quiet">{line}</p>}
      </div>
      {children}
    </header>
  );
}
