import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { EMPTY, ofFile, type Details } from './file';
import { Equipment, Goal, Lengths, Name, Person, Time } from './FileParts';
import { GoalDegrees } from './GoalDegrees';

/** A name is enough to begin; everything else may wait. */
export function NewClientPage() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [details, setDetails] = useState(EMPTY);
  const set = (part: Partial<Details>) => setDetails((old) => ({ ...old, ...part }));
  const save = useMutation({
    mutationFn: () => ask(api.POST('/api/clients', { body: { id, details } })),
    onSuccess: async () => {
      await queries.invalidateQueries();
      await navigate(`/clients/${id}/screening`);
    },
  });
  const findings = ofFile(findingsOf(save.error));
  const parts = { details, set, findings };
  return (
    <form
      className="mx-auto max-w-3xl space-y-6"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <h1 className="text-3xl font-bold">New client</h1>
      <Name {...parts} />
      <Goal {...parts} />
      <GoalDegrees {...parts} />
      <Person {...parts} />
      <details open={findings.some((f) => /^(lengths|statureCm|massKg|minutes|blockStepCm)/.test(f.path)) || undefined}>
        <summary className="min-h-11 cursor-pointer py-2 font-semibold">Time, equipment and lengths (may wait)</summary>
        <div className="mt-2 space-y-6">
          <Time {...parts} />
          <Equipment {...parts} />
          <Lengths {...parts} />
        </div>
      </details>
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button look="main" type="submit" disabled={save.isPending}>
        Save and start screening
      </Button>
    </form>
  );
}
