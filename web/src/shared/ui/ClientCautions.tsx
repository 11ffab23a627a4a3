import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { Cautions } from './Cautions';

export function useClientDay(clientId: string) {
  return useQuery({
    queryKey: ['day', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/day', { params: { path: { clientId } } })),
  });
}

/** What must not be done with a client, where the head of their pages is not shown. */
export function ClientCautions({ clientId }: { clientId: string }) {
  const day = useClientDay(clientId);
  return day.data ? (
    <Cautions clientId={clientId} restrictions={day.data.restrictions} due={day.data.screeningDue} />
  ) : null;
}
