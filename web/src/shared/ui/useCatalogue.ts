import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { words } from '../units';

export function useCatalogue() {
  return useQuery({ queryKey: ['catalogue'], staleTime: Infinity, queryFn: () => ask(api.GET('/api/catalogue')) });
}

/** A position by the name that coaches use. */
export function usePositionName(id: string): string {
  return useCatalogue().data?.positions.find((p) => p.id === id)?.name ?? words(id);
}
