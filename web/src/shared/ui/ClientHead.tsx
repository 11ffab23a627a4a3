import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { daysAgo } from '../units';
import { CautionMarks } from './CautionMarks';
import { useClientDay } from './ClientCautions';

export type Tread = 'overview' | 'meet' | 'measure' | 'prescribe' | 'perform' | 'advance';

const TREADS: [Tread, string, string][] = [
  ['meet', 'Meet', '/file'],
  ['measure', 'Measure', '/measure'],
  ['prescribe', 'Prescribe', '/prescribe'],
  ['perform', 'Perform', '/perform'],
  ['advance', 'Advance', '/advance'],
];

const BESIDE: [string, string][] = [
  ['Week', '/week'],
  ['Calendar', '/calendar'],
  ['Report', '/report'],
];

const RISE_PX = 3;

/** One row: who it is, what must not be done, and the five treads of the work with where each stands. */
export function ClientHead({ clientId, tread }: { clientId: string; tread?: Tread }) {
  const day = useClientDay(clientId);
  if (day.error) return <p className="font-semibold text-warn">{day.error.message}</p>;
  const states = day.data ? statesOf(day.data) : null;
  return (
    <header className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-1">
      <div className="min-w-0">
        <h1 className="text-2xl leading-tight font-bold">
          <Link className="hover:underline" to={`/clients/${clientId}`}>
            {day.data?.name ?? '…'}
          </Link>
        </h1>
        <p className="flex gap-x-4 text-sm">
          {BESIDE.map(([name, path]) => (
            <Link key={name} className="py-0.5 underline" to={`/clients/${clientId}${path}`}>
              {name}
            </Link>
          ))}
        </p>
      </div>
      {day.data && (
        <CautionMarks clientId={clientId} restrictions={day.data.restrictions} due={day.data.screeningDue} />
      )}
      <nav aria-label="Work with this client" className="flex grow basis-96 items-end overflow-x-auto">
        {TREADS.map(([id, name, path], i) => (
          <Link
            key={id}
            to={`/clients/${clientId}${path}`}
            aria-current={id === tread ? 'step' : undefined}
            style={{ paddingBottom: `${2 + i * RISE_PX}px` }}
            className={`min-w-0 basis-0 grow border-t-4 border-r border-r-rule px-1 pt-0.5 leading-tight sm:px-3 ${
              id === tread ? 'border-t-ink bg-card' : 'border-t-rule bg-tread text-soft hover:text-ink'
            }`}
          >
            <span className="block text-sm font-semibold">{name}</span>
            <span className="block truncate text-xs">{states?.[id] || '\u00a0'}</span>
          </Link>
        ))}
      </nav>
    </header>
  );
}

function statesOf(day: Schemas['ClientDay']): Partial<Record<Tread, string>> {
  const judged = day.lines.filter((l) => !l.trouble);
  const waiting = day.lines.reduce((n, l) => n + l.waiting, 0);
  const last = judged
    .flatMap((l) => l.lastSession ?? [])
    .sort()
    .at(-1);
  const lines = `${day.lines.length} ${day.lines.length === 1 ? 'line' : 'lines'}`;
  const screened = { meet: day.screeningDue === 'NOT_DUE' ? 'screened' : 'to be screened' };
  const measured = { ...screened, measure: daysAgo(day.lastMeasured) };
  if (day.lines.length === 0) return { ...measured, prescribe: 'nothing yet' };
  const advance = judged.length < day.lines.length ? 'cannot be judged' : waiting > 0 ? `${waiting} to decide` : '';
  return {
    ...measured,
    prescribe: lines,
    perform: judged.length === 0 ? '' : day.lines.some((l) => l.openRun) ? 'running' : daysAgo(last),
    advance: advance || 'nothing waits',
  };
}
