import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, newId } from '../api/client';
import { Button } from './Button';
import { Failure } from './Findings';

type Props = { clientId: string; batteryId: string; words: string; look?: 'main' | 'plain' };

/** Opens a battery: what is measured from here on belongs to it. */
export function BeginAssessment({ clientId, batteryId, words, look = 'main' }: Props) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [id, setId] = useState(newId);
  const begin = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/assessments', {
          params: { path: { clientId } },
          body: { id, batteryId },
        }),
      ),
    onSuccess: async () => {
      setId(newId());
      await queries.invalidateQueries({ queryKey: ['batteries'] });
      await navigate(`/clients/${clientId}/measure/assessments/${id}`);
    },
  });
  return (
    <>
      <Button look={look} data-next="" onClick={() => begin.mutate()} disabled={begin.isPending}>
        {words}
      </Button>
      <Failure error={begin.error} />
    </>
  );
}
