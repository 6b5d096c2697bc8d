/** Listens to the server: the air as it moves, and what anybody wrote. */
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import { useEffect, useState } from 'react';
import { mutate, useSWRConfig } from 'swr';
import type { AirState } from './reads.ts';
import { ADDRESS, refresh, refreshAll, refreshedBy } from './resources.ts';

/** @returns false while the connection is down */
export function useStream(): boolean {
  const [connected, setConnected] = useState(true);
  const { cache } = useSWRConfig();
  useEffect(() => {
    const stream = new EventSource(ADDRESS.stream);
    let wasLost = false;
    stream.addEventListener('open', () => {
      setConnected(true);
      // What was written meanwhile was not heard of.
      if (wasLost) void refreshAll();
      wasLost = false;
    });
    stream.addEventListener('error', () => {
      wasLost = true;
      setConnected(false);
    });
    stream.addEventListener('air', (event) => {
      // A change to data that is still on its way would make SWR throw that data away.
      if (cache.get(ADDRESS.air)?.data === undefined) return;
      const rooms = JSON.parse(event.data as string) as AirNow[];
      void mutate<AirState>(ADDRESS.air, (old) => (old ? { ...old, rooms } : old), {
        revalidate: false,
      });
    });
    stream.addEventListener('changed', (event) => {
      const { type } = JSON.parse(event.data as string) as { type: string };
      void refresh(...refreshedBy(type));
    });
    return () => stream.close();
  }, [cache]);
  return connected;
}
