import { useEffect, useState } from 'react';

const EVERY_MS = 100;

/** A stopwatch that runs while it is started; seconds with a tenth. */
export function useStopwatch(): {
  seconds: number;
  isRunning: boolean;
  start: () => void;
  stop: () => number;
} {
  const [startedMs, setStartedMs] = useState<number>();
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (startedMs === undefined) return;
    const timer = setInterval(() => setSeconds((Date.now() - startedMs) / 1000), EVERY_MS);
    return () => clearInterval(timer);
  }, [startedMs]);
  return {
    seconds,
    isRunning: startedMs !== undefined,
    start: () => {
      setSeconds(0);
      setStartedMs(Date.now());
    },
    stop: () => {
      const passed = startedMs === undefined ? seconds : (Date.now() - startedMs) / 1000;
      setSeconds(passed);
      setStartedMs(undefined);
      return passed;
    },
  };
}
