/** Colours of the screen, remembered on this device: for sun, for daylight, and for night shifts. */
import { keptChoice } from '../ui/kept.ts';

export const THEMES = ['sun', 'paper', 'dusk'] as const;
export type Theme = (typeof THEMES)[number];

const kept = keptChoice<Theme>('idle-marker theme', ['paper', 'sun', 'dusk']);
const show = (theme: Theme) => (document.documentElement.dataset['theme'] = theme);
show(kept.now());

export const useTheme = kept.use;
export const nextTheme = (theme: Theme): Theme => THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!;

export function setTheme(theme: Theme): void {
  kept.set(theme);
  show(theme);
}

export const cycleTheme = (): void => setTheme(nextTheme(kept.now()));
