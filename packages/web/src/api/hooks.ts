/** What the screens show, kept fresh by the server's stream. */
import type { AirNow, DayAhead } from '@orthochrom/contract/shop/air.ts';
import type { GunCareNow, GunStory } from '@orthochrom/contract/shop/care.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type {
  Coat,
  SheetVersion,
  Ticket,
  TicketWhole,
  Timer,
} from '@orthochrom/contract/shop/ticket.ts';
import { notifications } from '@mantine/notifications';
import { useCallback, useEffect, useState } from 'react';
import useSWR, { mutate, useSWRConfig } from 'swr';
import { showClash } from './clash.ts';
import { ApiFault, getJson } from './client.ts';

export type AirState = { rooms: AirNow[]; days: DayAhead[] };
export type TicketList = {
  tickets: Ticket[];
  coats: Coat[];
  timers: Timer[];
  sheets: { id: string; name: string }[];
  serverNow: string;
};

export const useSetup = () => useSWR<ShopSetup, Error>('/api/setup', getJson);
export const useSheets = () => useSWR<SheetVersion[], Error>('/api/sheets', getJson);
export const useTests = () => useSWR<StoredTest[], Error>('/api/tests', getJson);
export const useCare = () => useSWR<GunCareNow[], Error>('/api/care', getJson);
export const useGunStory = (gunId: string) =>
  useSWR<GunStory, Error>(`/api/guns/${gunId}/story`, getJson);
export const useAir = () => useSWR<AirState, Error>('/api/air', getJson);
export const useTickets = () =>
  useSWR<TicketList, Error>('/api/tickets', (url: string) =>
    getJson<TicketList>(url).then(measured),
  );
export const useTicket = (id: string) =>
  useSWR<TicketWhole, Error>(`/api/tickets/${id}`, (url: string) =>
    getJson<TicketWhole>(url).then(measured),
  );
export const isOf = (prefix: string) => (key: unknown) =>
  typeof key === 'string' && key.startsWith(prefix);

/** How far this device's clock is from the server's, ms; timers go by the server's. */
let clockErrorMs = 0;
function measured<T extends { serverNow: string }>(reply: T): T {
  clockErrorMs = Date.parse(reply.serverNow) - Date.now();
  return reply;
}
export const serverNowMs = (): number => Date.now() + clockErrorMs;

/** The server's time, ticking. */
export function useNowMs(everyMs = 1000): number {
  const [now, setNow] = useState(serverNowMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNowMs()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

/**
 * Listens to the server: the air as it moves, and what anybody wrote. @returns false while the
 * connection is down
 */
export function useStream(): boolean {
  const [connected, setConnected] = useState(true);
  const { cache } = useSWRConfig();
  useEffect(() => {
    const stream = new EventSource('/api/stream');
    let wasLost = false;
    stream.addEventListener('open', () => {
      setConnected(true);
      // What was written meanwhile was not heard of.
      if (wasLost) void mutate(isOf('/api/'));
      wasLost = false;
    });
    stream.addEventListener('error', () => {
      wasLost = true;
      setConnected(false);
    });
    stream.addEventListener('air', (event) => {
      // A change to data that is still on its way would make SWR throw that data away.
      if (cache.get('/api/air')?.data === undefined) return;
      const rooms = JSON.parse(event.data as string) as AirNow[];
      void mutate<AirState>('/api/air', (old) => (old ? { ...old, rooms } : old), {
        revalidate: false,
      });
    });
    stream.addEventListener('changed', (event) => {
      const { type } = JSON.parse(event.data as string) as { type: string };
      const keys: Record<string, string> = {
        painter: '/api/setup',
        room: '/api/setup',
        gun: '/api/setup',
        compressor: '/api/setup',
        airLine: '/api/setup',
        test: '/api/setup',
        care: '/api/care',
        sheet: '/api/sheets',
        reading: '/api/air',
        finding: '/api/findings',
      };
      void mutate(isOf(keys[type] ?? '/api/tickets'));
      if (type === 'ticket' || type === 'finding') void mutate(isOf('/api/records'));
      if (type === 'finding') {
        void mutate('/api/plan-changes');
        void mutate(isOf('/api/coats/'));
      }
      if (type === 'ticket' || type === 'test' || type === 'care' || type === 'gun') {
        void mutate('/api/care');
        void mutate(isOf('/api/guns/'));
        void mutate('/api/tests');
      }
    });
    return () => stream.close();
  }, [cache]);
  return connected;
}

/**
 * A write; given a version, it is made over that one: the painter has seen both sides and chosen.
 */
export type Work = (overVersion?: number) => Promise<unknown>;

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
      return false;
    } finally {
      setBusy(false);
    }
  }, []);
  return [busy, write];
}

function tellFault(fault: unknown, work: Work, again: (overVersion: number) => void): void {
  if (fault instanceof ApiFault && fault.error.code === 'version-clash') {
    const { mine, theirs, message } = fault.error;
    const theirVersion = (theirs as { version?: number } | undefined)?.version;
    const canPutMine = work.length > 0 && theirVersion !== undefined;
    showClash({
      message,
      mine,
      theirs,
      ...(canPutMine ? { putMine: () => again(theirVersion) } : {}),
    });
    return;
  }
  const isStop =
    fault instanceof ApiFault &&
    (fault.error.code === 'stopped' || fault.error.code === 'gate-open');
  // What stopped it was written elsewhere, or the air moved: the cards are asked anew.
  if (isStop) void mutate(isOf('/api/'));
  notifications.show({
    color: 'red',
    title: isStop ? 'Stopped: nothing was changed' : 'Not done',
    message: fault instanceof Error ? fault.message : String(fault),
    autoClose: isStop ? false : 12_000,
  });
}
