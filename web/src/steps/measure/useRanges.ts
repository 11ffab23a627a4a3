import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';

export function useRanges(clientId: string) {
  return useQuery({
    queryKey: ['ranges', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/ranges', { params: { path: { clientId } } })),
  });
}
