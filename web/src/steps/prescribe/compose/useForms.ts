import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../../shared/api/client';
import type { Form } from './edit';

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

export function isRamp(form: Form): boolean {
  return form === 'PRESS_RAMP' || form === 'PULL_RAMP' || form === 'GRADED_SET';
}
