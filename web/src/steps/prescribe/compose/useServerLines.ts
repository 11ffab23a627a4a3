import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask, newId } from '../../../shared/api/client';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { lineAt, type Draft, type Line } from './edit';

type At = { station: number; line: number };
type Query = { motion: string; position: string; id: string; method?: string };

/** Lines as the client may begin with them: what a first dose is, is the server's. */
export function useServerLines(
  clientId: string,
  added: (line: Line) => void,
  changed: (at: At, make: (line: Line) => Line) => void,
) {
  const fresh = (query: Query) =>
    ask(api.GET('/api/clients/{clientId}/score/line', { params: { path: { clientId }, query } }));
  const catalogue = useCatalogue();
  const known = useQuery({
    queryKey: ['lines', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/lines', { params: { path: { clientId } } })),
  });
  const add = useMutation({ mutationFn: fresh, onSuccess: added });
  const method = useMutation({
    mutationFn: async ({ draft, at, id }: { draft: Draft; at: At; id: string }) => {
      const line = lineAt(draft, at);
      if (!line) throw new Error('This line is gone.');
      return fresh({ motion: line.motion, position: line.position, id: line.id, method: id });
    },
    // The coach's own angles and order of sides stay; the doses are the method's.
    onSuccess: (line, { at }) =>
      changed(at, (old) => ({ ...line, angles: old.angles, firstSide: old.firstSide, sides: old.sides })),
  });
  const move = useMutation({
    mutationFn: ({ line, to }: { line: Line; at: At; to: string }) => {
      const fits = catalogue.data?.positions.some((p) => p.id === to && p.training?.methods.includes(line.method));
      return fresh({ motion: line.motion, position: to, id: newId(), ...(fits ? { method: line.method } : {}) });
    },
    // A line of its own: what was done in the other position stays with the old one.
    onSuccess: (line, { at }) =>
      changed(at, (old) => ({ ...line, firstSide: old.firstSide, sessionsPerWeek: old.sessionsPerWeek })),
  });
  return { add, put: added, method, move, known: known.data ?? [], error: add.error ?? method.error ?? move.error };
}
