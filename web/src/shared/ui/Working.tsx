import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { Button } from './Button';

const LOOK_MS = 700;

/**
 * What this account is having worked out.
 *
 * @param awaited whether it may still begin; what has begun is looked at to its end
 */
export function useWork(names: readonly string[], awaited: () => boolean) {
  return useQuery({
    queryKey: ['work', ...names],
    gcTime: 0,
    queryFn: async () => (await ask(api.GET('/api/me/work'))).filter((w) => names.includes(w.name)),
    refetchInterval: ({ state }) => (awaited() || (state.data ?? []).length > 0 ? LOOK_MS : false),
  });
}

/** While something long is worked out: how far it is, and the way to end it. */
export function Working({ name, what }: { name: string; what: string }) {
  const going = useWork([name], () => true);
  return <Standing name={name} what={what} work={going.data?.[0]} />;
}

type Shown = { name: string; what: string; work: Schemas['Standing'] | undefined };

export function Standing({ name, what, work }: Shown) {
  const end = useMutation({ mutationFn: () => ask(api.DELETE('/api/me/work', { params: { query: { name } } })) });
  // What waits for its turn, or has just begun, has no length yet.
  const known = work && work.of > 1 ? work : undefined;
  return (
    <div role="status" className="mb-4 flex flex-wrap items-center gap-3 text-soft">
      {known && (
        <progress
          className="h-3 w-48 appearance-none border border-rule [&::-moz-progress-bar]:bg-ink [&::-webkit-progress-bar]:bg-card [&::-webkit-progress-value]:bg-ink"
          value={known.done}
          max={known.of}
          aria-label={what}
        />
      )}
      <span>
        {what}
        {known ? `: ${known.done} of ${known.of}` : '…'}
      </span>
      <Button disabled={end.isPending} onClick={() => end.mutate()}>
        Cancel
      </Button>
    </div>
  );
}
