import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';
import { day, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { difference } from './dose';

const SHOWN = 12;

/** Takes a decision back; possible until the next session has begun with it. */
export function useUndo(lineId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (decisionId: string) =>
      ask(api.DELETE('/api/lines/{lineId}/decisions/{decisionId}', { params: { path: { lineId, decisionId } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}

export function DecisionList({ lineId }: { lineId: string }) {
  const kept = useQuery({
    queryKey: ['decided', lineId],
    queryFn: () => ask(api.GET('/api/lines/{lineId}/decisions', { params: { path: { lineId } } })),
  });
  const undo = useUndo(lineId);
  const latest = [...(kept.data ?? [])].reverse().slice(0, SHOWN);
  if (latest.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl font-bold">Decided so far</h2>
      <ul className="columns-1 gap-8 md:columns-2">
        {latest.map((k) => (
          <li key={k.id} className="break-inside-avoid border-t border-rule py-1 text-sm">
            <span className="text-soft">{day(k.happenedAt)}</span> {words(k.side)}:{' '}
            <strong>
              {words(k.proposed)}, {words(k.answer)}
            </strong>{' '}
            <span className="text-soft">
              {difference(k.changes)}
              {k.reason ? `, because ${k.reason}` : ''}
            </span>{' '}
            {k.undoneAt && <strong>undone</strong>}
            {k.mayBeTakenBack && (
              <Button className="min-h-8 px-2 py-0 text-xs" onClick={() => undo.mutate(k.id)}>
                Undo
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Failure error={undo.error} />
    </section>
  );
}
