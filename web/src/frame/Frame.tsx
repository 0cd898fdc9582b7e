import { useEffect } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { controlSources } from '@idle-marker/records';
import { msg, unitNameWords, worded } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Logo } from '../ui/Logo.tsx';
import { useKey } from '../ui/useKey.ts';
import { useIsPhone } from '../ui/useMedia.ts';
import { cycleTheme } from '../site/theme.ts';
import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { openUsualLink, resumeStation } from '../link/linkStore.ts';
import { useIsFullView } from '../site/fullView.ts';
import { ClockBehind } from './ClockBehind.tsx';
import { FieldMenu } from './FieldMenu.tsx';
import { FindOrDo } from './FindOrDo.tsx';
import { Footing } from './Footing.tsx';
import { PlaceBar } from './PlaceBar.tsx';
import { Saved } from './Saved.tsx';
import { railPlaces, type Place } from '../site/places.ts';
import { useRailFacts, type RailFact } from '../site/railFacts.ts';
import { ThemeSwitch } from './ThemeSwitch.tsx';

const angleWords = worded(() => ({ dms: 'degrees', degree: msg('frame.decimalDegrees'), gon: 'gon' }) as const);
const orderWords = worded(() => ({ EN: msg('frame.eThenN'), NE: msg('frame.nThenE') }) as const);

export function Frame() {
  const { id, state, inForce } = useSite();
  const { settings } = state;
  const navigate = useNavigate();
  const isFull = useIsFullView();
  useEffect(() => {
    void openUsualLink(id, settings.practiceGround).then(() => {
      if (!inForce || inForce.occupation.body.link !== 'simulator') return;
      const { e, n, orientationDeg } = inForce.fact.body.result;
      const { id: occupation, body } = inForce.occupation;
      void resumeStation(id, {
        occupation,
        place: { e, n },
        height: body.instrumentHeight,
        orientation: orientationDeg * RADIANS_PER_DEGREE,
      });
    });
  }, [id, settings.practiceGround, inForce]);
  useKey('p', () => void navigate(`/sites/${id}/prove`));
  // What takes the whole screen is drawn over an empty frame: there is nothing behind it to be reached.
  return (
    <div className="grid h-dvh grid-cols-[auto_1fr] grid-rows-[48px_1fr_auto] max-md:grid-cols-1 max-md:grid-rows-[48px_auto_1fr_auto]">
      {!isFull && (
        <a href="#place" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
          {msg('frame.skipToThePlace')}
        </a>
      )}
      {!isFull && <Around />}
      {isFull && <ThemeKey />}
      <main
        id="place"
        className="flex min-h-0 min-w-0 flex-col overflow-hidden max-md:row-start-3 md:col-start-2 md:row-start-2"
      >
        <ClockBehind />
        <div className="min-h-0 flex-1">
          <Outlet />
        </div>
      </main>
      <FieldMenu />
    </div>
  );
}

function ThemeKey() {
  useKey('t', cycleTheme);
  return null;
}

/** Rail, bars and footing. */
function Around() {
  const { id, state } = useSite();
  const { settings } = state;
  const facts = useRailFacts();
  const isPhone = useIsPhone();
  return (
    <>
      <nav aria-label={msg('frame.sites')} className="border-r border-b border-ink max-md:hidden">
        <NavLink
          to="/"
          aria-label={msg('frame.idleMarkerAllSites')}
          className="flex h-full items-center gap-2 px-4 font-semibold max-rail:justify-center"
        >
          <Logo />
          <span className="text-base max-rail:hidden">{msg('common.idleMarker')}</span>
        </NavLink>
      </nav>
      <header className="flex min-w-0 items-center gap-4 border-b border-ink px-4 max-md:gap-2">
        <NavLink
          to="/"
          aria-label={msg('frame.allSites')}
          className="flex min-h-11 min-w-11 items-center justify-center md:hidden"
        >
          <Logo />
        </NavLink>
        <span className="truncate font-semibold">{settings.name}</span>
        <span className="truncate text-ink2 max-rail:hidden">
          {unitNameWords()[settings.lengthUnit]} · {angleWords()[settings.angleUnit]} ·{' '}
          {orderWords()[settings.axisOrder]}
          {state.control.length > 0 && msg('frame.control', { controlSources: controlSources(state).join(', ') })}
          {state.packages.length > 0 &&
            msg('frame.work', {
              packages:
                state.packages.length === 1
                  ? state.packages[0]!.body.name
                  : msg('frame.packages', { packages: state.packages.length }),
            })}
        </span>
        <span className="ml-auto flex shrink-0 items-center gap-3 whitespace-nowrap max-md:gap-1">
          <FindOrDo />
          <ThemeSwitch />
          <Saved />
        </span>
      </header>
      {isPhone ? (
        <PlaceBar />
      ) : (
        <nav
          aria-label={msg('frame.places')}
          className="overflow-y-auto border-r border-ink py-3 md:row-start-2 rail:w-[196px]"
        >
          {railPlaces().map(([when, places]) => (
            <div key={when} className="mb-3">
              <p className="px-[18px] pb-1 text-[13px] font-medium tracking-wide text-ink2 uppercase max-rail:hidden">
                {when}
              </p>
              {places.map((place) => (
                <RailLink key={place.path} place={place} base={`/sites/${id}`} fact={facts[place.path]} />
              ))}
            </div>
          ))}
        </nav>
      )}
      <Footing />
    </>
  );
}

/** Places with several parts: the rail leads to the part that was used last. */
const WITH_PARTS: ReadonlySet<string> = new Set(['mark', 'hand-over']);

/** Remembers which part of a place is open, and says where its link leads. */
function useLastPart(base: string, { path }: Place): string {
  const { pathname } = useLocation();
  const own = `${base}/${path}`;
  const key = `idle-marker last ${own}`;
  const isIn = WITH_PARTS.has(path) && (pathname === own || pathname.startsWith(`${own}/`));
  useEffect(() => {
    if (isIn) localStorage.setItem(key, pathname);
  }, [isIn, key, pathname]);
  if (isIn) return pathname;
  const kept = localStorage.getItem(key);
  return WITH_PARTS.has(path) && kept?.startsWith(own) ? kept : own;
}

function RailLink({ place, base, fact }: { place: Place; base: string; fact: RailFact | undefined }) {
  const to = useLastPart(base, place);
  const tone =
    fact?.tone === 'brick'
      ? 'text-brick font-semibold'
      : fact?.tone === 'ochre'
        ? 'text-ochre font-semibold'
        : 'text-ink2';
  return (
    <NavLink
      to={to}
      title={fact ? `${place.name}: ${fact.text}` : place.name}
      className={({ isActive }) =>
        `flex min-h-11 items-center gap-3 border-l-[5px] pr-3.5 pl-[13px] max-rail:flex-col max-rail:gap-0 max-rail:px-2 max-rail:py-1.5 ${isActive ? 'border-spruce bg-sheet' : 'border-transparent'}`
      }
    >
      <svg
        className="hidden h-5 w-5 max-rail:block"
        viewBox="0 0 24 24"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.7"
        aria-hidden="true"
      >
        <path d={place.icon} />
      </svg>
      <span className="text-[15px] font-medium whitespace-nowrap max-rail:text-[13px] max-rail:whitespace-normal max-rail:text-center">
        {place.name}
      </span>
      {fact && <span className={`figures ml-auto text-[13px] max-rail:ml-0 ${tone}`}>{fact.text}</span>}
    </NavLink>
  );
}
