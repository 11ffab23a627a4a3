import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import type { Phase } from './run';

type Props = { runId: string; phase: Phase; cold: boolean };

/** A movement tested at its moment: a grade from 0 to 10, or a length. */
export function TestNow({ runId, phase, cold }: Props) {
  const [value, setValue] = useState<number | null>(null);
  const graded = phase.kind === 'MOVEMENT_GRADE';
  const keep = useMutation({
    mutationFn: (to: number) =>
      ask(
        api.POST('/api/runs/{runId}/movements', {
          params: { path: { runId } },
          body: { id: newId(), blockId: phase.blockId, value: to, note: '' },
        }),
      ),
  });
  const findings = findingsOf(keep.error);
  const words = cold ? 'cold' : 'warm';
  if (keep.isSuccess) {
    return (
      <p role="status" className="pb-2">
        {phase.contact} <span className="font-bold">{graded ? `${value} of 10` : `${value} cm`}</span> {words}, kept
      </p>
    );
  }
  return (
    <div className="flex items-end gap-3" role="group" aria-label={`${phase.contact}, ${words}`}>
      <div className="w-40">
        <NumberField
          label={graded ? `Grade, 0 to 10, ${words}` : `Length, ${words}`}
          unit={graded ? '' : 'cm'}
          value={value}
          onChange={setValue}
          path="value"
          findings={findings}
          onEnter={() => value !== null && keep.mutate(value)}
        />
      </div>
      <Button disabled={value === null || keep.isPending} onClick={() => value !== null && keep.mutate(value)}>
        Keep
      </Button>
      <Failure error={findings.length > 0 ? null : keep.error} />
    </div>
  );
}
