import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { BrowserRouter, Link, Route, Routes } from 'react-router';
import { Door } from '../steps/home/Door';
import { PlanPage } from '../steps/home/PlanPage';
import { TapePage } from '../steps/home/TapePage';

const FloorPage = lazy(() => import('../steps/perform/floor/FloorPage').then((m) => ({ default: m.FloorPage })));
const ClosePage = lazy(() => import('../steps/perform/record/ClosePage').then((m) => ({ default: m.ClosePage })));

function Pages() {
  return (
    <Routes>
      <Route path="/" element={<PlanPage />} />
      <Route path="/runs/:runId" element={<FloorPage />} />
      <Route
        path="/runs/:runId/close"
        element={
          <main className="mx-auto max-w-3xl px-4 py-5">
            <ClosePage />
          </main>
        }
      />
      <Route path="/measure/:motion" element={<TapePage />} />
      <Route
        path="*"
        element={
          <p className="p-6">
            There is nothing here.{' '}
            <Link className="underline" to="/">
              To my training
            </Link>
          </p>
        }
      />
    </Routes>
  );
}

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

/** A client's pages: nothing of the studio is in them. */
export function HomeApp() {
  return (
    <QueryClientProvider client={queries}>
      <Suspense fallback={<p className="p-6 text-soft">One moment…</p>}>
        <Door>
          <BrowserRouter basename="/home">
            <Pages />
          </BrowserRouter>
        </Door>
      </Suspense>
    </QueryClientProvider>
  );
}
