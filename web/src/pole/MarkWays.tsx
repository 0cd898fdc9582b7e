import { NavLink } from 'react-router';
import { msg, worded } from '@idle-marker/words';
import { placesAtThePole, placeWithReceiver } from '../site/places.ts';
import { useSite } from '../site/SiteContext.tsx';

const wayList = worded(() => [{ path: 'mark', name: msg('pole.layoutPoints') }, ...placesAtThePole()]);
/** Without a place of the instrument only these two can be done. */
const placesForHeightsAlone = worded(() => [
  placeWithReceiver(),
  ...placesAtThePole().filter(({ path }) => path === 'mark/road'),
]);

/** What is done at the pole: marks are set, lines are read, columns and other work are measured as they stand. */
export function MarkWays({ className = '-mx-[18px] -mt-3 mb-2' }: { readonly className?: string }) {
  const { id, occupation } = useSite();
  const ways = occupation?.body.method === 'heightOnly' ? placesForHeightsAlone() : wayList();
  return (
    <nav
      aria-label={msg('pole.whatIsDoneAtThePole')}
      className={`flex flex-wrap border-b border-rule px-[10px] ${className}`}
    >
      {ways.map(({ path, name }) => (
        <NavLink
          key={path}
          end
          to={`/sites/${id}/${path}`}
          className={({ isActive }) =>
            `flex min-h-11 items-center px-2 text-[15px] whitespace-nowrap ${isActive ? 'border-b-4 border-spruce font-semibold' : 'border-b-4 border-transparent text-ink2'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
