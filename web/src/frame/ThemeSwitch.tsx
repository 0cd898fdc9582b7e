import { useEffect, useState } from 'react';
import { msg } from '@idle-marker/words';

const KEY = 'idle-marker theme';

/** Paper for daylight, dusk for night shifts; remembered on this device. */
export function ThemeSwitch() {
  const [theme, setTheme] = useState(() => localStorage.getItem(KEY) ?? 'paper');
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
    localStorage.setItem(KEY, theme);
  }, [theme]);
  const next = theme === 'paper' ? 'dusk' : 'paper';
  return (
    <button
      type="button"
      onClick={() => setTheme(next)}
      className="min-h-11 min-w-11 px-2 text-[13px] font-medium text-ink2"
      title={msg('frame.changeToTheTheme', { next })}
    >
      {theme === 'paper' ? msg('frame.dusk') : msg('frame.light')}
    </button>
  );
}
