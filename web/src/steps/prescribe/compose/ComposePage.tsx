import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, newId } from '../../../shared/api/client';
import { day } from '../../../shared/units';
import { ClientHead } from '../../../shared/ui/ClientHead';
import { Failure } from '../../../shared/ui/Findings';
import { Composer } from './Composer';

/** A whole session for one client: one that was kept, or a suggestion to begin with. */
export function ComposePage() {
  const { clientId = '', compositionId } = useParams();
  return (
    <>
      <ClientHead clientId={clientId} tread="prescribe" />
      {compositionId ? (
        <Kept key={compositionId} clientId={clientId} id={compositionId} />
      ) : (
        <Fresh clientId={clientId} />
      )}
    </>
  );
}

function Kept({ clientId, id }: { clientId: string; id: string }) {
  const kept = useQuery({
    queryKey: ['composition', clientId, id],
    staleTime: Infinity,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/compositions/{compositionId}', {
          params: { path: { clientId, compositionId: id } },
        }),
      ),
  });
  return (
    <>
      <Failure error={kept.error} />
      {kept.data && (
        <Composer
          clientId={clientId}
          id={id}
          name={kept.data.name}
          start={kept.data.draft}
          reasons={[]}
          isNew={false}
        />
      )}
    </>
  );
}

function Fresh({ clientId }: { clientId: string }) {
  const [id] = useState(newId);
  const suggestion = useQuery({
    queryKey: ['score-suggestion', clientId],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/clients/{clientId}/score/suggestion', { params: { path: { clientId } } })),
  });
  const kept = useQuery({
    queryKey: ['compositions', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/compositions', { params: { path: { clientId } } })),
  });
  return (
    <>
      <Failure error={suggestion.error} />
      {(kept.data?.length ?? 0) > 0 && (
        <p className="mb-4">
          Kept:{' '}
          {kept.data?.map((c) => (
            <Link key={c.id} className="mr-4 font-semibold underline" to={`/clients/${clientId}/compose/${c.id}`}>
              {c.name}, {day(c.recordedAt)}
            </Link>
          ))}
        </p>
      )}
      {suggestion.data && (
        <Composer
          clientId={clientId}
          id={id}
          name="Session"
          start={suggestion.data.draft}
          reasons={suggestion.data.reasons.map((r) => r.text)}
          isNew
        />
      )}
    </>
  );
}
