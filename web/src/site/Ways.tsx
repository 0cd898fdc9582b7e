import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useSite } from './SiteContext.tsx';
import type { Place } from './places.ts';

interface WaysProps {
  readonly label: string;
  readonly ways: readonly Pick<Place, 'path' | 'name'>[];
}

/** The parts of a place that has several, one beside the other. */
export function Ways({ label, ways }: WaysProps) {
  const { id } = useSite();
  const { pathname } = useLocation();
  const bar = useRef<HTMLElement>(null);
  // On a phone the bar is wider than the screen: the part one is at stays in view.
  useEffect(() => {
    bar.current?.querySelector('[aria-current=page]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  return (
    <nav
      ref={bar}
      aria-label={label}
      className="flex flex-none flex-wrap border-b border-ink bg-paper px-3 print:hidden"
    >
      {ways.map(({ path, name }) => (
        <NavLink
          key={path}
          end
          to={`/sites/${id}/${path}`}
          className={({ isActive }) =>
            `flex min-h-11 items-center px-3 text-[15px] whitespace-nowrap ${isActive ? 'border-b-4 border-spruce font-semibold' : 'border-b-4 border-transparent text-ink2'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
