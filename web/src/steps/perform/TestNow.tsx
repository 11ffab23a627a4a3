import { api, ask, newId } from '../../shared/api/client';
import { KeepValue } from './KeepValue';
import type { Phase } from './run';

type Props = { runId: string; phase: Phase; cold: boolean };

/** A movement tested at its moment: a grade from 0 to 10, or a length. */
export function TestNow({ runId, phase, cold }: Props) {
  const graded = phase.kind === 'MOVEMENT_GRADE';
  return (
    <KeepValue
      of={phase.contact}
      how={cold ? 'cold' : 'warm'}
      unit={graded ? ' of 10' : ' cm'}
      path="value"
      send={(value) =>
        ask(
          api.POST('/api/runs/{runId}/movements', {
            params: { path: { runId } },
            body: { id: newId(), blockId: phase.blockId, value, note: '' },
          }),
        )
      }
    />
  );
}
