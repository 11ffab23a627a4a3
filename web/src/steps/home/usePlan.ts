import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';
import { user } from '../../shared/offline';

export function usePlan() {
  return useQuery({
    queryKey: ['home-plan'],
    retry: false,
    queryFn: async () => {
      const plan = await ask(api.GET('/api/home/plan'));
      user.id = plan.clientId;
      return plan;
    },
  });
}
