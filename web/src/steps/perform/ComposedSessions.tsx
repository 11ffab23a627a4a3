import { useMutation, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { daysAgo } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';

/** What was composed for the client, each with its start and how it went last. */
export function ComposedSessions({ clientId }: { clientId: string }) {
  const navigate = useNavigate();
  const path = { params: { path: { clientId } } };
  const composed = useQuery({
    queryKey: ['compositions', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/compositions', path)),
  });
  const runs = useQuery({
    queryKey: ['runs', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/runs', path)),
  });
  const start = useMutation({
    mutationFn: (compositionId: string) =>
      ask(
        api.POST('/api/clients/{clientId}/compositions/{compositionId}/sessions', {
          params: { path: { clientId, compositionId } },
          body: { id: newId() },
        }),
      ),
    onSuccess: (floor) => navigate(`/sessions/${floor.id}`),
  });
  if (!composed.data || composed.data.length === 0) return <Failure error={composed.error} />;
  return (
    <section className="mt-10 max-w-3xl">
      <h2 className="mb-2 text-xl font-bold">Composed sessions</h2>
      <ul>
        {composed.data.map((c) => {
          const last = runs.data?.find((r) => r.compositionId === c.id);
          return (
            <li key={c.id} className="flex flex-wrap items-center justify-between gap-3 border-t border-rule py-2">
              <span>
                <Link className="text-lg font-semibold underline" to={`/clients/${clientId}/compose/${c.id}`}>
                  {c.name}
                </Link>
                <span className="block text-sm text-soft">
                  {last ? (
                    <Link className="underline" to={`/sessions/${last.id}/close`}>
                      {daysAgo(last.openedAt)}
                      {last.closed ? (last.closed.stopSign ? ', stopped' : '') : ', still open'}
                    </Link>
                  ) : (
                    'not run yet'
                  )}
                </span>
              </span>
              <Button look="main" onClick={() => start.mutate(c.id)} disabled={start.isPending}>
                {last && !last.closed ? 'Go on' : 'Run it'}
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
