/** The server's time on this device; timers go by it, whatever the tablet's own clock says. */
import { useEffect, useState } from 'react';

const KEPT_AS = 'orthochrom-clock-error-ms';
/** How far this device's clock is from the server's, ms; kept, for a page opened without it. */
let clockErrorMs = Number(globalThis.localStorage?.getItem(KEPT_AS) ?? 0) || 0;

/** Every answer that carries the server's time sets this device right. */
export function measured<T extends { serverNow: string }>(reply: T): T {
  clockErrorMs = Date.parse(reply.serverNow) - Date.now();
  globalThis.localStorage?.setItem(KEPT_AS, String(clockErrorMs));
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
