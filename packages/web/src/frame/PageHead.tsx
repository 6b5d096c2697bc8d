import type { ReactNode } from 'react';
import styles from './PageHead.module.css';

export function PageHead({
  title,
  line,
  children,
}: {
  title: string;
  line?: string;
  children?: ReactNode;
}) {
  return (
    <header className={styles['head']}>
      <div>
        <h1>{title}</h1>
        {line && <p className="quiet">{line}</p>}
      </div>
      {children}
    </header>
  );
}
