/** Listens to the server: the air as it moves, and what anybody wrote. */
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import { useEffect, useState } from 'react';
import { mutate, useSWRConfig } from 'swr';
import { fillFromDevice } from './keptReads.ts';
import { keepForBench } from './benchReads.ts';
import { sendNotes } from './outbox.ts';
import type { AirState } from './reads.ts';
import { ADDRESS, refresh, refreshAll, refreshedBy } from './resources.ts';
import { listen } from './sharedStream.ts';

/** Also without an event: what waits here is tried again so often. */
const TRY_EVERY_MS = 5000;

/**
 * @param isIn at the door nothing is heard: a stranger has no stream, and is not told that the
 *   server is away
 * @returns false while the connection is down
 */
export function useStream(isIn: boolean): boolean {
  const [connected, setConnected] = useState(true);
  const { cache } = useSWRConfig();
  useEffect(() => {
    if (!isIn) return undefined;
    let before: 'none' | 'heard' | 'lost' = 'none';
    const hearConnected = (is: boolean, isAnew: boolean) => {
      const isFirst = before === 'none';
      if (!is && before !== 'lost') void fillFromDevice(cache);
      before = is ? 'heard' : 'lost';
      setConnected(is);
      // The server may be away, or somebody was signed out: its door says which.
      if (!is) void refresh('signIn');
      if (!is || !isAnew) return;
      // What was noted meanwhile goes first; what was written meanwhile was not heard of.
      void sendNotes()
        .then(() => (isFirst ? undefined : refreshAll()))
        .then(() => keepForBench(cache));
    };
    const hearAir = (data: string) => {
      // A change to data that is still on its way would make SWR throw that data away.
      if (cache.get(ADDRESS.air)?.data === undefined) return;
      const rooms = JSON.parse(data) as AirNow[];
      void mutate<AirState>(ADDRESS.air, (old) => (old ? { ...old, rooms } : old), {
        revalidate: false,
      });
    };
    const close = listen((event) => {
      if (event.kind === 'connected') hearConnected(event.is, event.isAnew);
      else if (event.kind === 'air') hearAir(event.data);
      else {
        const { type } = JSON.parse(event.data) as { type: string };
        void refresh(...refreshedBy(type));
      }
    });
    void sendNotes();
    const timer = setInterval(() => void sendNotes(), TRY_EVERY_MS);
    return () => {
      clearInterval(timer);
      close();
    };
  }, [cache, isIn]);
  return connected || !isIn;
}
