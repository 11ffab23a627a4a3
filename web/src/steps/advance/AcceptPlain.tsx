import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';

type Waiting = Schemas['Waiting'];

/** Accepts what asks for nothing and warns of nothing, one after the other. */
export function useAcceptPlain(waiting: Waiting[], onAccepted: () => void) {
  const queries = useQueryClient();
  const plain = waiting.filter((w) => w.plain);
  const [done, setDone] = useState(0);
  const { mutate, isPending, error } = useMutation({
    mutationFn: async (all: Waiting[]) => {
      setDone(0);
      for (const w of all) {
        await ask(
          api.POST('/api/lines/{lineId}/decisions', {
            params: { path: { lineId: w.lineId } },
            body: { id: newId(), side: w.side, answer: 'ACCEPTED', seen: w.to, reason: '' },
          }),
        );
        setDone((n) => n + 1);
      }
    },
    onSettled: () => queries.invalidateQueries(),
  });
  const accept = () => {
    if (plain.length > 0 && !isPending) mutate(plain, { onSuccess: onAccepted });
  };
  return { plain: plain.length, done, isPending, error, accept };
}

/** One press for what is plain of a client. */
export function AcceptPlain({ of, name }: { of: ReturnType<typeof useAcceptPlain>; name: string }) {
  if (of.plain === 0) return <Failure error={of.error} />;
  return (
    <div>
      <Button look="main" disabled={of.isPending} onClick={of.accept}>
        {of.isPending ? `${of.done} of ${of.plain} accepted…` : `Accept the ${of.plain} plain of ${name} (p)`}
      </Button>
      <p className="text-xs text-soft">Steps up and stays that ask for nothing and warn of nothing.</p>
      <Failure error={of.error} />
    </div>
  );
}
