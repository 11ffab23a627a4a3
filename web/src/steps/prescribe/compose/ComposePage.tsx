import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, newId } from '../../../shared/api/client';
import { useClientDay } from '../../../shared/ui/ClientCautions';
import { ClientHead } from '../../../shared/ui/ClientHead';
import { Failure, OtherFindings } from '../../../shared/ui/Findings';
import { Composer } from './Composer';

/** A whole session for one client: one that was kept, or a suggestion to begin with. */
export function ComposePage() {
  const { clientId = '', sessionId } = useParams();
  return (
    <>
      <ClientHead clientId={clientId} tread="prescribe" />
      {sessionId ? <Saved key={sessionId} clientId={clientId} id={sessionId} /> : <Fresh clientId={clientId} />}
    </>
  );
}

function Saved({ clientId, id }: { clientId: string; id: string }) {
  const kept = useQuery({
    queryKey: ['session', clientId, id],
    staleTime: Infinity,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/sessions/{sessionId}', {
          params: { path: { clientId, sessionId: id } },
        }),
      ),
  });
  return (
    <>
      <Failure error={kept.error} />
      <OtherFindings findings={kept.data?.troubles ?? []} shown={() => false} />
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

/** A new session, as it is suggested. */
export function Fresh({ clientId }: { clientId: string }) {
  const [id] = useState(newId);
  const day = useClientDay(clientId);
  const suggestion = useQuery({
    queryKey: ['score-suggestion', clientId],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/clients/{clientId}/score/suggestion', { params: { path: { clientId } } })),
  });
  return (
    <>
      <Failure error={suggestion.error} />
      {day.data && !day.data.lastMeasured && (
        <p className="mb-4 max-w-prose text-lg">
          What is suggested begins at the range that is there.{' '}
          <Link className="font-semibold underline" to={`/clients/${clientId}/measure`}>
            Measure both sides
          </Link>{' '}
          first, passive and cold.
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
