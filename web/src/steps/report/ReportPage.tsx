import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { ToldView } from '../../shared/report/ToldView';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { isTyping } from '../../shared/ui/keys';
import { search, useAsked, type Audience, type Query } from './asked';
import { Choices } from './Choices';
import { Compare } from './Compare';
import { Files } from './Files';
import { Note } from './Note';
import { SendLink } from './SendLink';

/** What weeks of work came to: the choices beside the report as it will be read. */
export function ReportPage() {
  const { clientId = '' } = useParams();
  const [asked, change] = useAsked();
  useReportKeys(change);
  const complete = asked.period !== 'DATES' || (asked.from !== undefined && asked.to !== undefined);
  const report = useQuery({
    queryKey: ['report', clientId, search(asked).toString()],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/report', { params: { path: { clientId }, query: asked } })),
    enabled: complete,
    placeholderData: keepPreviousData,
  });
  const findings = findingsOf(report.error);
  return (
    <>
      <div className="no-print">
        <ClientHead clientId={clientId} />
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[19rem_minmax(0,1fr)]">
        <aside className="no-print space-y-6" aria-label="Choices">
          <Choices asked={asked} change={change} findings={findings} days={report.data?.days} />
          {report.data && <Note key={report.data.noteAt ?? ''} clientId={clientId} view={report.data} />}
          <Files clientId={clientId} asked={asked} />
          <SendLink clientId={clientId} asked={asked} />
        </aside>
        <div>
          <Failure error={report.error} />
          {report.isPending && complete && <p className="text-soft">Working it out…</p>}
          {!complete && <p className="text-lg">Pick the first and the last day.</p>}
          {report.data && <Told view={report.data} clientId={clientId} />}
        </div>
      </div>
    </>
  );
}

function Told({ view, clientId }: { view: Schemas['ReportView']; clientId: string }) {
  return (
    <>
      <ToldView told={view.told} toMeasure={(m) => <MeasureLink clientId={clientId} what={m} />} />
      <Compare clientId={clientId} blocks={view.blocks} />
    </>
  );
}

function MeasureLink({ clientId, what }: { clientId: string; what: Schemas['ToMeasure'] }) {
  const { motion, position, instrument, side, mode } = what;
  const query = new URLSearchParams({ motion, position, instrument, side, mode });
  return (
    <Link className="no-print font-semibold text-ink underline" to={`/clients/${clientId}/measure/bench?${query}`}>
      Measure it
    </Link>
  );
}

const KEYS: Record<string, Audience> = { c: 'CLIENT', k: 'COACH', o: 'PROFESSIONAL' };

function useReportKeys(change: (part: Partial<Query>) => void) {
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
      const audience = KEYS[e.key];
      if (audience) change({ audience });
      else if (e.key === 'p') print();
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  });
}
