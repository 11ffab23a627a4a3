import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId, on, SIDES, type Schemas } from '../../shared/api/client';
import { degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead, useClientDay } from '../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { usePositionName } from '../../shared/ui/useCatalogue';
import { ComposedSessions } from './ComposedSessions';
import { StopRules } from './StopRules';

/** Before the session: what to lay ready, the stop rules, one button. */
export function PerformPage() {
  const { clientId = '' } = useParams();
  const lines = useQuery({
    queryKey: ['lines', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/lines', { params: { path: { clientId } } })),
  });
  const line = lines.data?.[0];
  return (
    <>
      <ClientHead clientId={clientId} tread="perform" />
      <Failure error={lines.error} />
      {lines.data && !line && (
        <p className="text-lg">
          There is no plan to run yet.{' '}
          <Link className="font-semibold underline" to={`/clients/${clientId}/prescribe`}>
            Prescribe
          </Link>{' '}
          first.
        </p>
      )}
      {line && <Ready clientId={clientId} current={line} />}
      <ComposedSessions clientId={clientId} />
      <p className="mt-8">
        <Link className="font-semibold underline" to={`/clients/${clientId}/home`}>
          Links for home
        </Link>{' '}
        <span className="text-soft">so that the client runs it on their own phone</span>
      </p>
    </>
  );
}

function Ready({ clientId, current }: { clientId: string; current: Schemas['CurrentLine'] }) {
  const navigate = useNavigate();
  const [id] = useState(newId);
  const positionName = usePositionName(current.line.position);
  const open = useClientDay(clientId).data?.lines.find((l) => l.lineId === current.line.id)?.openSession;
  const start = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/lines/{lineId}/sessions', { params: { path: { lineId: current.line.id } }, body: { id } })),
    onSuccess: (floor) => navigate(`/sessions/${floor.id}`),
  });
  return (
    <div className="grid gap-8 md:grid-cols-2">
      <section>
        <h2 className="text-xl font-bold">Today: {words(current.line.motion)}</h2>
        <p className="mb-4 text-soft">
          {positionName}, {current.minutes} min, {current.plan.firstSide === 'LEFT' ? 'left' : 'right'} first
        </p>
        <table className="mb-5 w-full text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th />
              <th className="font-normal">angle</th>
              <th className="font-normal">set up</th>
              <th className="font-normal">ceiling</th>
              <th className="font-normal">sets</th>
              <th className="font-normal">top hold</th>
            </tr>
          </thead>
          <tbody className="text-lg">
            {SIDES.map((side) => {
              const dose = on(side, current.plan.doses);
              const setUp = on(side, current.props);
              return (
                <tr key={side} className="border-t border-rule">
                  <th className="py-2">{side === 'LEFT' ? 'Left' : 'Right'}</th>
                  <td>{degrees(dose.angle)}</td>
                  <td>{setUp.stackCm === undefined ? 'strap' : `${setUp.stackCm} cm block`}</td>
                  <td>{dose.ceiling} %</td>
                  <td>{dose.sets}</td>
                  <td>{dose.topHoldSeconds} s</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <Failure error={start.error} />
        <OtherFindings findings={findingsOf(start.error)} shown={() => false} />
        <Button
          look="main"
          className="min-h-16 w-full text-2xl"
          onClick={() => start.mutate()}
          disabled={start.isPending}
        >
          {open ? 'Go on with the open session' : 'Open the floor'}
        </Button>
      </section>
      <StopRules />
    </div>
  );
}
