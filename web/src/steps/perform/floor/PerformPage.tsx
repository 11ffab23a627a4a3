import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { hasFirst, api, ask, findingsOf, newId, type Schemas } from '../../../shared/api/client';
import { sideWords, trainedSides } from '../../../shared/sides';
import { daysAgo, words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { useClientDay } from '../../../shared/ui/ClientCautions';
import { ClientHead } from '../../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../../shared/ui/Findings';
import { usePositionName } from '../../../shared/ui/useCatalogue';
import { sideWords as sideSetUp } from '../setUp';
import { StopRules } from '../StopRules';

type Session = Schemas['CurrentSession'];
type Line = Schemas['CurrentLine'];
type Day = Schemas['LineDay'];

/** Before the session: what to prepare, the stop rules, one button. What is open or due apparatus first. */
export function PerformPage() {
  const { clientId = '' } = useParams();
  const path = { params: { path: { clientId } } };
  const sessions = useQuery({
    queryKey: ['sessions', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/sessions', path)),
  });
  const lines = useQuery({
    queryKey: ['lines', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/lines', path)),
  });
  const days = useClientDay(clientId).data?.lines;
  const order = sessions.data && days && [...sessions.data].sort((a, b) => urgency(b, days) - urgency(a, days));
  const [first, ...others] = order ?? [];
  return (
    <>
      <ClientHead clientId={clientId} tread="perform" />
      <Failure error={sessions.error ?? lines.error} />
      {order?.length === 0 && (
        <p className="text-lg">
          There is nothing to run yet.{' '}
          <Link className="font-semibold underline" to={`/clients/${clientId}/prescribe`}>
            Prescribe
          </Link>{' '}
          first.
        </p>
      )}
      {first && lines.data && days && <Ready clientId={clientId} session={first} lines={lines.data} days={days} />}
      {others.length > 0 && days && <Others clientId={clientId} sessions={others} days={days} />}
      {lines.data && lines.data.length > 1 && <Alone lines={lines.data} />}
      <p className="mt-8">
        <Link className="font-semibold underline" to={`/clients/${clientId}/home`}>
          Links for home
        </Link>{' '}
        <span className="text-soft">so that the client runs it on their own phone</span>
      </p>
    </>
  );
}

function daysOf(session: Session, days: Day[]): Day[] {
  const ids = session.draft.stations.flatMap((s) => s.lines.map((l) => l.id));
  return days.filter((d) => ids.includes(d.lineId));
}

function urgency(session: Session, days: Day[]): number {
  const own = daysOf(session, days);
  return own.some((d) => d.openRun) ? 2 : own.some((d) => d.due) ? 1 : 0;
}

function useStart(clientId: string) {
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (sessionId: string) =>
      ask(
        api.POST('/api/clients/{clientId}/sessions/{sessionId}/runs', {
          params: { path: { clientId, sessionId } },
          body: { id: newId() },
        }),
      ),
    onSuccess: (floor) => navigate(`/runs/${floor.id}`),
  });
}

type ReadyProps = { clientId: string; session: Session; lines: Line[]; days: Day[] };

function Ready({ clientId, session, lines, days }: ReadyProps) {
  const start = useStart(clientId);
  const own = daysOf(session, days);
  const open = own.some((d) => d.openRun);
  const order = session.draft.stations.flatMap((s) => s.lines.map((l) => l.id));
  return (
    <div className="grid gap-8 md:grid-cols-2">
      <section>
        <h2 className="text-xl font-bold">
          {open ? 'Open' : own.some((d) => d.due) ? 'Due' : 'Next'}: {session.name}
        </h2>
        <p className="mb-4 text-soft">
          last session{' '}
          {daysAgo(
            own
              .flatMap((d) => d.lastSession ?? [])
              .sort()
              .at(-1),
          )}
        </p>
        <table className="mb-5 w-full text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th className="font-normal">prepare</th>
              <th className="font-normal">side</th>
              <th className="font-normal">set-up</th>
            </tr>
          </thead>
          <tbody>
            {order.map((id) => {
              const line = lines.find((l) => l.line.id === id);
              return line && <SetUps key={id} current={line} />;
            })}
          </tbody>
        </table>
        <Failure error={start.error} />
        <OtherFindings findings={[...session.troubles, ...findingsOf(start.error)]} shown={() => false} />
        <Button
          look="main"
          className="min-h-16 w-full text-2xl"
          onClick={() => start.mutate(session.id)}
          disabled={start.isPending}
        >
          {open ? 'Continue the open session' : 'Open the floor'}
        </Button>
      </section>
      <StopRules />
    </div>
  );
}

function SetUps({ current }: { current: Line }) {
  const { line, plan } = current;
  const positionName = usePositionName(line.position);
  const sides = trainedSides(plan);
  return sides.map((side, i) => (
    <tr key={side} className="border-t border-rule text-lg">
      {i === 0 && (
        <th rowSpan={sides.length} className="py-2 pr-3 align-top font-normal">
          {words(line.motion)}
          <span className="block text-sm text-soft">
            {positionName}
            {hasFirst(plan.sides) && `, ${words(plan.firstSide)} first`}
          </span>
        </th>
      )}
      <td className="py-2 pr-3">{sideWords(side, plan.sides)}</td>
      <td>{sideSetUp(current, side)}</td>
    </tr>
  ));
}

function Others({ clientId, sessions, days }: { clientId: string; sessions: Session[]; days: Day[] }) {
  const start = useStart(clientId);
  return (
    <section className="mt-10 max-w-3xl">
      <h2 className="mb-2 text-xl font-bold">Other sessions</h2>
      <ul>
        {sessions.map((s) => {
          const own = daysOf(s, days);
          return (
            <li key={s.id} className="flex flex-wrap items-center justify-between gap-3 border-t border-rule py-2">
              <span>
                <Link className="text-lg font-semibold underline" to={`/clients/${clientId}/compose/${s.id}`}>
                  {s.name}
                </Link>
                <span className="block text-sm text-soft">
                  {own.some((d) => d.due) ? 'due, ' : ''}last session{' '}
                  {daysAgo(
                    own
                      .flatMap((d) => d.lastSession ?? [])
                      .sort()
                      .at(-1),
                  )}
                </span>
              </span>
              <Button look="main" onClick={() => start.mutate(s.id)} disabled={start.isPending}>
                Run it
              </Button>
            </li>
          );
        })}
      </ul>
      <Failure error={start.error} />
      <OtherFindings findings={findingsOf(start.error)} shown={() => false} />
    </section>
  );
}

/** One line, for a day on which there is no time for more. */
function Alone({ lines }: { lines: Line[] }) {
  const navigate = useNavigate();
  const [id] = useState(newId);
  const start = useMutation({
    mutationFn: (lineId: string) =>
      ask(api.POST('/api/lines/{lineId}/runs', { params: { path: { lineId } }, body: { id } })),
    onSuccess: (floor) => navigate(`/runs/${floor.id}`),
  });
  return (
    <section className="mt-10 max-w-3xl">
      <h2 className="mb-2 text-xl font-bold">One line alone</h2>
      <div className="flex flex-wrap gap-2">
        {lines.map((l) => (
          <Button key={l.line.id} onClick={() => start.mutate(l.line.id)} disabled={start.isPending}>
            {words(l.line.motion)}, {l.minutes} min
          </Button>
        ))}
      </div>
      <Failure error={start.error} />
      <OtherFindings findings={findingsOf(start.error)} shown={() => false} />
    </section>
  );
}
