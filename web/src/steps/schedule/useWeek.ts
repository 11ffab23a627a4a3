import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../shared/api/client';
import type { WeekView } from './days';

export function useWeek(clientId: string, monday: string) {
  return useQuery({
    queryKey: ['week', clientId, monday],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/weeks/{monday}', path(clientId, monday))),
  });
}

function path(clientId: string, monday: string) {
  return { params: { path: { clientId, monday } } };
}

export type Change =
  { kind: 'move'; move: Schemas['Move'] } | { kind: 'way'; way: Schemas['WayOut'] } | { kind: 'undo' };

/** Every change by hand answers with the week as it is after it. */
export function useChange(clientId: string, monday: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: Change): Promise<WeekView> => {
      const at = path(clientId, monday);
      switch (change.kind) {
        case 'move':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/moves', { ...at, body: change.move }));
        case 'way':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/ways', { ...at, body: change.way }));
        case 'undo':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/undo', at));
      }
    },
    onSuccess: (week) => {
      queries.setQueryData(['week', clientId, monday], week);
      void queries.invalidateQueries({ queryKey: ['ways', clientId] });
      void queries.invalidateQueries({ queryKey: ['day', clientId] });
    },
  });
}

export function targetsOf(clientId: string, monday: string, unit: string, from: number) {
  return {
    queryKey: ['targets', clientId, monday, unit, from],
    staleTime: 0,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/weeks/{monday}/targets', {
          params: { path: { clientId, monday }, query: { unit, from } },
        }),
      ),
  };
}
