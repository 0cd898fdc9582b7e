import { NavLink } from 'react-router';
import { HAND_OVER } from '../../frame/places.ts';
import { useSite } from '../../site/SiteContext.tsx';

/** What is handed over: sheets, what stands on the stakes, the sketch, the crew's page, and how stakes are written. */
export function HandOverWays() {
  const { id } = useSite();
  return (
    <nav aria-label="What is handed over" className="flex flex-none overflow-x-auto border-b border-ink bg-paper px-3">
      {HAND_OVER.map(({ path, name }) => (
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
