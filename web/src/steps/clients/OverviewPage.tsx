import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { capital, day, weekday } from '../../shared/units';
import { useClientDay } from '../../shared/ui/ClientCautions';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Cautions } from '../../shared/ui/Cautions';
import { Failure } from '../../shared/ui/Findings';
import { next } from '../../shared/client/next';
import { Goals } from './Goals';
import { Lately } from './Lately';
import { LinesNow } from './LinesNow';
import { Notes } from './Notes';

type ClientDay = Schemas['ClientDay'];

/** How a client is doing, before any work begins. */
export function OverviewPage() {
  const { clientId = '' } = useParams();
  const today = useClientDay(clientId).data;
  const overview = useQuery({
    queryKey: ['overview', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/overview', { params: { path: { clientId } } })),
  });
  const o = overview.data;
  return (
    <>
      <ClientHead clientId={clientId} tread="overview" />
      <Failure error={overview.error} />
      {o && today && (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
          <div className="space-y-6">
            {o.archivedAt && (
              <p className="border-l-4 border-ink bg-tread px-3 py-2">
                In the archive since {day(o.archivedAt)}.{' '}
                <Link className="underline" to={`/clients/${clientId}/file`}>
                  The file
                </Link>{' '}
                brings them back.
              </p>
            )}
            <Goals goal={today.goal} goals={o.goals} clientId={clientId} />
            <LinesNow day={today} climbs={o.climbs} />
            <Notes clientId={clientId} notes={o.notes} />
          </div>
          <div className="space-y-6">
            <NextSession day={today} retest={o.retest} />
            <Cautions clientId={clientId} restrictions={today.restrictions} due={today.screeningDue} />
            <Lately overview={o} />
          </div>
        </div>
      )}
    </>
  );
}

function NextSession({ day: client, retest }: { day: ClientDay; retest?: string }) {
  const [to, label] = next(client);
  const today = client.plan.today;
  return (
    <section className="bg-card p-4">
      <h2 className="text-sm text-soft">Next session</h2>
      <p className="text-2xl font-bold">
        {today && !today.over ? 'Today' : client.plan.next ? capital(weekday(client.plan.next)) : 'Not planned'}
        {today && !today.over && <span className="font-normal"> · {today.minutes} min</span>}
      </p>
      {retest && <p className="text-sm text-soft">Re-test week from {day(`${retest}T12:00:00`)}.</p>}
      <div className="mt-3 flex flex-wrap gap-3">
        <Link to={to} className="min-h-11 bg-ink px-5 py-2.5 font-semibold text-paper hover:opacity-90">
          {label}
        </Link>
        <Link to={`/clients/${client.id}/week`} className="py-2.5 font-semibold underline">
          The week
        </Link>
        <Link to={`/clients/${client.id}/file`} className="py-2.5 font-semibold underline">
          The file
        </Link>
      </div>
    </section>
  );
}
