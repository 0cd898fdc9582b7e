import { useEffect, useRef } from 'react';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input:not([type=checkbox]), textarea, select, [contenteditable]');
/** What a focused element does by itself with this key: buttons take both, links only Enter. */
const takesKey = (target: EventTarget | null, key: string): boolean =>
  target instanceof HTMLElement &&
  target.closest(key === 'Enter' ? 'button, a, summary, [role=menuitem]' : 'button, summary, [role=menuitem]') !== null;

/**
 * What was pressed with a pointer last. It has the focus without anybody having gone to it by keyboard: the next Space
 * is meant for the action that shows it, not for the same press once more.
 */
let pressed: Element | null = null;
window.addEventListener(
  'pointerdown',
  ({ target }) => (pressed = target instanceof Element ? target.closest('button, a, summary') : null),
  true,
);
window.addEventListener('keydown', ({ key }) => key === 'Tab' && (pressed = null), true);
const isLeftByPointer = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && pressed !== null && target === pressed;

/**
 * One key for one action, while no field is being typed in and no dialog is open. Space and Enter stay with a button
 * that was gone to by keyboard.
 */
export function useKey(key: string, act: (() => void) | null): void {
  const latest = useRef(act);
  latest.current = act;
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (
        event.key.toLowerCase() !== key.toLowerCase() ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        event.repeat
      )
        return;
      if (isTyping(event.target) || document.querySelector('[role=dialog]')) return;
      if (!latest.current) return;
      if ((key === ' ' || key === 'Enter') && takesKey(event.target, key)) {
        if (!isLeftByPointer(event.target)) return;
        (event.target as HTMLElement).blur();
      }
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [key]);
}
