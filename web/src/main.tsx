import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider, type RouteObject } from 'react-router';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { msg } from '@idle-marker/words';
import { keepClock } from './data/clock.ts';
import { RouteError } from './frame/RouteError.tsx';
import { fetchAllParts, fetchedPart, moduleFrom } from './ui/fetchedPart.tsx';
import './style.css';

const CREW = '/crew/:token/:name?';

/** Stands there while a place is fetched. */
const opening = () => <p className="p-6 text-ink2">{msg('frame.opening')}</p>;

const place = (path: string, name: () => string, load: () => Promise<{ Place: ComponentType }>): RouteObject => ({
  path,
  Component: fetchedPart(name, async (elsewhere) => (await moduleFrom(load, elsewhere)).Place, opening),
  errorElement: <RouteError />,
});

const router = createBrowserRouter([
  place(
    '/',
    () => msg('frame.theListOfSites'),
    () => import('./features/sites/SitesPlace.tsx'),
  ),
  place(
    CREW,
    () => msg('frame.theCrewsPage'),
    () => import('./features/crew/CrewPlace.tsx'),
  ),
  {
    path: '/sites/:site',
    Component: fetchedPart(
      () => msg('frame.theSite'),
      async (elsewhere) => (await moduleFrom(() => import('./frame/SiteDoor.tsx'), elsewhere)).SiteDoor,
      opening,
    ),
    errorElement: <RouteError />,
    children: [
      { index: true, element: <Navigate to="today" replace /> },
      place(
        'today',
        () => msg('frame.today'),
        () => import('./features/today/TodayPlace.tsx'),
      ),
      place(
        'control',
        () => msg('common.control'),
        () => import('./features/control/ControlPlace.tsx'),
      ),
      place(
        'design',
        () => msg('common.work'),
        () => import('./features/design/DesignPlace.tsx'),
      ),
      place(
        'station',
        () => msg('common.station'),
        () => import('./features/station/StationPlace.tsx'),
      ),
      place(
        'prove',
        () => msg('common.prove'),
        () => import('./features/prove/ProvePlace.tsx'),
      ),
      place(
        'mark',
        () => msg('common.mark'),
        () => import('./features/mark/MarkPlace.tsx'),
      ),
      place(
        'mark/line',
        () => msg('common.onALine'),
        () => import('./features/structure/LinePlace.tsx'),
      ),
      place(
        'mark/road',
        () => msg('frame.alongARoad'),
        () => import('./features/road/RoadPlace.tsx'),
      ),
      place(
        'mark/receiver',
        () => msg('frame.withAReceiver'),
        () => import('./features/paired/PairedPlace.tsx'),
      ),
      place(
        'mark/columns',
        () => msg('frame.columns'),
        () => import('./features/structure/ColumnsPlace.tsx'),
      ),
      place(
        'mark/as-built',
        () => msg('common.asBuilt'),
        () => import('./features/structure/AsBuiltPlace.tsx'),
      ),
      place(
        'hand-over',
        () => msg('frame.cutSheets'),
        () => import('./features/handover/HandOverPlace.tsx'),
      ),
      place(
        'hand-over/stakes',
        () => msg('frame.stakes'),
        () => import('./features/handover/StakesPlace.tsx'),
      ),
      place(
        'hand-over/sketch',
        () => msg('common.sketch'),
        () => import('./features/handover/SketchPlace.tsx'),
      ),
      place(
        'hand-over/crew',
        () => msg('common.crewPage'),
        () => import('./features/handover/CrewLinksPlace.tsx'),
      ),
      place(
        'hand-over/tape',
        () => msg('common.tapeItBack'),
        () => import('./features/handover/TapePlace.tsx'),
      ),
      place(
        'hand-over/writing',
        () => msg('common.howStakesAreWritten'),
        () => import('./features/handover/WritingPlace.tsx'),
      ),
      place(
        'hand-over/files',
        () => msg('frame.files'),
        () => import('./features/handover/FilesPlace.tsx'),
      ),
      place(
        'field-book',
        () => msg('common.fieldBook'),
        () => import('./features/fieldbook/FieldBookPlace.tsx'),
      ),
      place(
        'field-book/day',
        () => msg('frame.pagesOfTheFieldBook'),
        () => import('./features/fieldbook/DayPlace.tsx'),
      ),
      place(
        'field-book/close',
        () => msg('common.closeTheDay'),
        () => import('./features/fieldbook/ClosePlace.tsx'),
      ),
    ],
  },
]);

// The server may be on this very device, or on the site's own network: a browser that takes itself for offline asks all
// the same.
const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false, networkMode: 'always' } },
});

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
    // Where the server is away just now they come when they are first needed.
    const later = () => undefined;
    void import('./drawings/drawings.ts').then(({ wakeDrawings }) => wakeDrawings(), later);
    void import('./reading/lists.ts').then(({ wakeLists }) => wakeLists(), later);
    void fetchAllParts();
  }, SOON_MS);
