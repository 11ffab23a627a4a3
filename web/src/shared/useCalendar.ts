import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from './api/client';

export type Calendar = Schemas['Calendar'];

export function useCalendar(clientId: string) {
  return useQuery({
    queryKey: ['calendar', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/calendar', { params: { path: { clientId } } })),
  });
}
