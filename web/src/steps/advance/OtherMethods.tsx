import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';

type Props = { lineId: string; methods: string[]; onDecided: () => void };

/** On a plateau: methods to go on with, each a new version of the line at a first dose. */
export function OtherMethods({ lineId, methods, onDecided }: Props) {
  const queries = useQueryClient();
  const known = useQuery({
    queryKey: ['methods'],
    enabled: methods.length > 0,
    queryFn: () => ask(api.GET('/api/methods')),
  });
  const go = useMutation({
    mutationFn: (method: string) =>
      ask(api.POST('/api/lines/{lineId}/method', { params: { path: { lineId } }, body: { method } })),
    onSuccess: () => {
      onDecided();
      return queries.invalidateQueries();
    },
  });
  if (methods.length === 0) return null;
  return (
    <section className="mt-4">
      <h3 className="mb-1 font-bold">Go on by another method, both sides, at a first dose of it</h3>
      <p className="flex flex-wrap gap-2">
        {methods.map((id) => (
          <Button key={id} disabled={go.isPending} onClick={() => go.mutate(id)}>
            {known.data?.find((m) => m.method.id === id)?.method.name ?? id}
          </Button>
        ))}
      </p>
      <Failure error={go.error} />
    </section>
  );
}
