/** What stands where something is still to be read, or could not be: never over what is held. */
import { Button } from '@mantine/core';

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
  if (!failed)
    return (
      <p className="page" role="status">
        Reading {what} …
      </p>
    );
  return (
    <div className="page stack">
      <p role="alert">{failed.error!.message}</p>
      <div>
        <Button onClick={() => reads.forEach((read) => void read.mutate())}>Try again</Button>
      </div>
    </div>
  );
}
