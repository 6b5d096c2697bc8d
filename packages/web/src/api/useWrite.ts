/** Writes: the server's words where it refuses, both sides where two painters clash. */
import { notifications } from '@mantine/notifications';
import { useCallback, useState } from 'react';
import { showClash } from './clash.ts';
import { ApiFault } from './client.ts';
import { Kept } from './outbox.ts';
import { refreshAll } from './resources.ts';

/**
 * A write; given a version, it is made over that one: the painter has seen both sides and chosen.
 */
export type Work = (overVersion?: number) => Promise<unknown>;

/**
 * A thing whose making was kept, and whose answer was lost, clashes with what was typed since: what
 * stands is as it was made, unless a next clash says otherwise.
 */
const FIRST_VERSION = 1;

/**
 * Runs a write, shows the server's words if it refuses and both sides if it clashes, and reports
 * whether it went through.
 */
export function useWrite(): [busy: boolean, write: (work: Work) => Promise<boolean>] {
  const [busy, setBusy] = useState(false);
  const write = useCallback(async function attempt(
    work: Work,
    overVersion?: number,
  ): Promise<boolean> {
    setBusy(true);
    try {
      await work(overVersion);
      return true;
    } catch (fault) {
      tellFault(fault, work, (over) => void attempt(work, over));
      // What is kept here is said and done for the painter.
      return fault instanceof Kept;
    } finally {
      setBusy(false);
    }
  }, []);
  return [busy, write];
}

function tellFault(fault: unknown, work: Work, again: (overVersion: number) => void): void {
  if (fault instanceof Kept) {
    notifications.show({
      color: 'yellow',
      title: 'Kept on this device',
      message: fault.message,
      autoClose: 8000,
    });
    return;
  }

  if (fault instanceof ApiFault && fault.error.code === 'version-clash') {
    const { mine, theirs, message } = fault.error;
    const { version: theirVersion = FIRST_VERSION } = (theirs ?? {}) as { version?: number };
    const canPutMine = work.length > 0;
    showClash({
      message,
      mine,
      theirs,
      ...(canPutMine ? { putMine: () => again(theirVersion) } : {}),
    });
    return;
  }
  // It is on disk, though its answer could not be read back: what is shown is asked anew.
  if (fault instanceof ApiFault && fault.error.code === 'kept-not-read') void refreshAll();
  const isStop =
    fault instanceof ApiFault &&
    (fault.error.code === 'stopped' || fault.error.code === 'gate-open');
  // What stopped it was written elsewhere, or the air moved: the cards are asked anew.
  if (isStop) void refreshAll();
  notifications.show({
    color: 'red',
    title: titleOf(fault, isStop),
    message: fault instanceof Error ? fault.message : String(fault),
    autoClose: isStop ? false : 12_000,
  });
}

const titleOf = (fault: unknown, isStop: boolean): string =>
  isStop
    ? 'Stopped: nothing was changed'
    : fault instanceof ApiFault && fault.error.code === 'kept-not-read'
      ? 'Written down, not read back'
      : 'Not done';
