import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask } from '../../../shared/api/client';
import type { Draft } from './edit';

/** Keeps the session under its id and opens it there. */
export function useKeep(clientId: string, id: string, name: string) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (draft: Draft) =>
      ask(
        api.PUT('/api/clients/{clientId}/sessions/{sessionId}', {
          params: { path: { clientId, sessionId: id } },
          body: { name, draft },
        }),
      ),
    onSuccess: async (kept) => {
      queries.setQueryData(['session', clientId, id], kept);
      await queries.invalidateQueries({ queryKey: ['sessions', clientId] });
      await navigate(`/clients/${clientId}/compose/${id}`, { replace: true });
    },
  });
}
