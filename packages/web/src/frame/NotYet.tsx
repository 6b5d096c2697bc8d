/** What stands where something is still to be read, or could not be: never over what is held. */
import { Button } from '@mantine/core';
import styles from './NotYet.module.css';

export type Read = {
  data?: unknown;
  error?: Error | undefined;
  mutate: () => Promise<unknown>;
};

/** A read that failed before anything of it was held. */
export const failedOf = (reads: readonly Read[]): Read | undefined =>
  reads.find(({ data, error }) => data === undefined && error !== undefined);

/** `what` is still being read; once a read has failed, its words and a way to try again. */
export function NotYet({ reads, what }: { reads: readonly Read[]; what: string }) {
  const failed = failedOf(reads);
  return failed ? (
    <Failed what={what} message={failed.error!.message} reads={reads} />
  ) : (
    <div className={`page ${styles['reading']}`} role="status">
      {/* Blank sheets where the page will stand: late, not empty. */}
      <div className={styles['sheets']} aria-hidden="true">
        <span />
        <span />
        <span />
      </div>
      <p>Reading {what} …</p>
    </div>
  );
}

function Failed({
  what,
  message,
  reads,
}: {
  what: string;
  message: string;
  reads: readonly Read[];
}) {
  return (
    <div className="page">
      <div className={`card stack ${styles['failed']}`} role="alert">
        <h2>
          <svg viewBox="0 0 24 24" aria-hidden="true">
            <rect x="2" y="2" width="20" height="20" />
          </svg>
          Not read: {what}
        </h2>
        <p>{message}</p>
        <p className="quiet">Nothing is lost: what was entered is kept where it was.</p>
        <div>
          <Button size="lg" onClick={() => reads.forEach((read) => void read.mutate())}>
            Try again
          </Button>
        </div>
      </div>
    </div>
  );
}
