/** Two tones, over and over, until somebody touches the screen. */
import { sound } from './tone.ts';

const EVERY_MS = 4000;
const TONES_HZ = [880, 660];
const TONE_S = 0.28;

/** @returns the way to end it; silent where the browser lets no page sound before it was touched */
export function soundAlarm(): () => void {
  const audio = new AudioContext();
  const once = () => {
    TONES_HZ.forEach((pitch, i) => {
      const fromS = audio.currentTime + i * TONE_S;
      sound(audio, { pitch, loud: 0.4, fromS, lastsS: TONE_S });
    });
  };
  once();
  const timer = setInterval(once, EVERY_MS);
  return () => {
    clearInterval(timer);
    void audio.close();
  };
}
