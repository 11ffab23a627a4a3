import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { DUE, grouped } from '../../shared/restrictions';
import { api, ask, type Schemas } from '../../shared/api/client';
import { VerdictGlyph } from '../../shared/draw/VerdictGlyph';
import { daysAgo, timeOf, weekday, words } from '../../shared/units';
import { isTyping } from '../../shared/ui/keys';
import { BeginAssessment } from '../../shared/ui/BeginAssessment';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { FromHome } from './FromHome';
import { Mornings } from './Mornings';

type ClientDay = Schemas['ClientDay'];

const HEADINGS: Record<ClientDay['state'], string> = {
  STOP: 'Stopped, needs your word first',
  DECIDE: 'Waits for your decision',
  DUE: 'Due today',
  AWAY: 'Has gone quiet: a week and more beyond the plan',
  NEW: 'New, not measured or prescribed for yet',
  QUIET: 'Nothing waits',
};
const ORDER: ClientDay['state'][] = ['STOP', 'DECIDE', 'DUE', 'AWAY', 'NEW', 'QUIET'];

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

function Group({ state, clients }: { state: ClientDay['state']; clients: ClientDay[] }) {
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

/** The one thing that this client waits for. */
function next(client: ClientDay): [string, string] {
  const line = client.lines.find((l) => l.openRun) ?? client.lines[0];
  if (line?.openRun) return [`/runs/${line.openRun}`, 'Go on with the session'];
  if (line?.trouble && client.lines.every((l) => l.waiting === 0)) {
    return [`/clients/${client.id}/prescribe`, 'Prescribe'];
  }
  if (client.state === 'STOP' || client.state === 'DECIDE') return [`/clients/${client.id}/advance`, 'Decide'];
  if (client.state === 'NEW') {
    return client.lastMeasured
      ? [`/clients/${client.id}/prescribe`, 'Prescribe']
      : [`/clients/${client.id}/measure`, 'Measure'];
  }
  if (client.state === 'AWAY') return [`/clients/${client.id}/week`, 'Look at the week'];
  return [`/clients/${client.id}/perform`, client.state === 'DUE' ? 'Start session' : 'Look'];
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

/** When they come, what is planned today, or when the next day is. */
function Planned({ plan }: { plan: ClientDay['plan'] }) {
  const { today } = plan;
  const said = [
    plan.appointment ? `comes at ${timeOf(plan.appointment)}` : null,
    today ? `${today.over ? 'done' : `${today.minutes} min planned`} today` : null,
    plan.next ? `next ${weekday(plan.next)}` : null,
  ].filter((s) => s !== null);
  return said.length > 0 ? <p className="text-sm font-semibold">{said.join(' · ')}</p> : null;
}

function Flags({ client }: { client: ClientDay }) {
  const pain = Math.max(0, ...client.lines.map((l) => l.recentPain ?? 0));
  const flags = [
    pain > 0 ? `pain ${pain}/10 this week` : null,
    DUE[client.screeningDue]?.toLowerCase() ?? null,
    ...grouped(client.restrictions).map((g) =>
      [g.place, g.heads.map((h) => h.toLowerCase()).join(', ')].filter(Boolean).join(': '),
    ),
  ].filter((f) => f !== null);
  return flags.length > 0 ? <p className="mt-1 text-sm font-semibold text-warn">▲ {flags.join(' · ')}</p> : null;
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
