import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { Gate } from '../steps/account/Gate';
import { TodayPage } from '../steps/today/TodayPage';
import { NotFound, Shell } from './Shell';

const ClientPage = lazy(() => import('../steps/intake/ClientPage').then((m) => ({ default: m.ClientPage })));
const ClientForm = lazy(() => import('../steps/intake/ClientForm').then((m) => ({ default: m.ClientFormPage })));
const ScreeningPage = lazy(() => import('../steps/intake/ScreeningPage').then((m) => ({ default: m.ScreeningPage })));
const MeasurePage = lazy(() => import('../steps/measure/MeasurePage').then((m) => ({ default: m.MeasurePage })));
const MapPage = lazy(() => import('../steps/measure/MapPage').then((m) => ({ default: m.MapPage })));
const MotionPage = lazy(() => import('../steps/measure/MotionPage').then((m) => ({ default: m.MotionPage })));
const BatteriesPage = lazy(() => import('../steps/measure/BatteriesPage').then((m) => ({ default: m.BatteriesPage })));
const AssessmentPage = lazy(() =>
  import('../steps/measure/AssessmentPage').then((m) => ({ default: m.AssessmentPage })),
);
const NoisePage = lazy(() => import('../steps/measure/NoisePage').then((m) => ({ default: m.NoisePage })));
const StudyPage = lazy(() => import('../steps/measure/StudyPage').then((m) => ({ default: m.StudyPage })));
const PrescribePage = lazy(() =>
  import('../steps/prescribe/PrescribePage').then((m) => ({ default: m.PrescribePage })),
);
const ComposePage = lazy(() =>
  import('../steps/prescribe/compose/ComposePage').then((m) => ({ default: m.ComposePage })),
);
const HandoutPage = lazy(() =>
  import('../steps/prescribe/compose/HandoutPage').then((m) => ({ default: m.HandoutPage })),
);
const LibraryPage = lazy(() =>
  import('../steps/prescribe/library/LibraryPage').then((m) => ({ default: m.LibraryPage })),
);
const DecisionPage = lazy(() => import('../steps/advance/DecisionPage').then((m) => ({ default: m.DecisionPage })));
const FloorPage = lazy(() => import('../steps/perform/FloorPage').then((m) => ({ default: m.FloorPage })));
const ClosePage = lazy(() => import('../steps/perform/ClosePage').then((m) => ({ default: m.ClosePage })));
const PerformPage = lazy(() => import('../steps/perform/PerformPage').then((m) => ({ default: m.PerformPage })));
const AccountsPage = lazy(() => import('../steps/account/AccountsPage').then((m) => ({ default: m.AccountsPage })));
const SharingPage = lazy(() => import('../steps/account/SharingPage').then((m) => ({ default: m.SharingPage })));
const StudioPage = lazy(() => import('../steps/exchange/StudioPage').then((m) => ({ default: m.StudioPage })));

const router = createBrowserRouter([
  { path: '/sessions/:sessionId', element: <FloorPage /> },
  {
    element: <Shell />,
    children: [
      { path: '/', element: <TodayPage /> },
      { path: '/clients/new', element: <ClientForm /> },
      { path: '/clients/:clientId', element: <ClientPage /> },
      { path: '/clients/:clientId/edit', element: <ClientForm /> },
      { path: '/clients/:clientId/screening', element: <ScreeningPage /> },
      { path: '/clients/:clientId/measure', element: <MapPage /> },
      { path: '/clients/:clientId/measure/bench', element: <MeasurePage /> },
      { path: '/clients/:clientId/measure/batteries', element: <BatteriesPage /> },
      { path: '/clients/:clientId/measure/assessments/:assessmentId', element: <AssessmentPage /> },
      { path: '/clients/:clientId/measure/motions/:motion/:position/:instrument', element: <MotionPage /> },
      { path: '/clients/:clientId/prescribe', element: <PrescribePage /> },
      { path: '/clients/:clientId/compose', element: <ComposePage /> },
      { path: '/clients/:clientId/compose/:compositionId', element: <ComposePage /> },
      { path: '/clients/:clientId/compose/:compositionId/handout', element: <HandoutPage /> },
      { path: '/clients/:clientId/perform', element: <PerformPage /> },
      { path: '/clients/:clientId/advance', element: <DecisionPage /> },
      { path: '/sessions/:sessionId/close', element: <ClosePage /> },
      { path: '/clients/:clientId/sharing', element: <SharingPage /> },
      { path: '/library', element: <LibraryPage /> },
      { path: '/noise', element: <NoisePage /> },
      { path: '/noise/:studyId', element: <StudyPage /> },
      { path: '/studio', element: <StudioPage /> },
      { path: '/studio/accounts', element: <AccountsPage /> },
      { path: '*', element: <NotFound /> },
    ],
  },
]);

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Suspense fallback={<p className="p-8 text-soft">One moment…</p>}>
        <Gate>
          <RouterProvider router={router} />
        </Gate>
      </Suspense>
    </QueryClientProvider>
  );
}
