import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';

export type Calendar = Schemas['Calendar'];

export function useCalendar(clientId: string) {
  return useQuery({
    queryKey: ['calendar', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/calendar', { params: { path: { clientId } } })),
  });
}

/** A change of the calendar; the week is planned again, so that everything is asked for anew. */
export function useKeep<T>(change: (value: T) => Promise<unknown>, done?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      done?.();
      return queries.invalidateQueries();
    },
  });
}
