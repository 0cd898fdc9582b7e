import { useEffect, useRef, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { msg } from '@idle-marker/words';
import { placesAtThePole, railPlaces, type Place } from '../site/places.ts';
import { useProofAge, useRailFacts, type RailFact } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';

type Within = Pick<Place, 'path' | 'name'> & { readonly icon?: string };

/** The places of each part of the day; in the field also what is done at the pole besides setting marks. */
const groupsOf = (): readonly (readonly [string, readonly Within[]])[] =>
  railPlaces().map(([when, places], i) => [when, i === 1 ? [...places, ...placesAtThePole()] : places] as const);

const TONES = { brick: 'text-brick', ochre: 'text-ochre' } as const;

/** Which place of the list an address belongs to: the longest that it begins with. */
const placeAt = (places: readonly Within[], part: string): Within | undefined =>
  places
    .filter(({ path }) => part === path || part.startsWith(`${path}/`))
    .toSorted((a, b) => b.path.length - a.path.length)[0];

const lastKey = (id: string, when: string): string => `idle-marker ${id} last of ${when}`;

/** On a phone: three parts of the day that open upward, and what is current. Nothing scrolls sideways. */
export function PlaceBar() {
  const { id, state, inForce } = useSite();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const facts = useRailFacts();
  const proof = useProofAge();
  const [open, setOpen] = useState<string | null>(null);
  const bar = useRef<HTMLElement>(null);
  const groups = groupsOf();
  const part = pathname.replace(`/sites/${id}/`, '');
  const here = groups.find(([, places]) => placeAt(places, part));
  const when = here?.[0];
  useEffect(() => {
    setOpen(null);
    if (when !== undefined) localStorage.setItem(lastKey(id, when), pathname);
  }, [id, when, pathname]);
  useEffect(() => {
    if (open === null) return;
    const close = (event: Event) => {
      if (event instanceof KeyboardEvent ? event.key === 'Escape' : !bar.current?.contains(event.target as Node))
        setOpen(null);
    };
    window.addEventListener('pointerdown', close);
    window.addEventListener('keydown', close);
    return () => {
      window.removeEventListener('pointerdown', close);
      window.removeEventListener('keydown', close);
    };
  }, [open]);
  const touch = (name: string) => {
    if (open !== name) return setOpen(name);
    setOpen(null);
    const kept = localStorage.getItem(lastKey(id, name));
    if (kept?.startsWith(`/sites/${id}/`)) void navigate(kept);
  };
  const isProofDue = inForce !== null && proof !== null && (proof.due !== null || proof.failed || !proof.proven);
  const planned = state.packages.length > 0;
  const wanted = isProofDue ? 'prove' : inForce ? (planned ? 'mark' : 'design') : 'station';
  const current = groups.flatMap(([, places]) => places).find(({ path }) => path === wanted)!;
  const currentFact = facts[current.path];
  const opened = groups.find(([name]) => name === open);
  return (
    <nav
      ref={bar}
      aria-label={msg('frame.places')}
      className="relative row-start-4 grid h-16 grid-cols-[1fr_1.15fr_1fr_1.35fr] border-t-2 border-ink md:hidden"
    >
      {opened && (
        <>
          <div className="fixed inset-x-0 top-0 bottom-16 z-10 bg-[#16262a80]" aria-hidden="true" />
          <div
            id="places-of-part"
            className="absolute inset-x-0 bottom-full z-20 max-h-[75dvh] overflow-y-auto border-t-2 border-ink bg-sheet"
          >
            <p className="flex min-h-14 items-center px-4 text-[20px] font-semibold">{opened[0]}</p>
            {opened[1].map((place) => (
              <PlaceRow
                key={place.path}
                place={place}
                to={`/sites/${id}/${place.path}`}
                isHere={placeAt(opened[1], part)?.path === place.path}
                fact={facts[place.path]}
              />
            ))}
          </div>
        </>
      )}
      {groups.map(([name]) => (
        <button
          key={name}
          type="button"
          aria-expanded={open === name}
          aria-controls={open === name ? 'places-of-part' : undefined}
          onClick={() => touch(name)}
          className={`min-w-0 border-r border-ink px-1 text-[16px] leading-tight font-semibold ${when === name ? 'bg-ink text-sheet' : 'bg-paper'}`}
        >
          {name}
        </button>
      ))}
      <Link
        to={`/sites/${id}/${current.path}`}
        className="flex min-w-0 flex-col justify-center border-l-[6px] border-spruce bg-sheet px-3 leading-tight text-spruce"
        aria-label={msg('frame.currentPlace', { name: current.name, fact: currentFact?.text ?? '' })}
      >
        <span className="truncate text-[17px] font-semibold">{current.name}</span>
        {currentFact && <span className="figures truncate text-[16px]">{currentFact.text}</span>}
      </Link>
    </nav>
  );
}

function PlaceRow({
  place,
  to,
  isHere,
  fact,
}: {
  readonly place: Within;
  readonly to: string;
  readonly isHere: boolean;
  readonly fact: RailFact | undefined;
}) {
  return (
    <Link
      to={to}
      aria-current={isHere ? 'page' : undefined}
      className={`flex min-h-[72px] items-center gap-4 border-t border-rule px-4 text-[20px] font-semibold ${isHere ? 'bg-ochre-tint' : ''}`}
    >
      <svg
        className="h-7 w-7 flex-none"
        viewBox="0 0 24 24"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.9"
        aria-hidden="true"
      >
        {place.icon && <path d={place.icon} />}
      </svg>
      <span className="min-w-0 flex-1">{place.name}</span>
      {fact && <span className={`figures text-[18px] ${fact.tone ? TONES[fact.tone] : ''}`}>{fact.text}</span>}
    </Link>
  );
}
