import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { ButtonLink } from '../../../shared/ui/ButtonLink';
import { Failure, OtherFindings } from '../../../shared/ui/Findings';

/** A position of ours from nothing, or those that another studio gave as a file. */
export function ImportPositions() {
  const queries = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) => ask(api.POST('/api/own-positions/file', { body: read(await file.text()) })),
    onSuccess: () =>
      Promise.all(['library', 'figures', 'catalogue'].map((key) => queries.invalidateQueries({ queryKey: [key] }))),
  });
  const findings = findingsOf(take.error);
  return (
    <div className="mb-4">
      <ButtonLink to="/library/new">New position</ButtonLink>{' '}
      <label className="inline-block min-h-11 cursor-pointer border border-rule bg-card px-4 py-2 font-semibold focus-within:outline-2">
        Import positions
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) take.mutate(file);
            e.target.value = '';
          }}
        />
      </label>
      {take.data && <span role="status"> Imported.</span>}
      <OtherFindings findings={findings} shown={() => false} />
      <Failure error={findings.length > 0 ? null : take.error} />
    </div>
  );
}

function read(text: string): Schemas['PositionFile'] {
  try {
    return JSON.parse(text) as Schemas['PositionFile'];
  } catch {
    throw new Error('This is no file of positions.');
  }
}
