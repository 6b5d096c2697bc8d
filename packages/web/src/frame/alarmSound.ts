/** Two tones, over and over, until somebody touches the screen. */
const EVERY_MS = 4000;
const TONES_HZ = [880, 660];
const TONE_S = 0.28;

/** @returns the way to end it; silent where the browser lets no page sound before it was touched */
export function soundAlarm(): () => void {
  const audio = new AudioContext();
  const once = () => {
    TONES_HZ.forEach((hz, i) => {
      const [tone, gain] = [audio.createOscillator(), audio.createGain()];
      const from = audio.currentTime + i * TONE_S;
      tone.frequency.value = hz;
      gain.gain.setValueAtTime(0.4, from);
      gain.gain.exponentialRampToValueAtTime(0.001, from + TONE_S);
      tone.connect(gain).connect(audio.destination);
      tone.start(from);
      tone.stop(from + TONE_S);
    });
  };
  once();
  const timer = setInterval(once, EVERY_MS);
  return () => {
    clearInterval(timer);
    void audio.close();
  };
}
