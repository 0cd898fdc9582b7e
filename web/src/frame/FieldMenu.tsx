import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { msg } from '@idle-marker/words';
import { MarkWays } from '../pole/MarkWays.tsx';
import { hand } from '../pole/view/hand.ts';
import { sound, speech, vibration } from '../pole/signals.ts';
import { openFieldMenu, useIsMenuOpen } from '../site/fullView.ts';
import { railPlaces } from '../site/places.ts';
import { useRailFacts } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';
import { setTheme, useTheme, type Theme } from '../site/theme.ts';
import type { Kept } from '../ui/kept.ts';
import { Dialog } from '../ui/Dialog.tsx';
import { LinkMenu } from './LinkMenu.tsx';
import { Saved } from './Saved.tsx';

/** What stands around a place elsewhere, for a view that takes the whole screen; and what is felt and heard there. */
export function FieldMenu() {
  const { id, state } = useSite();
  const isOpen = useIsMenuOpen();
  const facts = useRailFacts();
  const theme = useTheme();
  const { pathname } = useLocation();
  useEffect(() => openFieldMenu(false), [pathname]);
  return (
    <Dialog open={isOpen} onClose={() => openFieldMenu(false)} title={state.settings.name}>
      <div className="flex flex-wrap items-center gap-3">
        <span className="flex min-h-12 bg-footing text-on-footing">
          <LinkMenu />
        </span>
        <Saved />
      </div>
      <nav aria-label={msg('frame.places')} className="mt-3 border-t border-rule">
        {railPlaces()
          .flatMap(([, places]) => places)
          .map(({ path, name }) => (
            <Link
              key={path}
              to={`/sites/${id}/${path}`}
              onClick={() => openFieldMenu(false)}
              className="flex min-h-12 items-center justify-between border-b border-rule text-[17px] font-semibold"
            >
              {name} <span className="figures font-normal">{facts[path]?.text}</span>
            </Link>
          ))}
      </nav>
      <MarkWays className="my-2" />
      <div className="grid gap-3">
        <Switch
          label={msg('pole.colors')}
          kept={{ now: () => theme, set: (next: Theme) => setTheme(next), use: () => theme }}
          choices={[
            ['sun', msg('pole.sun')],
            ['paper', msg('pole.paper')],
            ['dusk', msg('pole.dusk')],
          ]}
        />
        <OnOff label={msg('pole.vibration')} kept={vibration} />
        <OnOff label={msg('pole.sound')} kept={sound} />
        <p className="-mt-2 text-[15px] text-ink2">{msg('pole.signalsHint')}</p>
        {'speechSynthesis' in window && <OnOff label={msg('pole.speech')} kept={speech} />}
        <Switch
          label={msg('pole.handHeld')}
          kept={hand}
          choices={[
            ['right', msg('pole.rightHand')],
            ['left', msg('pole.leftHand')],
          ]}
        />
      </div>
    </Dialog>
  );
}

const OnOff = ({ label, kept }: { readonly label: string; readonly kept: Kept<'on' | 'off'> }) => (
  <Switch
    label={label}
    kept={kept}
    choices={[
      ['on', msg('pole.on')],
      ['off', msg('pole.off3')],
    ]}
  />
);

/** A choice of few words that is made at once. */
function Switch<T extends string>({
  label,
  kept,
  choices,
}: {
  readonly label: string;
  readonly kept: Kept<T>;
  readonly choices: readonly (readonly [T, string])[];
}) {
  const value = kept.use();
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
      <span className="text-[17px]">{label}</span>
      <span className="flex">
        {choices.map(([each, words]) => (
          <button
            key={each}
            type="button"
            aria-pressed={value === each}
            onClick={() => kept.set(each)}
            className={`-ml-[1.5px] min-h-12 min-w-16 border-[1.5px] border-ink px-3 text-[16px] font-semibold ${value === each ? 'bg-ink text-sheet' : 'bg-sheet'}`}
          >
            {words}
          </button>
        ))}
      </span>
    </div>
  );
}
