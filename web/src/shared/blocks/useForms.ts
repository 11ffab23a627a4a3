import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';

export type FormInfo = Schemas['Form'];

export function useForms() {
  return useQuery({
    queryKey: ['block-forms'],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/block-forms')),
  });
}

export function useMethods() {
  return useQuery({ queryKey: ['methods'], staleTime: 60_000, queryFn: () => ask(api.GET('/api/methods')) });
}
