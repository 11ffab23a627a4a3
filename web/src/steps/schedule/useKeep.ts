import { useMutation, useQueryClient } from '@tanstack/react-query';

/** A change of the calendar; the week is planned again, so that everything is asked for anew. */
export function useKeep<T>(change: (value: T) => Promise<unknown>, done?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      done?.();
      return queries.invalidateQueries();
    },
  });
}
