import type { Loudness } from '@/store';

/** Three tones, as usual loud enough for the next room; a browser that allows no sound stays silent. */
const TONES = [660, 880, 660] as const;
const TONE_SECONDS = 0.35;
const GAP_SECONDS = 0.12;
/** Share of the most that the device gives, by what she chose. */
const LOUDNESS: Readonly<Record<Loudness, number>> = { soft: 0.15, usual: 0.6, loud: 1 };

/** A browser lets a page sound and shake only after a first touch or key, anew after each reload. */
export const mayRing = (): boolean => navigator.userActivation?.hasBeenActive ?? true;

export function ring(loudness: Loudness): void {
  if (!mayRing()) return;
  try {
    const audio = new AudioContext();
    TONES.forEach((hertz, index) => {
      const from = audio.currentTime + index * (TONE_SECONDS + GAP_SECONDS);
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(LOUDNESS[loudness], from);
      volume.gain.exponentialRampToValueAtTime(0.01, from + TONE_SECONDS);
      tone.connect(volume).connect(audio.destination);
      tone.start(from);
      tone.stop(from + TONE_SECONDS);
      if (index === TONES.length - 1) tone.onended = () => void audio.close();
    });
  } catch {
    // The clock on screen says it, too.
  }
}
