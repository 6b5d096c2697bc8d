/** One tone of so many cycles a second, fading as it sounds. */
export function sound(
  audio: AudioContext,
  { pitch, loud, fromS, lastsS }: { pitch: number; loud: number; fromS: number; lastsS: number },
): void {
  const [tone, gain] = [audio.createOscillator(), audio.createGain()];
  tone.frequency.value = pitch;
  gain.gain.setValueAtTime(loud, fromS);
  gain.gain.exponentialRampToValueAtTime(0.001, fromS + lastsS);
  tone.connect(gain).connect(audio.destination);
  tone.start(fromS);
  tone.stop(fromS + lastsS);
}
