import { useEffect, useRef } from 'react';
import { speech } from './signals.ts';

/** A sentence is said at most this often, so that one is finished before the next begins. */
const PAUSE_MS = 3500;

const canSpeak = (): boolean => 'speechSynthesis' in window;

/** Says a sentence now, whether or not speaking is switched on: somebody asked for it. */
export function sayAloud(sentence: string): void {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
}

/** Says a sentence now, where somebody has switched speaking on. */
export function speakNow(sentence: string): void {
  if (speech.now() === 'on') sayAloud(sentence);
}

/** Says the move aloud where the browser can; off by default. */
export function useSpokenMove(sentence: string | null): {
  readonly can: boolean;
  readonly on: boolean;
  toggle(): void;
} {
  const on = speech.use() === 'on';
  const said = useRef({ at: 0, text: '' });
  useEffect(() => {
    if (!on || sentence === null || said.current.text === sentence || performance.now() - said.current.at < PAUSE_MS)
      return;
    said.current = { at: performance.now(), text: sentence };
    sayAloud(sentence);
  }, [on, sentence]);
  const toggle = () => {
    if (on && canSpeak()) window.speechSynthesis.cancel();
    speech.set(on ? 'off' : 'on');
  };
  return { can: canSpeak(), on, toggle };
}
