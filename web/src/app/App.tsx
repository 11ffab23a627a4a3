import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Gate } from '../steps/account/Gate';
import { TodayPage } from '../steps/today/TodayPage';
import { NotFound, Shell } from './Shell';
import { ProblemError } from '../shared/api/client';

const ClientsPage = lazy(() => import('../steps/clients/ClientsPage').then((m) => ({ default: m.ClientsPage })));
const OverviewPage = lazy(() => import('../steps/clients/OverviewPage').then((m) => ({ default: m.OverviewPage })));
const FilePage = lazy(() => import('../steps/intake/FilePage').then((m) => ({ default: m.FilePage })));
const NewClientPage = lazy(() => import('../steps/intake/NewClientPage').then((m) => ({ default: m.NewClientPage })));
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
const PositionPage = lazy(() =>
  import('../steps/prescribe/position/PositionPage').then((m) => ({ default: m.PositionPage })),
);
const LibraryPage = lazy(() =>
  import('../steps/prescribe/library/LibraryPage').then((m) => ({ default: m.LibraryPage })),
);
const DecisionPage = lazy(() => import('../steps/advance/DecisionPage').then((m) => ({ default: m.DecisionPage })));
const QueuePage = lazy(() => import('../steps/advance/QueuePage').then((m) => ({ default: m.QueuePage })));
const PolicyPage = lazy(() => import('../steps/advance/PolicyPage').then((m) => ({ default: m.PolicyPage })));
const BacktestPage = lazy(() => import('../steps/advance/BacktestPage').then((m) => ({ default: m.BacktestPage })));
const WhyPage = lazy(() => import('../steps/advance/WhyPage').then((m) => ({ default: m.WhyPage })));
const RehearsalPage = lazy(() => import('../steps/advance/RehearsalPage').then((m) => ({ default: m.RehearsalPage })));
const FloorPage = lazy(() => import('../steps/perform/floor/FloorPage').then((m) => ({ default: m.FloorPage })));
const ClosePage = lazy(() => import('../steps/perform/record/ClosePage').then((m) => ({ default: m.ClosePage })));
const ReplayPage = lazy(() => import('../steps/perform/record/ReplayPage').then((m) => ({ default: m.ReplayPage })));
const PerformPage = lazy(() => import('../steps/perform/floor/PerformPage').then((m) => ({ default: m.PerformPage })));
const WeekPage = lazy(() => import('../steps/schedule/WeekPage').then((m) => ({ default: m.WeekPage })));
const CalendarPage = lazy(() => import('../steps/schedule/CalendarPage').then((m) => ({ default: m.CalendarPage })));
const MonthPage = lazy(() => import('../steps/schedule/MonthPage').then((m) => ({ default: m.MonthPage })));
const ReportPage = lazy(() => import('../steps/report/ReportPage').then((m) => ({ default: m.ReportPage })));
const StudioReportPage = lazy(() =>
  import('../steps/report/StudioReportPage').then((m) => ({ default: m.StudioReportPage })),
);
const LinksPage = lazy(() => import('../steps/home/LinksPage').then((m) => ({ default: m.LinksPage })));
const AccountsPage = lazy(() => import('../steps/account/AccountsPage').then((m) => ({ default: m.AccountsPage })));
const SharingPage = lazy(() => import('../steps/account/SharingPage').then((m) => ({ default: m.SharingPage })));
const StudioPage = lazy(() => import('../steps/exchange/StudioPage').then((m) => ({ default: m.StudioPage })));

function Pages() {
  return (
    <Routes>
      <Route path="/runs/:runId" element={<FloorPage />} />
      <Route path="/runs/:runId/replay" element={<ReplayPage />} />
      <Route element={<Shell />}>
        <Route path="/" element={<TodayPage />} />
        <Route path="/clients" element={<ClientsPage />} />
        <Route path="/clients/new" element={<NewClientPage />} />
        <Route path="/clients/:clientId" element={<OverviewPage />} />
        <Route path="/clients/:clientId/file" element={<FilePage />} />
        <Route path="/clients/:clientId/screening" element={<ScreeningPage />} />
        <Route path="/clients/:clientId/measure" element={<MapPage />} />
        <Route path="/clients/:clientId/measure/bench" element={<MeasurePage />} />
        <Route path="/clients/:clientId/measure/batteries" element={<BatteriesPage />} />
        <Route path="/clients/:clientId/measure/assessments/:assessmentId" element={<AssessmentPage />} />
        <Route path="/clients/:clientId/measure/motions/:motion/:position/:instrument" element={<MotionPage />} />
        <Route path="/clients/:clientId/prescribe" element={<PrescribePage />} />
        <Route path="/clients/:clientId/compose" element={<ComposePage />} />
        <Route path="/clients/:clientId/compose/:sessionId" element={<ComposePage />} />
        <Route path="/clients/:clientId/compose/:sessionId/handout" element={<HandoutPage />} />
        <Route path="/clients/:clientId/perform" element={<PerformPage />} />
        <Route path="/clients/:clientId/week" element={<WeekPage />} />
        <Route path="/clients/:clientId/week/:monday" element={<WeekPage />} />
        <Route path="/clients/:clientId/calendar" element={<CalendarPage />} />
        <Route path="/clients/:clientId/report" element={<ReportPage />} />
        <Route path="/month" element={<MonthPage />} />
        <Route path="/month/:month" element={<MonthPage />} />
        <Route path="/clients/:clientId/home" element={<LinksPage />} />
        <Route path="/clients/:clientId/advance" element={<DecisionPage />} />
        <Route path="/runs/:runId/close" element={<ClosePage />} />
        <Route path="/clients/:clientId/sharing" element={<SharingPage />} />
        <Route path="/decisions" element={<QueuePage />} />
        <Route path="/rules" element={<PolicyPage />} />
        <Route path="/rules/backtest" element={<BacktestPage />} />
        <Route path="/rules/rehearsal" element={<RehearsalPage />} />
        <Route path="/rules/why" element={<WhyPage />} />
        <Route path="/library" element={<LibraryPage />} />
        <Route path="/library/:positionId" element={<PositionPage />} />
        <Route path="/noise" element={<NoisePage />} />
        <Route path="/noise/:studyId" element={<StudyPage />} />
        <Route path="/studio/report" element={<StudioReportPage />} />
        <Route path="/studio" element={<StudioPage />} />
        <Route path="/studio/accounts" element={<AccountsPage />} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}

/** No answer is asked for once more; a refusal is an answer. */
function once(failures: number, error: Error): boolean {
  const refused = error instanceof ProblemError && error.status >= 400 && error.status < 500;
  return failures < 1 && !refused;
}

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: once, staleTime: 2_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Suspense fallback={<p className="p-8 text-soft">One moment…</p>}>
        <Gate>
          <BrowserRouter>
            <Pages />
          </BrowserRouter>
        </Gate>
      </Suspense>
    </QueryClientProvider>
  );
}
