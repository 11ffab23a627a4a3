import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { counted, daysAgo, weekday, words } from '../../shared/units';
import { isTyping } from '../../shared/ui/keys';
import { BeginAssessment } from '../../shared/ui/BeginAssessment';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Flags, Planned } from '../../shared/client/Flags';
import { FromHome } from './FromHome';
import { Mornings } from './Mornings';
import { next } from '../../shared/client/next';

type ClientDay = Schemas['ClientDay'];
/** Who is quiet is found under Clients. */
type Shown = Exclude<ClientDay['state'], 'QUIET'>;

const HEADINGS: Record<Shown, string> = {
  STOP: 'Stopped: a written clearance first',
  DECIDE: 'Waits for your decision',
  DUE: 'Due today',
  AWAY: 'Has gone quiet: a week and more beyond the plan',
  NEW: 'New, not measured or prescribed for yet',
};
const ORDER: Shown[] = ['STOP', 'DECIDE', 'DUE', 'AWAY', 'NEW'];

export function TodayPage() {
  const today = useQuery({ queryKey: ['today'], queryFn: () => ask(api.GET('/api/today')) });
  const list = useRef<HTMLDivElement>(null);
  useArrows(list);
  if (today.error) return <Failure error={today.error} />;
  if (!today.data) return <p className="text-soft">Looking at the day…</p>;
  const { clients, mornings } = today.data;
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_22rem]">
      <div ref={list}>
        <div className="mb-4 flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-3xl font-bold">
            {new Date(today.data.now).toLocaleDateString(undefined, { weekday: 'long', day: 'numeric', month: 'long' })}
          </h1>
          <ButtonLink to="/clients/new">New client</ButtonLink>
        </div>
        {today.data.backupWarning && (
          <p role="alert" className="mb-4 border-l-4 border-warn bg-warn-paper p-3 text-warn">
            ▲ {today.data.backupWarning}{' '}
            <Link className="underline" to="/studio">
              To the studio’s page
            </Link>
          </p>
        )}
        {clients.length === 0 && <FirstStep />}
        {ORDER.map((state) => (
          <Group key={state} state={state} clients={clients.filter((c) => c.state === state)} />
        ))}
        <Quiet clients={clients.filter((c) => c.state === 'QUIET')} all={clients.length} />
      </div>
      <div>
        <FromHome />
        <Mornings mornings={mornings} />
      </div>
    </div>
  );
}

function FirstStep() {
  return (
    <p className="max-w-prose text-lg">
      No client yet. Begin with <strong>New client</strong>: a name and a goal are enough. Or bring a history in from
      files under{' '}
      <Link className="underline" to="/studio">
        Studio
      </Link>
      .
    </p>
  );
}

/** The day is for those who need something; the others are one press away. */
function Quiet({ clients, all }: { clients: ClientDay[]; all: number }) {
  if (clients.length === 0) return null;
  const soonest = clients.map((c) => c.plan.next).filter((d) => d !== undefined);
  return (
    <p className="text-soft">
      {clients.length === all
        ? 'Nobody needs anything today'
        : `Nothing to do today for ${counted(clients.length, 'more client')}`}
      {soonest.length > 0 && `, the next one on ${weekday(soonest.sort()[0] ?? '')}`}.{' '}
      <Link className="font-semibold underline" to="/clients">
        All clients
      </Link>
    </p>
  );
}

function Group({ state, clients }: { state: Shown; clients: ClientDay[] }) {
  if (clients.length === 0) return null;
  return (
    <section className="mb-7">
      <h2 className="mb-2 text-lg text-soft">{HEADINGS[state]}</h2>
      <ul>
        {clients.map((client) => (
          <Row key={client.id} client={client} />
        ))}
      </ul>
    </section>
  );
}

/** Of lines that cannot be judged. */
function troubles(client: ClientDay): Schemas['Finding'][] {
  return client.lines.flatMap((l) => l.trouble ?? []);
}

function Row({ client }: { client: ClientDay }) {
  const [to, label] = next(client);
  const line = client.lines[0];
  const last = client.lines
    .flatMap((l) => l.lastSession ?? [])
    .sort()
    .at(-1);
  const plannedBattery = client.plan.today?.over ? undefined : client.plan.today?.battery;
  const trainDue = client.state === 'DECIDE' && client.lines.some((l) => l.due);
  return (
    <li className="mb-2 grid items-center gap-x-5 gap-y-2 border-l-[6px] border-ink bg-card px-4 py-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_auto]">
      <div>
        <Link to={`/clients/${client.id}`} className="text-xl font-bold hover:underline">
          {client.name}
        </Link>
        <p className="text-sm text-soft">{client.goal}</p>
        <Flags client={client} />
      </div>
      <div>
        {line ? (
          <>
            {line.verdict && <VerdictGlyph verdict={line.verdict} />}
            <p className="text-sm">{line.why}</p>
            <OtherFindings findings={troubles(client)} shown={() => false} />
            <p className="text-sm text-soft">
              {client.lines.length > 1 ? `${client.lines.length} lines: ` : ''}
              {[...new Set(client.lines.map((l) => words(l.motion)))].join(', ')} · last session {daysAgo(last)}
              {trainDue ? ' · session due' : ''}
            </p>
            <Planned plan={client.plan} />
          </>
        ) : (
          <p className="text-soft">Measured: {daysAgo(client.lastMeasured)}. Nothing prescribed yet.</p>
        )}
        {client.retestedAt && (
          <Link to={`/clients/${client.id}/report`} className="font-semibold underline">
            Measured again {daysAgo(client.retestedAt)}: the report is ready
          </Link>
        )}
      </div>
      {client.state === 'DUE' && plannedBattery ? (
        <BeginAssessment clientId={client.id} batteryId={plannedBattery} words="Re-test first" />
      ) : (
        <Link
          to={to}
          data-next=""
          className="min-h-11 bg-ink px-5 py-2.5 text-center font-semibold text-paper hover:opacity-90"
        >
          {label}
        </Link>
      )}
    </li>
  );
}

/** Up and down go from client to client. */
function useArrows(list: React.RefObject<HTMLDivElement | null>) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return;
      const links = [...(list.current?.querySelectorAll<HTMLElement>('[data-next]') ?? [])];
      const at = links.indexOf(document.activeElement as HTMLElement);
      const to = links[at + (event.key === 'ArrowDown' ? 1 : -1)] ?? links[0];
      if (to) {
        event.preventDefault();
        to.focus();
      }
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [list]);
}
