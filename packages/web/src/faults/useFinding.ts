/**
 * Keeps a finding while it is made: every answer goes to the server by itself, one write after the
 * other, and a clash is shown.
 */
import { ADDRESS, hold } from '../api/resources.ts';
import { notifications } from '@mantine/notifications';
import type { Finding } from '@orthochrom/contract/shop/finding.ts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { showClash } from '../api/clash.ts';
import { ApiFault, getJson, postJson, putJson } from '../api/client.ts';
import { useConnected } from '../frame/connected.ts';
import { draftOf, type Draft } from './draft.ts';
import { forgetUnkept, readUnkept, writeUnkept } from './unkept.ts';

export type Keeping = 'new' | 'saving' | 'kept' | 'failed';
export type FindingState = {
  draft: Draft;
  finding: Finding | undefined;
  keeping: Keeping;
  change: (next: Draft) => void;
  /** Takes the finding as the server answered it after another write. */
  take: (finding: Finding) => void;
  retry: () => void;
};

export function useFinding(
  id: string,
  painterId: string,
  start: Draft,
  known: Finding | undefined,
  onFirstKept: () => void,
): FindingState {
  const [unkept] = useState(() => readUnkept(id));
  const [draft, setDraft] = useState(unkept ?? (known ? draftOf(known) : start));
  const [finding, setFinding] = useState(known);
  const [keeping, setKeeping] = useState<Keeping>(known ? 'kept' : 'new');
  const stored = useRef(known);
  const wanted = useRef(unkept);
  const isWriting = useRef(false);

  const take = useCallback((next: Finding) => {
    stored.current = next;
    setFinding(next);
    // Held as well where the page reads it: a bench that is kept for the first time stays as it is,
    // and what is answered meanwhile with it.
    void hold(ADDRESS.finding(next.id), next);
  }, []);

  const flush = useCallback(async () => {
    if (isWriting.current) return;
    isWriting.current = true;
    setKeeping('saving');
    try {
      while (wanted.current) {
        const next = wanted.current;
        wanted.current = undefined;
        const over = stored.current;
        try {
          take(
            over
              ? await putJson<Finding>(ADDRESS.finding(id), {
                  version: over.version,
                  painterId,
                  ...next,
                })
              : await postJson<Finding>(ADDRESS.findings, { id, painterId, ...next }),
          );
          if (!over) onFirstKept();
        } catch (fault) {
          wanted.current ??= next;
          if (!over && isClash(fault)) {
            // Its first keeping went through and only the answer was lost: this goes over it.
            stored.current = await getJson<Finding>(ADDRESS.finding(id));
            onFirstKept();
            continue;
          }
          writeUnkept(id, wanted.current);
          throw fault;
        }
      }
      forgetUnkept(id);
      setKeeping('kept');
    } catch (fault) {
      setKeeping('failed');
      tell(fault, (theirs) => {
        if (stored.current) stored.current = { ...stored.current, version: theirs };
      });
    } finally {
      isWriting.current = false;
    }
  }, [id, painterId, onFirstKept, take]);

  const change = useCallback(
    (next: Draft) => {
      setDraft(next);
      wanted.current = next;
      void flush();
    },
    [flush],
  );
  // Somebody else wrote, or what stood here first was the device's own older copy.
  useEffect(() => {
    const isNewer = known && stored.current && known.version > stored.current.version;
    if (!isNewer || wanted.current || isWriting.current) return;
    stored.current = known;
    setFinding(known);
    setDraft(draftOf(known));
  }, [known]);
  // What a reload or a lost server left unkept is tried at once, and when the server is back.
  const isConnected = useConnected();
  useEffect(() => {
    if (isConnected && wanted.current) void flush();
  }, [isConnected, flush]);
  return { draft, finding, keeping, change, take, retry: () => void flush() };
}

const isClash = (fault: unknown): fault is ApiFault =>
  fault instanceof ApiFault && fault.error.code === 'version-clash';

/**
 * A clash shows both sides; putting mine only moves the version on, the next try writes over it.
 */
function tell(fault: unknown, overVersion: (version: number) => void): void {
  if (isClash(fault)) {
    const { mine, theirs, message } = fault.error;
    const { version } = theirs as { version: number };
    showClash({ message, mine, theirs, putMine: () => overVersion(version) });
    return;
  }
  notifications.show({
    color: 'red',
    title: 'Not kept yet',
    message: fault instanceof Error ? fault.message : String(fault),
    autoClose: 10_000,
  });
}
