import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { daysAgo } from '../units';
import { Cautions } from './Cautions';

export type Tread = 'meet' | 'measure' | 'prescribe' | 'perform' | 'advance';

const TREADS: [Tread, string, string][] = [
  ['meet', 'Meet', ''],
  ['measure', 'Measure', '/measure'],
  ['prescribe', 'Prescribe', '/prescribe'],
  ['perform', 'Perform', '/perform'],
  ['advance', 'Advance', '/advance'],
];

const RISE_PX = 7;

export function useClientDay(clientId: string) {
  return useQuery({
    queryKey: ['day', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/day', { params: { path: { clientId } } })),
  });
}

/** What must not be done with a client, where the head of their pages is not shown. */
export function ClientCautions({ clientId }: { clientId: string }) {
  const day = useClientDay(clientId);
  return day.data ? (
    <Cautions clientId={clientId} restrictions={day.data.restrictions} due={day.data.screeningDue} />
  ) : null;
}

/** Who it is, what must not be done, and the five treads of the work with where each stands. */
export function ClientHead({ clientId, tread }: { clientId: string; tread?: Tread }) {
  const day = useClientDay(clientId);
  if (day.error) return <p className="font-semibold text-warn">{day.error.message}</p>;
  const lines = day.data?.lines ?? [];
  const judged = lines.filter((l) => !l.trouble);
  const waiting = lines.reduce((n, l) => n + l.waiting, 0);
  const last = judged
    .flatMap((l) => l.lastSession ?? [])
    .sort()
    .at(-1);
  const states: Record<Tread, string> = {
    meet: day.data ? (day.data.screeningDue === 'NOT_DUE' ? 'screened' : 'to be screened') : '',
    measure: day.data ? daysAgo(day.data.lastMeasured) : '',
    prescribe: day.data
      ? lines.length > 0
        ? `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`
        : 'nothing yet'
      : '',
    perform: judged.length > 0 ? (lines.some((l) => l.openRun) ? 'running' : daysAgo(last)) : '',
    advance:
      lines.length === 0
        ? ''
        : judged.length < lines.length
          ? 'cannot be judged'
          : waiting > 0
            ? `${waiting} to decide`
            : 'nothing waits',
  };
  return (
    <header>
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h1 className="text-3xl font-bold">{day.data?.name ?? '…'}</h1>
        <Link className="underline" to={`/clients/${clientId}/week`}>
          Week
        </Link>
        <Link className="underline" to={`/clients/${clientId}/calendar`}>
          Calendar
        </Link>
        <Link className="underline" to={`/clients/${clientId}/report`}>
          Report
        </Link>
      </div>
      <p className="text-soft">{day.data?.goal}</p>
      {day.data && <Cautions clientId={clientId} restrictions={day.data.restrictions} due={day.data.screeningDue} />}
      <nav aria-label="Work with this client" className="mt-3 mb-6 flex items-end overflow-x-auto">
        {TREADS.map(([id, name, path], i) => (
          <Link
            key={id}
            to={`/clients/${clientId}${path}`}
            aria-current={id === tread ? 'step' : undefined}
            style={{ paddingBottom: `${8 + i * RISE_PX}px` }}
            className={`min-w-0 basis-0 grow border-t-[5px] border-r border-r-rule px-1 pt-2 sm:px-3 ${
              id === tread ? 'border-t-ink bg-card' : 'border-t-rule bg-tread text-soft hover:text-ink'
            }`}
          >
            <span className="block text-sm font-semibold sm:text-base">{name}</span>
            <span className="block text-xs sm:text-sm">{states[id] || '\u00a0'}</span>
          </Link>
        ))}
      </nav>
    </header>
  );
}
