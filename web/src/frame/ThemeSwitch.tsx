import { cycleTheme, nextTheme, useTheme, type Theme } from '../site/theme.ts';
import { msg, worded } from '@idle-marker/words';
import { useKey } from '../ui/useKey.ts';

const themeWords = worded((): Readonly<Record<Theme, string>> => ({
  sun: msg('pole.sun'),
  paper: msg('pole.paper'),
  dusk: msg('pole.dusk'),
}));

/** Sun, daylight, dark: each press the next one. */
export function ThemeSwitch() {
  const next = themeWords()[nextTheme(useTheme())];
  useKey('t', cycleTheme);
  return (
    <button
      type="button"
      onClick={cycleTheme}
      className="min-h-11 min-w-11 px-2 text-[13px] font-medium text-ink2"
      title={msg('frame.changeToTheTheme', { next })}
    >
      {next}
    </button>
  );
}
