import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';

/** What the coach writes above the report. */
export function Note({ clientId, view }: { clientId: string; view: Schemas['ReportView'] }) {
  const queries = useQueryClient();
  const id = useId();
  const [text, setText] = useState(view.note);
  const save = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/clients/{clientId}/report/note', { params: { path: { clientId } }, body: { text } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['report', clientId] }),
  });
  const findings = findingsOf(save.error);
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-soft">
        Your note above the report
      </label>
      <textarea
        id={id}
        rows={3}
        className="block w-full border border-rule bg-card p-2"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <FieldFinding findings={findings} path="text" />
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button className="mt-2" disabled={save.isPending || text === view.note} onClick={() => save.mutate()}>
        Save the note
      </Button>
    </div>
  );
}
