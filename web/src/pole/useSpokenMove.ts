import { useCallback, useEffect, useRef, useState } from 'react';

const KEY = 'idle-marker speak';
/** A sentence is said at most this often, so that one is finished before the next begins. */
const PAUSE_MS = 3500;

const canSpeak = (): boolean => 'speechSynthesis' in window;

/** Says a sentence now, where somebody has switched speaking on. */
export function speakNow(sentence: string): void {
  if (!canSpeak() || localStorage.getItem(KEY) !== 'on') return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
}

/** Says the move aloud where the browser can; off by default. Vibrates once on coming inside the tolerance. */
export function useSpokenMove(
  sentence: string | null,
  inside: boolean,
): { readonly can: boolean; readonly on: boolean; toggle(): void } {
  const [on, setOn] = useState(() => localStorage.getItem(KEY) === 'on');
  const said = useRef({ at: 0, text: '' });
  useEffect(() => {
    if (
      !on ||
      sentence === null ||
      !canSpeak() ||
      said.current.text === sentence ||
      performance.now() - said.current.at < PAUSE_MS
    )
      return;
    said.current = { at: performance.now(), text: sentence };
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
  }, [on, sentence]);
  useEffect(() => {
    if (inside && 'vibrate' in navigator) navigator.vibrate(120);
  }, [inside]);
  const toggle = useCallback(() => {
    localStorage.setItem(KEY, on ? 'off' : 'on');
    if (on && canSpeak()) window.speechSynthesis.cancel();
    setOn(!on);
  }, [on]);
  return { can: canSpeak(), on, toggle };
}
