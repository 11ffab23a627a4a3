import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, on, type Schemas } from '../../shared/api/client';
import { sideWords, trainedSides } from '../../shared/sides';
import { day, degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { useClientDay } from '../../shared/ui/ClientCautions';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { Sheet } from '../../shared/ui/Sheet';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Fresh } from './compose/ComposePage';

type Session = Schemas['CurrentSession'];
type Line = Schemas['CurrentLine'];

/** The program: its sessions and its lines. Who has none yet begins with what is suggested. */
export function PrescribePage() {
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
  return (
    <>
      <ClientHead clientId={clientId} tread="prescribe" />
      <Failure error={sessions.error ?? lines.error} />
      {sessions.data?.length === 0 && <Fresh clientId={clientId} />}
      {sessions.data && sessions.data.length > 0 && lines.data && (
        <div className="grid gap-8 xl:grid-cols-2">
          <Sessions clientId={clientId} sessions={sessions.data} lines={lines.data} />
          <Lines clientId={clientId} lines={lines.data} />
        </div>
      )}
    </>
  );
}

function Sessions({ clientId, sessions, lines }: { clientId: string; sessions: Session[]; lines: Line[] }) {
  const [removing, remove] = useState<Session | null>(null);
  return (
    <section>
      <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl font-bold">Sessions</h2>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to={`/clients/${clientId}/week`}>On which days</ButtonLink>
          <ButtonLink to={`/clients/${clientId}/compose`}>New session</ButtonLink>
        </div>
      </div>
      <ul>
        {sessions.map((s) => (
          <li key={s.id} className="mb-3 border-l-[6px] border-ink bg-card px-4 py-3">
            <div className="flex flex-wrap items-baseline justify-between gap-3">
              <Link to={`/clients/${clientId}/compose/${s.id}`} className="text-xl font-bold hover:underline">
                {s.name}
              </Link>
              <span className="text-sm text-soft">saved {day(s.recordedAt)}</span>
            </div>
            <ul className="my-2 flex flex-wrap gap-2">
              {s.draft.stations.map((station, i) => (
                <li key={i} className="border border-rule px-2 py-1">
                  {station.lines.map((l) => words(l.motion)).join(' + ')}
                  {station.rounds > 1 && <span className="text-soft"> · {station.rounds} rounds</span>}
                </li>
              ))}
            </ul>
            <OtherFindings findings={s.troubles} shown={() => false} />
            <div className="flex flex-wrap gap-2">
              <ButtonLink to={`/clients/${clientId}/compose/${s.id}`}>Change</ButtonLink>
              <ButtonLink to={`/clients/${clientId}/compose/${s.id}/handout`}>Hand-out</ButtonLink>
              <Button onClick={() => remove(s)}>Remove</Button>
            </div>
          </li>
        ))}
      </ul>
      {removing && <Removal clientId={clientId} session={removing} lines={lines} close={() => remove(null)} />}
    </section>
  );
}

type RemovalProps = { clientId: string; session: Session; lines: Line[]; close: () => void };

/** Says what ends with a session before it is gone. */
function Removal({ clientId, session, lines, close }: RemovalProps) {
  const queries = useQueryClient();
  const removal = useMutation({
    mutationFn: () =>
      ask(
        api.DELETE('/api/clients/{clientId}/sessions/{sessionId}', {
          params: { path: { clientId, sessionId: session.id } },
        }),
      ),
    onSuccess: async () => {
      close();
      await queries.invalidateQueries();
    },
  });
  const ending = lines.filter((l) => l.sessions.length === 1 && l.sessions[0] === session.name);
  return (
    <Sheet open onOpenChange={close} title={`Remove “${session.name}”?`}>
      <p className="mb-4">
        {ending.length > 0
          ? `These lines are in no other session and end with it: ${ending.map((l) => words(l.line.motion)).join(', ')}.`
          : 'Its lines go on in other sessions.'}{' '}
        What was trained stays in the record.
      </p>
      <Failure error={removal.error} />
      <div className="flex gap-3">
        <Button look="stop" onClick={() => removal.mutate()} disabled={removal.isPending}>
          Remove the session
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </Sheet>
  );
}

function Lines({ clientId, lines }: { clientId: string; lines: Line[] }) {
  return (
    <section>
      <h2 className="mb-3 text-xl font-bold">Lines</h2>
      <ul>
        {lines.map((l) => (
          <LineRow key={l.line.id} clientId={clientId} current={l} />
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">
        A line has the same dose in every session. It is advanced from what was logged.
      </p>
    </section>
  );
}

function LineRow({ clientId, current }: { clientId: string; current: Line }) {
  const { line, plan } = current;
  const positions = useCatalogue().data?.positions;
  const today = useClientDay(clientId).data?.lines.find((l) => l.lineId === line.id);
  const sides = trainedSides(plan);
  return (
    <li className="border-t border-rule py-2">
      <p>
        <span className="font-semibold">{words(line.motion)}</span>{' '}
        <span className="text-soft">
          · {positions?.find((p) => p.id === line.position)?.name} · {words(plan.method)}
        </span>
      </p>
      <p>
        {sides.map((s) => `${sideWords(s, plan.sides)} ${degrees(on(s, plan.doses).angle)}`).join(', ')} ·{' '}
        {plan.sessionsPerWeek} × a week · {current.minutes} min
      </p>
      <p className="text-sm text-soft">
        {current.sessions.length > 0 ? `in ${current.sessions.map((s) => `“${s}”`).join(', ')}` : 'in no session'}
        {today?.why && (
          <>
            {' · '}
            <Link className="underline" to={`/clients/${clientId}/advance`}>
              {today.waiting > 0 ? `${today.waiting} to decide: ` : ''}
              {today.why}
            </Link>
          </>
        )}
      </p>
    </li>
  );
}
