import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider, type RouteObject } from 'react-router';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { keepClock } from './ledger/clock.ts';
import { RouteError } from './frame/RouteError.tsx';
import './style.css';

/** Each place is fetched when it is first gone to. */
const place = (path: string, load: () => Promise<{ Place: () => React.ReactNode }>): RouteObject => ({
  path,
  lazy: async () => ({ Component: (await load()).Place }),
  errorElement: <RouteError />,
});

/** Stands there while the first place is fetched. */
const Opening = () => <p className="p-6 text-ink2">Opening…</p>;

const router = createBrowserRouter([
  { ...place('/', () => import('./features/sites/SitesPlace.tsx')), HydrateFallback: Opening },
  { ...place('/crew/:token/:name?', () => import('./features/crew/CrewPlace.tsx')), HydrateFallback: Opening },
  {
    path: '/sites/:site',
    lazy: async () => ({ Component: (await import('./site/SiteDoor.tsx')).SiteDoor }),
    HydrateFallback: Opening,
    errorElement: <RouteError />,
    children: [
      { index: true, element: <Navigate to="today" replace /> },
      place('today', () => import('./features/today/TodayPlace.tsx')),
      place('control', () => import('./features/control/ControlPlace.tsx')),
      place('design', () => import('./features/design/DesignPlace.tsx')),
      place('station', () => import('./features/station/StationPlace.tsx')),
      place('prove', () => import('./features/prove/ProvePlace.tsx')),
      place('mark', () => import('./features/mark/MarkPlace.tsx')),
      place('mark/line', () => import('./features/structure/LinePlace.tsx')),
      place('mark/road', () => import('./features/road/RoadPlace.tsx')),
      place('mark/receiver', () => import('./features/paired/PairedPlace.tsx')),
      place('mark/columns', () => import('./features/structure/ColumnsPlace.tsx')),
      place('mark/as-built', () => import('./features/structure/AsBuiltPlace.tsx')),
      place('hand-over', () => import('./features/handover/HandOverPlace.tsx')),
      place('hand-over/stakes', () => import('./features/handover/StakesPlace.tsx')),
      place('hand-over/sketch', () => import('./features/handover/SketchPlace.tsx')),
      place('hand-over/crew', () => import('./features/handover/CrewLinksPlace.tsx')),
      place('hand-over/tape', () => import('./features/handover/TapePlace.tsx')),
      place('hand-over/writing', () => import('./features/handover/WritingPlace.tsx')),
      place('hand-over/files', () => import('./features/handover/FilesPlace.tsx')),
      place('field-book', () => import('./features/fieldbook/FieldBookPlace.tsx')),
      place('field-book/day', () => import('./features/fieldbook/DayPlace.tsx')),
      place('field-book/close', () => import('./features/fieldbook/ClosePlace.tsx')),
    ],
  },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

await keepClock();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
