import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';

export function usePlan() {
  return useQuery({ queryKey: ['home-plan'], retry: false, queryFn: () => ask(api.GET('/api/home/plan')) });
}
