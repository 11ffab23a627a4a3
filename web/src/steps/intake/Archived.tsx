import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';
import { day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Failure } from '../../shared/ui/Findings';

/** Who left stays on record and out of the way. */
export function Archived({ client }: { client: Schemas['ClientFile'] }) {
  const queries = useQueryClient();
  const move = useMutation({
    mutationFn: (archived: boolean) =>
      ask(
        api.PUT('/api/clients/{clientId}/archived', {
          params: { path: { clientId: client.id } },
          body: { archived },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  const archived = client.archivedAt !== undefined;
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Archive</h2>
      <p className="mb-3 max-w-prose text-soft">
        {archived
          ? `In the archive since ${day(client.archivedAt ?? '')}.`
          : 'A client who no longer comes: everything stays on record, and Today, Decisions and the month leave them out. Their links for home and to reports stop working.'}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button disabled={move.isPending} onClick={() => move.mutate(!archived)}>
          {archived ? 'Bring back from the archive' : 'Move to the archive'}
        </Button>
        <ButtonLink to={`/clients/${client.id}/sharing`}>Who may see this, and erasing</ButtonLink>
      </div>
      <Failure error={move.error} />
    </section>
  );
}
