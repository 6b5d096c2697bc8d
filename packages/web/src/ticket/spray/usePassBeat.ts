/** A short tick at the start of every pass; silent where no seconds are given. */
import { useEffect } from 'react';

/** Cycles a second. */
const TICK_PITCH = 1250;
const TICK_S = 0.05;
/** The turn at the end of a pass, trigger let go. */
const TURN_SECONDS = 0.4;

export function usePassBeat(passSeconds: number | undefined): void {
  useEffect(() => {
    if (passSeconds === undefined) return;
    const audio = new AudioContext();
    const tick = () => {
      const [tone, gain] = [audio.createOscillator(), audio.createGain()];
      const from = audio.currentTime;
      tone.frequency.value = TICK_PITCH;
      gain.gain.setValueAtTime(0.35, from);
      gain.gain.exponentialRampToValueAtTime(0.001, from + TICK_S);
      tone.connect(gain).connect(audio.destination);
      tone.start(from);
      tone.stop(from + TICK_S);
    };
    tick();
    const timer = setInterval(tick, 1000 * (passSeconds + TURN_SECONDS));
    return () => {
      clearInterval(timer);
      void audio.close();
    };
  }, [passSeconds]);
}
