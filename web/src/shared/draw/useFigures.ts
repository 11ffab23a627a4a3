import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';

/** Every position as it is usually drawn, fetched once. */
export function useFigures() {
  return useQuery({ queryKey: ['figures'], staleTime: Infinity, queryFn: () => ask(api.GET('/api/figures')) });
}
