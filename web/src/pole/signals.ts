/** What is felt, heard and said at the pole, so that eyes can stay on the ground. */
import { useEffect } from 'react';
import { keptChoice } from '../ui/kept.ts';

export const vibration = keptChoice('idle-marker vibration', ['on', 'off']);
export const sound = keptChoice('idle-marker sound', ['on', 'off']);
export const speech = keptChoice('idle-marker speak', ['off', 'on']);

export type SignalFor = 'hold' | 'lost' | 'due';

/** Milliseconds on, off, on; and the tones that go with them, hertz. */
const SIGNALS: Readonly<Record<SignalFor, { readonly pattern: readonly number[]; readonly tones: readonly number[] }>> =
  {
    hold: { pattern: [70, 60, 70], tones: [1320, 1320] },
    lost: { pattern: [400], tones: [330, 260] },
    due: { pattern: [150, 100, 150, 100, 150], tones: [660, 880, 660] },
  };
const TONE_S = 0.09;
const LOUDNESS = 0.2;

let audio: AudioContext | null = null;

function play(tones: readonly number[]): void {
  if (!('AudioContext' in window)) return;
  audio ??= new AudioContext();
  // Without a touch before, the browser plays nothing: then nothing is heard, and nothing is queued either.
  if (audio.state !== 'running') void audio.resume();
  tones.forEach((frequency, i) => {
    const at = audio!.currentTime + i * TONE_S * 1.6;
    const [tone, gain] = [audio!.createOscillator(), audio!.createGain()];
    tone.frequency.value = frequency;
    gain.gain.setValueAtTime(LOUDNESS, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + TONE_S);
    tone.connect(gain).connect(audio!.destination);
    tone.start(at);
    tone.stop(at + TONE_S);
  });
}

/** Each where it is switched on and the device can. */
export function signal(what: SignalFor): void {
  const { pattern, tones } = SIGNALS[what];
  if (vibration.now() === 'on' && 'vibrate' in navigator) navigator.vibrate([...pattern]);
  if (sound.now() === 'on') play(tones);
}

/** Once each time that something comes to be so. */
export function useSignal(what: SignalFor, isSo: boolean): void {
  useEffect(() => {
    if (isSo) signal(what);
  }, [what, isSo]);
}

/** The screen does not go dark while somebody works; asked for again each time the page comes back into view. */
export function useScreenAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      // Refused on a low battery: then it goes dark as it always does.
      navigator.wakeLock.request('screen').then(
        (lock) => {
          if (isOver) void lock.release();
          else held = lock;
        },
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release();
    };
  }, []);
}
