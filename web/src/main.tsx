import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider, type RouteObject } from 'react-router';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { keepClock } from './data/clock.ts';
import { wakeDrawings } from './drawings/drawings.ts';
import { wakeLists } from './reading/lists.ts';
import { RouteError } from './frame/RouteError.tsx';
import { fetchAllParts, fetchedPart, moduleFrom } from './ui/fetchedPart.tsx';
import './style.css';

const CREW = '/crew/:token/:name?';

/** Stands there while a place is fetched. */
const opening = <p className="p-6 text-ink2">Opening…</p>;

const place = (path: string, name: string, load: () => Promise<{ Place: ComponentType }>): RouteObject => ({
  path,
  Component: fetchedPart(name, async (elsewhere) => (await moduleFrom(load, elsewhere)).Place, opening),
  errorElement: <RouteError />,
});

const router = createBrowserRouter([
  place('/', 'The list of sites', () => import('./features/sites/SitesPlace.tsx')),
  place(CREW, 'The crew’s page', () => import('./features/crew/CrewPlace.tsx')),
  {
    path: '/sites/:site',
    Component: fetchedPart('The site', async (elsewhere) => (await moduleFrom(() => import('./frame/SiteDoor.tsx'), elsewhere)).SiteDoor, opening),
    errorElement: <RouteError />,
    children: [
      { index: true, element: <Navigate to="today" replace /> },
      place('today', 'Today', () => import('./features/today/TodayPlace.tsx')),
      place('control', 'Control', () => import('./features/control/ControlPlace.tsx')),
      place('design', 'Work', () => import('./features/design/DesignPlace.tsx')),
      place('station', 'Station', () => import('./features/station/StationPlace.tsx')),
      place('prove', 'Prove', () => import('./features/prove/ProvePlace.tsx')),
      place('mark', 'Mark', () => import('./features/mark/MarkPlace.tsx')),
      place('mark/line', 'On a line', () => import('./features/structure/LinePlace.tsx')),
      place('mark/road', 'Along a road', () => import('./features/road/RoadPlace.tsx')),
      place('mark/receiver', 'With a receiver', () => import('./features/paired/PairedPlace.tsx')),
      place('mark/columns', 'Columns', () => import('./features/structure/ColumnsPlace.tsx')),
      place('mark/as-built', 'As built', () => import('./features/structure/AsBuiltPlace.tsx')),
      place('hand-over', 'Cut sheets', () => import('./features/handover/HandOverPlace.tsx')),
      place('hand-over/stakes', 'Stakes', () => import('./features/handover/StakesPlace.tsx')),
      place('hand-over/sketch', 'Sketch', () => import('./features/handover/SketchPlace.tsx')),
      place('hand-over/crew', 'Crew page', () => import('./features/handover/CrewLinksPlace.tsx')),
      place('hand-over/tape', 'Tape it back', () => import('./features/handover/TapePlace.tsx')),
      place('hand-over/writing', 'How stakes are written', () => import('./features/handover/WritingPlace.tsx')),
      place('hand-over/files', 'Files', () => import('./features/handover/FilesPlace.tsx')),
      place('field-book', 'Field book', () => import('./features/fieldbook/FieldBookPlace.tsx')),
      place('field-book/day', 'Pages of the field book', () => import('./features/fieldbook/DayPlace.tsx')),
      place('field-book/close', 'Close the day', () => import('./features/fieldbook/ClosePlace.tsx')),
    ],
  },
]);

// The server may be on this very device, or on the site's own network: a browser that takes itself for offline asks all the same.
const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false, networkMode: 'always' } } });

await keepClock();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);

/** So long after the first screen, whatever else the device has to do. */
const SOON_MS = 1500;
// A crew's phone on a mobile network wants its one page.
if (!location.pathname.startsWith('/crew/'))
  setTimeout(() => {
    wakeDrawings();
    wakeLists();
    void fetchAllParts();
  }, SOON_MS);
