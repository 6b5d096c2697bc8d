/** The screen stays on while a clock runs, where the browser lets it. */
import { useEffect } from 'react';

export function useAwake(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let isOver = false;
    const hold = async () => {
      // It falls with the page, and is taken again when that is seen again.
      if (document.visibilityState !== 'visible') return;
      lock = await navigator.wakeLock.request('screen').catch(() => undefined);
      if (isOver) await lock?.release();
    };
    void hold();
    const again = () => void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [isWanted]);
}
