/** A short tick at the start of every pass; silent where no seconds are given. */
import { TURN_SECONDS } from '@orthochrom/core/route/places.ts';
import { useEffect } from 'react';
import { sound } from '../../frame/tone.ts';

/** Cycles a second. */
const TICK_PITCH = 1250;
const TICK_S = 0.05;

export function usePassBeat(passSeconds: number | undefined): void {
  useEffect(() => {
    if (passSeconds === undefined) return;
    const audio = new AudioContext();
    const tick = () =>
      sound(audio, { pitch: TICK_PITCH, loud: 0.35, fromS: audio.currentTime, lastsS: TICK_S });
    tick();
    const timer = setInterval(tick, 1000 * (passSeconds + TURN_SECONDS));
    return () => {
      clearInterval(timer);
      void audio.close();
    };
  }, [passSeconds]);
}
