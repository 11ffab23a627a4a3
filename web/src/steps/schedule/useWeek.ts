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
  | { kind: 'move'; move: Schemas['Move'] }
  | { kind: 'way'; way: Schemas['WayOut'] }
  | { kind: 'weekly'; line: string }
  | { kind: 'undo' };

/** Every change by hand answers with the week as it is after it. */
export function useChange(clientId: string, monday: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (change: Change): Promise<WeekView> => {
      const at = path(clientId, monday);
      switch (change.kind) {
        case 'move':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/moves', { ...at, body: change.move }));
        case 'way':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/ways', { ...at, body: change.way }));
        case 'weekly':
          await ask(
            api.DELETE('/api/clients/{clientId}/calendar/every-second-week/{lineId}', {
              params: { path: { clientId, lineId: change.line } },
            }),
          );
          return ask(api.GET('/api/clients/{clientId}/weeks/{monday}', at));
        case 'undo':
          return ask(api.POST('/api/clients/{clientId}/weeks/{monday}/undo', at));
      }
    },
    onSuccess: (week) => {
      queries.setQueryData(['week', clientId, monday], week);
      void queries.invalidateQueries({ queryKey: ['ways', clientId] });
      void queries.invalidateQueries({
        queryKey: ['week', clientId],
        predicate: (q) => q.queryKey[2] !== monday,
      });
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
